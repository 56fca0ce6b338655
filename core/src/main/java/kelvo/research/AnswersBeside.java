package kelvo.research;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import kelvo.statistics.DifferenceInterval;

/**
 * Two answers side by side. Cases are the same when they are of one security at one moment of one
 * session.
 *
 * @param both cases of the one that the other has too
 * @param onlyFirst cases of the first alone
 * @param onlySecond likewise
 * @param difference how much more the first made in the mean, each until its own horizon
 */
public record AnswersBeside(
    List<ResearchCase> both,
    List<ResearchCase> onlyFirst,
    List<ResearchCase> onlySecond,
    DifferenceInterval difference) {
  public AnswersBeside {
    both = List.copyOf(both);
    onlyFirst = List.copyOf(onlyFirst);
    onlySecond = List.copyOf(onlySecond);
  }

  /** Holds one answer against another. */
  public static AnswersBeside of(Answer first, Answer second) {
    Set<String> here = keys(first);
    Set<String> there = keys(second);
    Set<LocalDate> dates = new TreeSet<>();
    first.cases().forEach(one -> dates.add(one.date()));
    second.cases().forEach(one -> dates.add(one.date()));
    return new AnswersBeside(
        first.cases().stream().filter(one -> there.contains(key(one))).toList(),
        first.cases().stream().filter(one -> !there.contains(key(one))).toList(),
        second.cases().stream().filter(one -> !here.contains(key(one))).toList(),
        DifferenceInterval.of(bySession(first, dates), bySession(second, dates)));
  }

  private static Set<String> keys(Answer answer) {
    return answer.cases().stream().map(AnswersBeside::key).collect(Collectors.toSet());
  }

  private static String key(ResearchCase one) {
    return one.date() + " " + one.symbol() + " " + one.at();
  }

  private static List<double[]> bySession(Answer answer, Set<LocalDate> dates) {
    return dates.stream()
        .map(
            date ->
                answer.cases().stream()
                    .filter(one -> one.date().equals(date))
                    .mapToDouble(one -> one.result(answer.until()))
                    .filter(result -> !Double.isNaN(result))
                    .toArray())
        .toList();
  }

  /** How much more the first made, as the end of a sentence that begins with the second. */
  public String words() {
    String made =
        Double.isNaN(difference.difference())
            ? "no difference can be told"
            : String.format(Locale.ROOT, "%+.1f%% in the mean", 100 * difference.difference());
    String chance =
        Double.isNaN(difference.low())
            ? ""
            : String.format(
                Locale.ROOT,
                " (%+.1f%% to %+.1f%%)",
                100 * difference.low(),
                100 * difference.high());
    return made + chance;
  }
}
