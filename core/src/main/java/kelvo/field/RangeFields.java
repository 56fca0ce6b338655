package kelvo.field;

import static kelvo.field.Formulas.percentOf;
import static kelvo.field.Formulas.ratio;

import java.util.List;
import java.util.function.ToLongFunction;
import java.util.stream.IntStream;
import kelvo.history.Averages;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import kelvo.history.Swings;
import kelvo.session.SecurityFacts;
import kelvo.state.Market;
import kelvo.state.OpeningRange;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/** Highs, lows and ranges: of the day and its spans, of N days, in average true ranges. */
final class RangeFields {
  private static final String NO_PRINT = "no such print yet";
  private static final String NO_DAY = "regular hours have no print yet";
  private static final int YEAR = 250;
  private static final int MONTH = 20;
  private static final int ATR_SESSIONS = 14;

  private RangeFields() {}

  static List<Field> all() {
    return List.of(
        high("day", "regular hours", (s, now) -> dollars(s.dayHigh())),
        low("day", "regular hours", (s, now) -> dollars(s.dayLow())),
        high("premarket", "04:00 to 09:30", (s, now) -> dollars(s.premarketHigh())),
        low("premarket", "04:00 to 09:30", (s, now) -> dollars(s.premarketLow())),
        high("session", "the time since 04:00", (s, now) -> dollars(s.sessionHigh())),
        low("session", "the time since 04:00", (s, now) -> dollars(s.sessionLow())),
        live("day range", Unit.PRICE, "Day high less day low.", NO_DAY, (s, now) -> dayRange(s)),
        live(
            "day range %",
            Unit.PERCENT,
            "Day high less day low, over day low.",
            NO_DAY,
            (s, now) -> percentOf(s.dayHigh(), s.dayLow())),
        live(
            "range position",
            Unit.TIMES,
            "Where price stands between day low (0) and day high (1).",
            "the day has no range yet",
            (s, now) -> ratio(s.price() - s.dayLow(), s.dayHigh() - s.dayLow())),
        bound(
            "range ratio",
            Unit.TIMES,
            "Today's day range over the mean daily range of the last 20 sessions.",
            "regular hours have no print yet, or there are fewer than 20 sessions",
            session -> {
              KnownNumber means =
                  KnownNumber.of(session, "mean range", f -> meanRange(f.history()));
              return (s, now) -> ratio(dayRange(s), means.of(s));
            }),
        ActivityFields.fixed(
            "atr 14d",
            Unit.PRICE,
            "Average true range of 14 sessions, Wilder's smoothing.",
            "there are fewer than 15 sessions",
            RangeFields::atr),
        inAtrs("range in atrs", "Day range over atr 14d.", (s, now) -> dayRange(s)),
        inAtrs(
            "extension from vwap",
            "Price less vwap, over atr 14d.",
            (s, now) -> Price.dollars(s.price()) - s.vwapAt(now)),
        inAtrs(
            "extension from ema 9",
            "Price less ema 9, over atr 14d.",
            (s, now) -> Price.dollars(s.price()) - s.ema9()),
        yearly(
            "52w high",
            "Highest high of the sessions of the last 364 days, or since it was listed.",
            RangeFields::yearHigh),
        yearly(
            "52w low",
            "Lowest low of the sessions of the last 364 days, or since it was listed.",
            RangeFields::yearLow),
        distance("52w high", MONTH, RangeFields::yearHigh),
        distance("52w low", MONTH, RangeFields::yearLow),
        swing(
            "overhead %",
            "How far the nearest earlier daily swing high above price is; clear when none of the"
                + " last 250 sessions has one.",
            1),
        swing(
            "room below %",
            "How far the nearest earlier daily swing low below price is; clear when none of the"
                + " last 250 sessions has one.",
            -1),
        live(
            "gap filled %",
            Unit.PERCENT,
            "The deepest part of the opening gap that was retraced so far, 0 to 100.",
            "there is no open, or no gap",
            (s, now) -> gapFilled(s)));
  }

  static List<FieldFamily> families() {
    return List.of(
        FieldFamily.ofNumber(
            "Nd high",
            n ->
                days(
                    n + "d high",
                    "Highest high of the last " + n + " sessions.",
                    n,
                    h -> h.highest(n))),
        FieldFamily.ofNumber(
            "Nd low",
            n ->
                days(
                    n + "d low",
                    "Lowest low of the last " + n + " sessions.",
                    n,
                    h -> h.lowest(n))),
        FieldFamily.ofNumber(
            "distance to Nd high", n -> distance(n + "d high", n, h -> h.highest(n))),
        FieldFamily.ofNumber("distance to Nd low", n -> distance(n + "d low", n, h -> h.lowest(n))),
        FieldFamily.ofNumber("Nd range position", RangeFields::rangePosition),
        FieldFamily.ofNumber("opening range high Nm", n -> openingRange(n, 1)),
        FieldFamily.ofNumber("opening range low Nm", n -> openingRange(n, -1)));
  }

  private static Field openingRange(int minutes, int direction) {
    String side = direction > 0 ? "high" : "low";
    return bound(
        "opening range " + side + " " + minutes + "m",
        Unit.PRICE,
        (direction > 0 ? "Highest" : "Lowest")
            + " eligible print of the first "
            + minutes
            + " minutes of regular hours.",
        NO_PRINT,
        session -> new OpeningRangeBound(minutes, direction));
  }

  /** The high or low of an opening range of whichever market asks. */
  private static final class OpeningRangeBound implements Field.SettlingReading {
    private final int minutes;
    private final int direction;
    private @Nullable Market market;
    private @Nullable OpeningRange range;

    /** The high, or the low for a direction below 0. */
    OpeningRangeBound(int minutes, int direction) {
      this.minutes = minutes;
      this.direction = direction;
    }

    private OpeningRange of(SymbolState state) {
      OpeningRange known = range;
      if (known == null || market != state.market()) {
        market = state.market();
        known = state.market().openingRange(minutes);
        range = known;
      }
      return known;
    }

    @Override
    public double at(SymbolState state, long now) {
      OpeningRange of = of(state);
      return dollars(direction > 0 ? of.high(state, now) : of.low(state, now));
    }

    @Override
    public long begins() {
      return SessionHours.OPEN;
    }

    @Override
    public int direction() {
      return direction;
    }

    @Override
    public boolean isSettled(SymbolState state) {
      return of(state).isOver(state);
    }
  }

  private static Field rangePosition(int n) {
    return bound(
        n + "d range position",
        Unit.TIMES,
        "Where price stands between " + n + "d low (0) and " + n + "d high (1).",
        fewer(n),
        session -> {
          KnownNumber highs =
              KnownNumber.of(session, "highest of " + n, f -> f.history().highest(n));
          KnownNumber lows = KnownNumber.of(session, "lowest of " + n, f -> f.history().lowest(n));
          return (s, now) ->
              s.price() == Price.NONE
                  ? Double.NaN
                  : ratio(s.price() - lows.of(s), highs.of(s) - lows.of(s));
        });
  }

  private static Field distance(String line, int n, ToLongFunction<DailyHistory> level) {
    return bound(
        "distance to " + line,
        Unit.PERCENT,
        "Price less " + line + ", over " + line + ".",
        fewer(n),
        session -> {
          KnownNumber levels =
              KnownNumber.of(session, "level " + line, f -> level.applyAsLong(f.history()));
          return (s, now) -> percentOf(s.price(), (long) levels.of(s));
        });
  }

  private static Field yearly(String words, String meaning, ToLongFunction<DailyHistory> level) {
    return days(words, meaning, MONTH, level);
  }

  private static Field days(
      String words, String meaning, int n, ToLongFunction<DailyHistory> level) {
    return ActivityFields.fixed(
        words, Unit.PRICE, meaning, fewer(n), f -> dollars(level.applyAsLong(f.history())));
  }

  private static Field swing(String words, String meaning, int direction) {
    return bound(
        words,
        Unit.PERCENT,
        meaning,
        "there are fewer than 5 sessions",
        session -> {
          PerSecurity<Swings> swings =
              PerSecurity.of(session, "swings", f -> Swings.of(f.history().lastOnes(YEAR)));
          return (s, now) ->
              direction > 0 ? swings.of(s).overhead(s.price()) : swings.of(s).roomBelow(s.price());
        });
  }

  private static Field inAtrs(String words, String meaning, Field.Reading dollars) {
    return bound(
        words,
        Unit.TIMES,
        meaning,
        "there are fewer than 15 sessions, or no print yet",
        session -> {
          KnownNumber atrs = KnownNumber.of(session, "atr 14", RangeFields::atr);
          return (s, now) -> dollars.at(s, now) / atrs.of(s);
        });
  }

  private static double atr(SecurityFacts facts) {
    DailyBarList bars = facts.history().bars();
    return bars.isEmpty() ? Double.NaN : Averages.atr(bars, ATR_SESSIONS)[bars.size() - 1];
  }

  private static long yearHigh(DailyHistory history) {
    return history.highest(history.sessionsOf52Weeks());
  }

  private static long yearLow(DailyHistory history) {
    return history.lowest(history.sessionsOf52Weeks());
  }

  private static double meanRange(DailyHistory history) {
    DailyBarList bars = history.bars();
    return history.size() < MONTH
        ? Double.NaN
        : IntStream.range(history.size() - MONTH, history.size())
            .mapToDouble(i -> Price.dollars(bars.high(i)) - Price.dollars(bars.low(i)))
            .average()
            .orElse(Double.NaN);
  }

  private static double dayRange(SymbolState state) {
    return state.dayHigh() == Price.NONE
        ? Double.NaN
        : Price.dollars(state.dayHigh()) - Price.dollars(state.dayLow());
  }

  private static double gapFilled(SymbolState state) {
    long gap = state.open() - state.previousClose();
    if (state.open() == Price.NONE
        || state.previousClose() == Price.NONE
        || gap == 0
        || state.dayHigh() == Price.NONE) {
      return Double.NaN;
    }
    long back = gap > 0 ? state.open() - state.dayLow() : state.dayHigh() - state.open();
    return Math.clamp(100.0 * back / Math.abs(gap), 0, 100);
  }

  private static double dollars(long price) {
    return price == Price.NONE ? Double.NaN : Price.dollars(price);
  }

  private static String fewer(int n) {
    return "there are fewer than " + n + " sessions";
  }

  private static Field high(String span, String hours, Field.Reading reading) {
    return live(
        span + " high", Unit.PRICE, "Highest eligible print of " + hours + ".", NO_PRINT, reading);
  }

  private static Field low(String span, String hours, Field.Reading reading) {
    return live(
        span + " low", Unit.PRICE, "Lowest eligible print of " + hours + ".", NO_PRINT, reading);
  }

  private static Field live(
      String words, Unit unit, String meaning, String unknown, Field.Reading reading) {
    return bound(words, unit, meaning, unknown, session -> reading);
  }

  private static Field bound(
      String words, Unit unit, String meaning, String unknown, Field.Binder binder) {
    return new Field.Number(words, unit, Field.Pace.EVENTS, meaning, unknown, binder);
  }
}
