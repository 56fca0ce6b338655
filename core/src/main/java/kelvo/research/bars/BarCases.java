package kelvo.research.bars;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.refusal.RefusedException;
import kelvo.research.CaseMoment;
import kelvo.research.CasePath;
import kelvo.research.CaseResults;
import kelvo.research.CaseTraits;
import kelvo.research.Cut;
import kelvo.research.LaterDays;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.research.UsualSpreads;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;

/**
 * The cases of a question in one session of which minute bars are known. Rules are asked at the end
 * of each bar; what happens within a minute cannot be told. Owned by one thread.
 */
public final class BarCases {
  private static final Set<Trigger> NEW_EXTREMES =
      Set.of(
          Trigger.NEW_HIGH_OF_DAY,
          Trigger.NEW_LOW_OF_DAY,
          Trigger.NEW_HIGH_OF_PREMARKET,
          Trigger.NEW_LOW_OF_PREMARKET,
          Trigger.NEW_HIGH_OF_SESSION,
          Trigger.NEW_LOW_OF_SESSION);

  private final BarSession session;
  private final Question question;
  private final LaterDays later;
  private final ScanCheck check;
  private final DayBounds bounds;
  private final CaseTraits.Reader traits;
  private final BarRows bars;
  private final UsualSpreads spreads;
  private final BarState state;
  private final long[] previousCloses;
  private final double[] floats;
  private final boolean enters;
  private final int extremes;
  private final List<ResearchCase> cases = new ArrayList<>();

  private BarCases(BarSession session, Question question, LaterDays later, UsualSpreads spreads) {
    this.spreads = spreads;
    this.session = session;
    this.question = question;
    this.later = later;
    Scan scan = question.scan();
    List<Field> asked = new ArrayList<>(fields(scan).toList());
    Cut.USUAL.forEach(cut -> cut.field().ifPresent(asked::add));
    asked.addAll(question.own());
    session.know(asked);
    BarValues values = new BarValues(session);
    check = new ScanCheck(scan, values);
    bounds =
        switch (question.moment()) {
          case CaseMoment.At at -> {
            long moment = at.in(session.hours());
            yield new DayBounds(check, session, moment, moment);
          }
          case CaseMoment.FirstHit _, CaseMoment.EveryMove _ ->
              new DayBounds(check, session, scan.from(), scan.to());
        };
    traits = new CaseTraits.Reader(question, session.date(), values, BarValues::tell);
    bars = new BarRows(session.minutes());
    state = new BarState(session.hours(), session.minutes().trades() != null);
    previousCloses = session.previousCloses();
    floats = session.floats();
    enters = scan.triggers().contains(Trigger.ENTERS);
    extremes =
        scan.triggers().stream()
            .filter(NEW_EXTREMES::contains)
            .mapToInt(Trigger::effect)
            .reduce(0, (all, one) -> all | one);
  }

  /**
   * The cases, by their moments.
   *
   * @param later how its securities traded afterwards
   * @param spreads stand for those that no quote told
   * @throws RefusedException when the question asks what minute bars {@link #untold cannot tell}
   */
  public static List<ResearchCase> of(
      BarSession session, Question question, LaterDays later, UsualSpreads spreads) {
    untold(question)
        .ifPresent(
            why -> {
              throw new RefusedException(why);
            });
    BarCases found = new BarCases(session, question, later, spreads);
    for (int place = 0; place < session.size(); place++) {
      if (found.bounds.mayHold(place)) {
        found.look(place);
      }
    }
    found.cases.sort(
        Comparator.comparingLong(ResearchCase::at).thenComparing(ResearchCase::symbol));
    return found.cases;
  }

  /** The words of the fields that change during a session and that minute bars can tell. */
  public static List<String> fieldsOfBars() {
    return Arrays.stream(BarField.values()).map(BarField::words).toList();
  }

  /** The first rule or trigger of a question that minute bars cannot tell; empty when they can. */
  public static Optional<String> untold(Question question) {
    Scan scan = question.scan();
    Stream<String> triggers =
        question.moment() instanceof CaseMoment.At
            ? Stream.of()
            : scan.triggers().stream()
                .filter(trigger -> !trigger.equals(Trigger.ENTERS))
                .filter(trigger -> !NEW_EXTREMES.contains(trigger))
                .map(trigger -> "trigger \"" + trigger.words() + "\"");
    return Stream.concat(
            rules(scan)
                .filter(rule -> !rule.fields().stream().allMatch(BarValues::tell))
                .map(rule -> "rule \"" + rule.sentence() + "\""),
            triggers)
        .findFirst();
  }

  private static Stream<Rule> rules(Scan scan) {
    return Stream.concat(
        Stream.concat(scan.universe().rules().stream(), scan.rules().stream()),
        scan.anyOf().stream().flatMap(List::stream));
  }

  private static Stream<Field> fields(Scan scan) {
    return rules(scan).flatMap(rule -> rule.fields().stream());
  }

  private void look(int place) {
    bars.moveTo(place);
    state.begin(place, previousCloses[place], floats[place]);
    switch (question.moment()) {
      case CaseMoment.FirstHit first -> hits(first.from(), Long.MAX_VALUE);
      case CaseMoment.EveryMove moves -> hits(DayTime.FIRST, moves.gap());
      case CaseMoment.At at -> match(at.in(session.hours()));
    }
  }

  /**
   * The hits of one security that begin a move.
   *
   * @param from the first moment of a case
   * @param gap how long a pause between two hits ends a move; more than a day for the first alone
   */
  private void hits(long from, long gap) {
    Scan scan = question.scan();
    boolean held = false;
    long last = Long.MIN_VALUE;
    for (int row = 0; row < bars.size(); row++) {
      int effect = state.take(bars, row);
      long end = (bars.minute(row) + 1) * DayTime.MINUTE;
      boolean holds = scan.open(end) && check.holds(state, end, session.phases().indexAt(end));
      boolean hit = holds && ((enters && !held) || (effect & extremes) != 0);
      held = holds;
      if (hit && end >= from) {
        if (last == Long.MIN_VALUE || end - last > gap) {
          found(end);
          if (gap == Long.MAX_VALUE) {
            return;
          }
        }
        last = end;
      }
    }
  }

  private void match(long time) {
    int row = 0;
    while (row < bars.size() && (bars.minute(row) + 1) * DayTime.MINUTE <= time) {
      state.take(bars, row++);
    }
    if (row > 0 && check.holds(state, time, session.phases().indexAt(time))) {
      found(time);
    }
  }

  private void found(long moment) {
    String symbol = session.symbol(state.id());
    CasePath path = new BarPath(bars, symbol, spreads);
    CasePath.Entry entry = path.entryAfter(moment, question.direction().sign());
    if (entry == null) {
      return;
    }
    CaseResults results =
        new CaseResults(symbol, path, entry, question, session.hours().close(), close(), later);
    cases.add(
        ResearchCase.of(session.date(), symbol, moment, entry, results, traits.at(state, moment)));
  }

  /** The close of the last bar of regular hours, dollars; NaN when they had none. */
  private double close() {
    int end = bars.firstFrom((int) (session.hours().close() / DayTime.MINUTE));
    boolean regular = end > 0 && session.hours().regular(bars.minute(end - 1) * DayTime.MINUTE);
    return regular ? Price.dollars(bars.close(end - 1)) : Double.NaN;
  }
}
