package kelvo.field;

import static kelvo.field.Formulas.ratio;

import java.util.List;
import java.util.function.ToDoubleFunction;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.DaySoFar;
import kelvo.state.LargestPrint;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;
import kelvo.state.TapeFollower;
import kelvo.state.VolumeSince;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** Volume, prints and money traded. */
final class ActivityFields {
  private static final long FIVE_MINUTES = 5 * DayTime.MINUTE;
  private static final String NEVER = "never";
  private static final long IDLE_KNOWN_FROM = DayTime.of(4, 29);

  private ActivityFields() {}

  static List<Field> all() {
    return List.of(
        live(
            "volume",
            Unit.SHARES,
            "Shares of all prints that update volume, since 04:00.",
            (s, now) -> s.volume()),
        live(
            "premarket volume",
            Unit.SHARES,
            "Shares traded from 04:00 to 09:30.",
            (s, now) -> s.premarketVolume()),
        live(
            "regular volume",
            Unit.SHARES,
            "Shares traded in regular hours.",
            (s, now) -> s.regularVolume()),
        live(
            "trades",
            Unit.COUNT,
            "Prints that update volume, since 04:00.",
            (s, now) -> s.trades()),
        live(
            "premarket trades",
            Unit.COUNT,
            "Prints from 04:00 to 09:30.",
            (s, now) -> s.premarketTrades()),
        live(
            "dollar volume",
            Unit.MONEY,
            "Sum of price times shares since 04:00.",
            (s, now) -> s.dollarVolume() / (double) Price.DOLLAR),
        live(
            "premarket dollar volume",
            Unit.MONEY,
            "Sum of price times shares from 04:00 to 09:30.",
            (s, now) -> s.premarketDollarVolume() / (double) Price.DOLLAR),
        live(
            "after-hours volume",
            Unit.SHARES,
            "Shares traded after the close.",
            (s, now) -> s.afterHoursVolume()),
        new Field.Number(
            "largest print",
            Unit.SHARES,
            Field.Pace.EVENTS,
            "Shares of the largest print since 04:00, averaged, derived and contingent prices left out.",
            NEVER,
            session -> {
              TapeFollower<LargestPrint> largest = LargestPrint.of(session);
              return (s, now) -> largest.of(s).shares();
            },
            moment -> moment.soFar().largestPrint()),
        new Field.Number(
            "largest print $",
            Unit.MONEY,
            Field.Pace.EVENTS,
            "Money of the most expensive print since 04:00, averaged, derived and contingent prices left out.",
            NEVER,
            session -> {
              TapeFollower<LargestPrint> largest = LargestPrint.of(session);
              return (s, now) -> largest.of(s).money() / (double) Price.DOLLAR;
            },
            moment -> moment.soFar().largestMoney() / (double) Price.DOLLAR),
        shares(SlidingSpan.ONE_MINUTE, Field.Pace.LAST_MINUTE, "minute"),
        trades(SlidingSpan.ONE_MINUTE, Field.Pace.LAST_MINUTE, "minute"),
        shares(SlidingSpan.FIVE_MINUTES, Field.Pace.LAST_FIVE_MINUTES, "five minutes"),
        trades(SlidingSpan.FIVE_MINUTES, Field.Pace.LAST_FIVE_MINUTES, "five minutes"),
        new Field.Number(
            "buying share 1m",
            Unit.PERCENT,
            Field.Pace.CLOCK,
            "Share of the last minute's volume that traded above the middle of bid and ask; what traded at the middle counts as half. Averaged, derived and contingent prices are left out.",
            "the last minute has no print, or none with a two-sided quote",
            session -> (s, now) -> 100 * s.moment(now).buyingShare(),
            moment -> 100 * moment.buyingShare()),
        clocked(
            "idle minutes 30",
            Unit.COUNT,
            "How many of the last 30 minutes, the running one included, carry no print.",
            "it is before 04:29",
            session -> (s, now) -> now < IDLE_KNOWN_FROM ? Double.NaN : s.idleMinutes(now)),
        new Field.Number(
            "relative volume",
            Unit.TIMES,
            Field.Pace.FALLING,
            "Volume over the mean volume up to this time of day in the last 20 full sessions.",
            "fewer than 10 sessions have minute bars, or nothing was traded by then",
            session ->
                (s, now) -> ratio(s.volume(), session.earlier().volume().meanUpTo(s.id(), now))),
        clocked(
            "volume burst",
            Unit.TIMES,
            "Shares of the last five minutes over their mean in the same five minutes of the day in the last 20 full sessions.",
            "fewer than 10 sessions have minute bars, or nothing was traded then",
            session -> (s, now) -> burst(session, s, SlidingSpan.FIVE_MINUTES, FIVE_MINUTES, now)),
        clocked(
            "volume burst 1m",
            Unit.TIMES,
            "Shares of the last minute over their mean in the same minute of the day in the last 20 full sessions.",
            "fewer than 10 sessions have minute bars, or nothing was traded then",
            session -> (s, now) -> burst(session, s, SlidingSpan.ONE_MINUTE, DayTime.MINUTE, now)),
        clocked(
            "tape speed",
            Unit.TIMES,
            "Prints of the last minute over their mean in the same minute of the day in the last 20 full sessions.",
            "fewer than 10 sessions have minute bars with trades, or nothing was traded then",
            session ->
                (s, now) ->
                    ratio(
                        s.trades(SlidingSpan.ONE_MINUTE, now),
                        session.earlier().trades().meanOf(DayTime.MINUTE, s.id(), now))),
        clocked(
            "projected volume",
            Unit.SHARES,
            "Volume over the part of a day that is usually traded by this time, in the last 20 full sessions.",
            "fewer than 10 sessions have minute bars, or nothing was traded by then",
            ProjectedVolume::bind),
        clocked(
            "projected relative volume",
            Unit.TIMES,
            "Projected volume over avg volume 20d.",
            "the projected volume is unknown, or there are fewer than 20 sessions",
            ProjectedVolume::bindRelative),
        live(
            "imbalance",
            Unit.SHARES,
            "Shares that the next auction has not paired by its newest message, below 0 when sellers wait; 0 before a message and once the auction has happened.",
            (s, now) -> s.imbalance()),
        clocked(
            "mentions 1h",
            Unit.COUNT,
            "How many people have talked of it in the last hour.",
            "nobody counts mentions of it today",
            session -> (s, now) -> s.mentioned() ? s.mentions(DayTime.HOUR, now) : Double.NaN),
        clocked(
            "mentions change %",
            Unit.PERCENT,
            "Mentions of the last hour against their mean in the same hour of the day in the last 20 full sessions.",
            "fewer than 10 sessions counted mentions, nobody talked then, or nobody counts today",
            session ->
                (s, now) -> {
                  double usual = session.earlier().mentions().meanOf(DayTime.HOUR, s.id(), now);
                  return s.mentioned() && usual > 0
                      ? Formulas.percentOf((double) s.mentions(DayTime.HOUR, now), usual)
                      : Double.NaN;
                }),
        since(
            "news",
            "Shares traded since the newest item was published; of an item of an earlier session, since 04:00.",
            "no item names it",
            VolumeSince::volumeSinceNews,
            DaySoFar.Answer::volumeSinceNews),
        since(
            "resume",
            "Shares traded since trading began again after the newest halt.",
            "it was not halted today, or is halted",
            VolumeSince::volumeSinceResume,
            DaySoFar.Answer::volumeSinceResume),
        new Field.Number(
            "float turnover",
            Unit.TIMES,
            Field.Pace.EVENTS,
            "Volume over float.",
            "the float is unknown",
            ActivityFields::floatTurnover));
  }

  static List<FieldFamily> families() {
    return List.of(
        FieldFamily.ofNumber(
            "avg volume Nd",
            n ->
                fixed(
                    "avg volume " + n + "d",
                    Unit.SHARES,
                    "Mean daily volume of the last " + n + " sessions, today excluded.",
                    "there are fewer than " + n + " sessions",
                    f -> f.history().averageVolume(n))),
        FieldFamily.ofNumber(
            "avg dollar volume Nd",
            n ->
                fixed(
                    "avg dollar volume " + n + "d",
                    Unit.MONEY,
                    "Mean of close times volume over the last " + n + " sessions, today excluded.",
                    "there are fewer than " + n + " sessions",
                    f -> f.history().averageMoney(n))));
  }

  private static Field shares(SlidingSpan span, Field.Pace pace, String words) {
    return new Field.Number(
        "volume " + span.words(),
        Unit.SHARES,
        pace,
        "Shares of the last " + words + ", exact to the print.",
        NEVER,
        session -> (s, now) -> s.shares(span, now),
        moment -> moment.shares(span));
  }

  private static Field trades(SlidingSpan span, Field.Pace pace, String words) {
    return new Field.Number(
        "trades " + span.words(),
        Unit.COUNT,
        pace,
        "Prints of the last " + words + ".",
        NEVER,
        session -> (s, now) -> s.trades(span, now),
        moment -> moment.trades(span));
  }

  private static Field since(
      String event,
      String meaning,
      String unknown,
      ToDoubleFunction<VolumeSince> shares,
      ToDoubleFunction<DaySoFar.Answer> fromTape) {
    return new Field.Number(
        "volume since " + event,
        Unit.SHARES,
        Field.Pace.EVENTS,
        meaning,
        unknown,
        session -> {
          TapeFollower<VolumeSince> since = VolumeSince.of(session);
          return (s, now) -> shares.applyAsDouble(since.of(s));
        },
        moment -> fromTape.applyAsDouble(moment.soFar()));
  }

  private static Field clocked(
      String words, Unit unit, String meaning, String unknown, Field.Binder binder) {
    return new Field.Number(words, unit, Field.Pace.CLOCK, meaning, unknown, binder);
  }

  private static double burst(
      Session session, SymbolState state, SlidingSpan span, long length, long now) {
    double usual = session.earlier().volume().meanOf(length, state.id(), now);
    return usual > 0 ? ratio(state.shares(span, now), usual) : Double.NaN;
  }

  private static Field.Reading floatTurnover(Session session) {
    KnownNumber floats = KnownNumber.of(session, "float shares", SecurityFacts::floatShares);
    return (state, now) -> ratio(state.volume(), floats.of(state));
  }

  private static Field live(String words, Unit unit, String meaning, Field.Reading reading) {
    return new Field.Number(words, unit, Field.Pace.EVENTS, meaning, NEVER, session -> reading);
  }

  /** A field computed once a session from what is known beforehand. */
  static Field fixed(
      String words,
      Unit unit,
      String meaning,
      String unknown,
      ToDoubleFunction<SecurityFacts> value) {
    return new Field.Number(
        words,
        unit,
        Field.Pace.FIXED,
        meaning,
        unknown,
        session -> {
          KnownNumber values = KnownNumber.of(session, "field " + words, value);
          return (state, now) -> values.of(state);
        });
  }
}
