package kelvo.field;

import static kelvo.field.Formulas.percentOf;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import kelvo.history.EarlierMinutes;
import kelvo.session.SecurityFacts;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** The session before, and how price stands to the closes of those before it. */
final class PriorDayFields {
  private static final String NO_BAR = "there is no daily bar before the session";
  private static final int USUAL_SESSIONS = 20;

  private PriorDayFields() {}

  static List<Field> all() {
    return List.of(
        fromEvening(
            "last evening change %",
            Unit.PERCENT,
            "Last price of the evening before less the close before it, over it.",
            "that evening was not recorded, or nothing was traded in it",
            (facts, evening) -> percentOf(evening.close(), facts.priorClose())),
        fromEvening(
            "last evening volume",
            Unit.SHARES,
            "Shares traded after the close of the session before, in today's shares.",
            "that evening was not recorded",
            (facts, evening) -> evening.shares()),
        ofLast(
            "prior-day change %",
            Unit.PERCENT,
            "Change of the session before.",
            "there are fewer than two sessions",
            PriorDayFields::change),
        ofLast(
            "prior-day high",
            Unit.PRICE,
            "High of the session before.",
            NO_BAR,
            h -> Price.dollars(h.last().high())),
        ofLast(
            "prior-day low",
            Unit.PRICE,
            "Low of the session before.",
            NO_BAR,
            h -> Price.dollars(h.last().low())),
        ofLast(
            "prior-day close",
            Unit.PRICE,
            "Close of the session before.",
            NO_BAR,
            h -> Price.dollars(h.lastClose())),
        ofLast(
            "prior-day range",
            Unit.PRICE,
            "High less low of the session before.",
            NO_BAR,
            h -> Price.dollars(h.last().high()) - Price.dollars(h.last().low())),
        ofLast(
            "prior-day trades",
            Unit.COUNT,
            "Prints of the session before.",
            NO_BAR,
            h -> h.last().trades()),
        ofLast(
            "prior-day relative volume",
            Unit.TIMES,
            "Volume of the session before over the mean of the 20 sessions before it.",
            "there are fewer than 21 sessions, or nothing was traded in the 20",
            PriorDayFields::relativeVolume),
        ofLast(
            "prior-day close position",
            Unit.TIMES,
            "Where the session before closed between its low (0) and its high (1).",
            "there is no daily bar before the session, or it has one price",
            h -> closePosition(h.last())),
        ofLast(
            "days up",
            Unit.COUNT,
            "Closes in a row above the one before, ending yesterday.",
            NO_BAR,
            h -> streak(h, 1)),
        ofLast(
            "days down",
            Unit.COUNT,
            "Closes in a row below the one before, ending yesterday.",
            NO_BAR,
            h -> streak(h, -1)),
        ofLast(
            "high since listing",
            Unit.PRICE,
            "Highest high of all daily bars there are.",
            NO_BAR,
            h -> Price.dollars(h.highest(h.size()))),
        ofLast(
            "low since listing",
            Unit.PRICE,
            "Lowest low of all daily bars there are.",
            NO_BAR,
            h -> Price.dollars(h.lowest(h.size()))),
        new Field.Number(
            "short sale restricted",
            Unit.FLAG,
            Field.Pace.EVENTS,
            "Fell 10% or more below the close before, today or yesterday: rule 201, from memory, asks for it on the rest of the day and on the next.",
            "never",
            session -> {
              KnownNumber yesterday =
                  KnownNumber.of(
                      session, "fell yesterday", f -> fellYesterday(f.history()) ? 1 : 0);
              return (s, now) -> yesterday.of(s) == 1 || fellToday(s) ? 1 : 0;
            }));
  }

  private interface EveningValue {
    double of(SecurityFacts facts, EarlierMinutes.Evening evening);
  }

  private static Field fromEvening(
      String words, Unit unit, String meaning, String unknown, EveningValue value) {
    return new Field.Number(
        words,
        unit,
        Field.Pace.FIXED,
        meaning,
        unknown,
        session ->
            (s, now) -> {
              EarlierMinutes.Evening evening = session.earlier().minutes().evening(s.id());
              return evening == null ? Double.NaN : value.of(session.security(s.id()), evening);
            });
  }

  static List<FieldFamily> families() {
    return List.of(FieldFamily.ofNumber("change Nd %", PriorDayFields::changeOver));
  }

  private static Field changeOver(int n) {
    return new Field.Number(
        "change " + n + "d %",
        Unit.PERCENT,
        Field.Pace.QUOTES,
        "Price less the close " + n + " sessions ago, over it.",
        "there are fewer than " + n + " sessions",
        session -> {
          KnownNumber closes =
              KnownNumber.of(session, "close " + n + " ago", f -> closeAgo(f.history(), n));
          return (s, now) -> percentOf(s.price(), (long) closes.of(s));
        });
  }

  private static long closeAgo(DailyHistory history, int n) {
    int size = history.size();
    return size < n ? Price.NONE : history.bars().close(size - n);
  }

  private static double change(DailyHistory history) {
    DailyBarList bars = history.bars();
    int n = bars.size();
    return n < 2 ? Double.NaN : percentOf(bars.close(n - 1), bars.close(n - 2));
  }

  private static double relativeVolume(DailyHistory history) {
    DailyBarList bars = history.bars();
    int last = bars.size() - 1;
    if (last < USUAL_SESSIONS) {
      return Double.NaN;
    }
    double usual =
        IntStream.range(last - USUAL_SESSIONS, last).mapToLong(bars::volume).average().orElse(0);
    return usual > 0 ? bars.volume(last) / usual : Double.NaN;
  }

  private static double closePosition(DailyBar bar) {
    return bar.high() == bar.low()
        ? Double.NaN
        : (bar.close() - bar.low()) / (double) (bar.high() - bar.low());
  }

  private static int streak(DailyHistory history, int direction) {
    DailyBarList bars = history.bars();
    int first = bars.size() - 1;
    while (first > 0 && direction * Long.compare(bars.close(first), bars.close(first - 1)) > 0) {
      first--;
    }
    return bars.size() - 1 - first;
  }

  private static boolean fellYesterday(DailyHistory history) {
    int size = history.size();
    return size >= 2 && fell(history.last().low(), history.bars().close(size - 2));
  }

  private static boolean fellToday(SymbolState state) {
    long close = state.market().session().security(state.id()).priorClose();
    return state.dayLow() != Price.NONE && close != Price.NONE && fell(state.dayLow(), close);
  }

  private static boolean fell(long low, long close) {
    return 10 * low <= 9 * close;
  }

  /** A field of the daily bars, unknown without any. */
  private static Field ofLast(
      String words,
      Unit unit,
      String meaning,
      String unknown,
      ToDoubleFunction<DailyHistory> value) {
    return ActivityFields.fixed(
        words,
        unit,
        meaning,
        unknown,
        f -> f.history().size() == 0 ? Double.NaN : value.applyAsDouble(f.history()));
  }
}
