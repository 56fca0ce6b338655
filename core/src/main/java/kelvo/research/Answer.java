package kelvo.research;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Predicate;
import kelvo.statistics.Holm;
import kelvo.statistics.SignRandomization;

/**
 * What recorded sessions answer to a question, at one horizon.
 *
 * @param cases by date and moment, those of which the result is not known too
 * @param figures of all cases
 * @param since of the cases in the last third of the dates
 * @param p of a mean so far from 0, alone
 * @param corrected for the cells too
 * @param sample what all cases together can carry
 * @param cells of every cut that tells cases apart, in order
 */
public record Answer(
    Question question,
    Held until,
    List<ResearchCase> cases,
    ResultFigures figures,
    ResultFigures since,
    double p,
    double corrected,
    Sample sample,
    List<CutCell> cells) {
  private static final Comparator<ResearchCase> BY_TIME =
      Comparator.comparing(ResearchCase::date)
          .thenComparingLong(ResearchCase::at)
          .thenComparing(ResearchCase::symbol);

  private record Asked(Cut cut, String name, List<ResearchCase> inside) {}

  public Answer {
    cases = List.copyOf(cases);
    cells = List.copyOf(cells);
  }

  /** The answer that some cases give. */
  public static Answer of(Question question, Held until, Collection<ResearchCase> all) {
    List<ResearchCase> sorted = all.stream().sorted(BY_TIME).toList();
    List<ResearchCase> cases = OwnCells.put(question, known(sorted, until), sorted);
    List<ResearchCase> known = known(cases, until);
    List<Asked> asked = asked(known);
    double[] p = new double[asked.size() + 1];
    p[0] = SignRandomization.p(parts(known, until, one -> true, 0));
    for (int i = 0; i < asked.size(); i++) {
      p[i + 1] = p(known, asked.get(i), until);
    }
    double[] corrected = Holm.corrected(p);
    LocalDate lastThird = lastThird(known);
    List<CutCell> cells = new ArrayList<>();
    for (int i = 0; i < asked.size(); i++) {
      cells.add(cell(known, asked.get(i), until, p[i + 1], corrected[i + 1], lastThird));
    }
    ResultFigures figures = ResultFigures.of(known, until);
    return new Answer(
        question,
        until,
        cases,
        figures,
        ResultFigures.of(since(known, lastThird), until),
        p[0],
        corrected[0],
        Sample.of(
            p[0],
            corrected[0],
            figures.cases(),
            figures.sessions(),
            holds(known, until, one -> true, lastThird)),
        cells);
  }

  private static List<ResearchCase> known(List<ResearchCase> cases, Held until) {
    return cases.stream().filter(one -> !Double.isNaN(one.result(until))).toList();
  }

  /** The cells of cuts that put the cases into more than one. */
  private static List<Asked> asked(List<ResearchCase> known) {
    List<Asked> asked = new ArrayList<>();
    for (Cut cut :
        known.stream()
            .flatMap(one -> one.cells().keySet().stream())
            .distinct()
            .sorted(Cut.IN_ORDER)
            .toList()) {
      Map<String, List<ResearchCase>> cells = new LinkedHashMap<>();
      for (ResearchCase one : known) {
        String name = one.cells().get(cut);
        if (name != null) {
          cells.computeIfAbsent(name, n -> new ArrayList<>()).add(one);
        }
      }
      if (cells.size() > 1) {
        Map<String, Integer> counts = new HashMap<>();
        cells.forEach((name, inside) -> counts.put(name, inside.size()));
        cells.entrySet().stream()
            .sorted(Map.Entry.comparingByKey(cut.order(counts)))
            .forEach(cell -> asked.add(new Asked(cut, cell.getKey(), cell.getValue())));
      }
    }
    return asked;
  }

  private static double p(List<ResearchCase> known, Asked cell, Held until) {
    return SignRandomization.p(parts(known, until, inside(cell), mean(known, until)));
  }

  private static Predicate<ResearchCase> inside(Asked cell) {
    return one -> cell.name().equals(one.cells().get(cell.cut()));
  }

  /**
   * What each session adds to the difference between the mean of the cases inside and of those
   * outside, or, when all are inside, to their mean.
   *
   * @param centre what is taken from each result first, so that a session in which all cases are on
   *     one side adds only what sets it apart from the rest
   */
  private static double[] parts(
      List<ResearchCase> known, Held until, Predicate<ResearchCase> inside, double centre) {
    int in = (int) known.stream().filter(inside).count();
    int out = known.size() - in;
    Map<LocalDate, Double> parts = new LinkedHashMap<>();
    for (ResearchCase one : known) {
      double part = one.result(until) - centre;
      parts.merge(one.date(), inside.test(one) ? part / in : -part / out, Double::sum);
    }
    return parts.values().stream().mapToDouble(part -> part).toArray();
  }

  private static double mean(List<ResearchCase> cases, Held until) {
    return cases.stream().mapToDouble(one -> one.result(until)).average().orElse(Double.NaN);
  }

  private static CutCell cell(
      List<ResearchCase> known,
      Asked cell,
      Held until,
      double p,
      double corrected,
      LocalDate lastThird) {
    ResultFigures figures = ResultFigures.of(cell.inside(), until);
    List<ResearchCase> others = known.stream().filter(inside(cell).negate()).toList();
    return new CutCell(
        cell.cut(),
        cell.name(),
        figures,
        mean(cell.inside(), until) - mean(others, until),
        p,
        corrected,
        Sample.of(
            p,
            corrected,
            figures.cases(),
            figures.sessions(),
            holds(known, until, inside(cell), lastThird)));
  }

  /** From this date on the last third of the dates is; a date after all of them without three. */
  private static LocalDate lastThird(List<ResearchCase> known) {
    List<LocalDate> dates =
        List.copyOf(new TreeSet<>(known.stream().map(ResearchCase::date).toList()));
    return dates.size() < 3 ? LocalDate.MAX : dates.get(dates.size() - dates.size() / 3);
  }

  private static List<ResearchCase> since(List<ResearchCase> known, LocalDate lastThird) {
    return known.stream().filter(one -> !one.date().isBefore(lastThird)).toList();
  }

  /** Whether the mean, or the difference, has the same sign before the last third and in it. */
  private static boolean holds(
      List<ResearchCase> known, Held until, Predicate<ResearchCase> inside, LocalDate lastThird) {
    double before =
        difference(
            known.stream().filter(one -> one.date().isBefore(lastThird)).toList(), until, inside);
    double after = difference(since(known, lastThird), until, inside);
    return before * after > 0;
  }

  private static double difference(
      List<ResearchCase> cases, Held until, Predicate<ResearchCase> inside) {
    List<ResearchCase> others = cases.stream().filter(inside.negate()).toList();
    double mean = mean(cases.stream().filter(inside).toList(), until);
    return others.isEmpty() ? mean : mean - mean(others, until);
  }

  /** How soon its cases were so far ahead or behind. */
  public ReachFigures reach(Reach reach) {
    return ReachFigures.of(cases, reach);
  }

  /** The cases in the last third of the dates, those of {@link #since}. */
  public List<ResearchCase> lastThird() {
    List<ResearchCase> known = known(cases, until);
    return since(known, lastThird(known));
  }

  /** The cases with a known result from one bound up to another, both included, the least first. */
  public List<ResearchCase> between(double least, double most) {
    return cases.stream()
        .filter(one -> one.result(until) >= least && one.result(until) <= most)
        .sorted(Comparator.comparingDouble(one -> one.result(until)))
        .toList();
  }

  /** The cell that tells the cases apart best; empty when none does. */
  public Optional<CutCell> edge() {
    return cells.stream()
        .filter(cell -> !cell.isFaded() && cell.sample() != Sample.SAYS_NOTHING)
        .min(Comparator.comparing(CutCell::sample).thenComparing(CutCell::corrected));
  }

  /** The cases of a cell. */
  public List<ResearchCase> of(CutCell cell) {
    return cases.stream().filter(one -> cell.name().equals(one.cells().get(cell.cut()))).toList();
  }

  /** Where the edge lies, in a sentence or two. */
  public String words() {
    if (figures.cases() == 0) {
      return "No case has a result by then.";
    }
    String whole =
        "The sample %s: %s in the mean until %s, %d of %d won in %s%s."
            .formatted(
                sample.words(),
                percent(figures.mean().mean()),
                until.phrase(),
                figures.won(),
                figures.cases(),
                counted(figures.sessions(), "session"),
                since.cases() == 0
                    ? ""
                    : "; " + percent(since.mean().mean()) + " in the last third");
    return edge()
        .map(
            cell ->
                whole
                    + " %s %s %s: %s in the mean, %s from the rest."
                        .formatted(
                            capital(cell.cut().words()),
                            cell.name(),
                            cell.sample().words(),
                            percent(cell.figures().mean().mean()),
                            percent(cell.difference())))
        .orElse(whole + " No cut tells the cases apart.");
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private static String counted(int count, String noun) {
    return count + " " + noun + (count == 1 ? "" : "s");
  }

  private static String percent(double part) {
    // Adding 0 makes no minus before a 0.
    return String.format(Locale.ROOT, "%+.1f%%", Math.round(1_000 * part) / 10.0 + 0.0);
  }
}
