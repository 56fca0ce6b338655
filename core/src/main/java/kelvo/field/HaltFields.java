package kelvo.field;

import java.util.List;
import java.util.function.ToLongFunction;
import kelvo.session.Session;
import kelvo.state.BandReference;
import kelvo.state.StatusSoFar;
import kelvo.state.SymbolState;
import kelvo.state.TapeFollower;
import kelvo.state.VolatilityBand;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** Whether a security trades. */
final class HaltFields {
  private static final long LAST_TEN_MINUTES = 10 * DayTime.MINUTE;

  private static final String NO_BAND =
      "it is outside regular hours, there is no regular print yet, or it is a right or warrant";

  private HaltFields() {}

  static List<Field> all() {
    return List.of(
        new Field.Number(
            "halted",
            Unit.FLAG,
            Field.Pace.EVENTS,
            "Trading has stopped and not begun again; a new listing that has not opened is not halted.",
            "never",
            session -> (s, now) -> s.status().isHalted() ? 1 : 0),
        new Field.Number(
            "halts today",
            Unit.COUNT,
            Field.Pace.EVENTS,
            "How often trading was halted today.",
            "never",
            session -> (s, now) -> s.status().halts()),
        new Field.Word(
            "halt reason",
            Field.Pace.EVENTS,
            "Why it was halted the last time today, as the exchange's code says it, such as LUDP.",
            "it was not halted today",
            (s, now) -> s.status().haltReason()),
        new Field.Number(
            "minutes to resume",
            Unit.MINUTES,
            Field.Pace.CLOCK,
            "Minutes until a volatility pause ends: five from the halt, through quoting, and five more for each extension; 0 once it is overdue.",
            "it trades, its halt has no usual length, or it was paused in the last ten minutes, when the closing auction reopens it",
            session -> (s, now) -> minutesToResume(session, s, now)),
        new Field.Number(
            "minutes since resume",
            Unit.MINUTES,
            Field.Pace.CLOCK,
            "Whole minutes since trading began again after the newest halt.",
            "it was not halted today, or is halted",
            session -> (s, now) -> minutesSinceResume(s.status(), now)),
        new Field.Number(
            "change since halt %",
            Unit.PERCENT,
            Field.Pace.EVENTS,
            "Price less the price at the newest halt, over it.",
            "it was not halted today",
            session -> (s, now) -> Formulas.percentOf(s.price(), s.status().haltPrice())),
        new Field.Word(
            "halt direction",
            Field.Pace.EVENTS,
            "Which way price had gone in the five minutes before the newest halt: up or down.",
            "it was not halted today, or price had not moved",
            (s, now) ->
                switch (s.status().haltDirection()) {
                  case 1 -> "up";
                  case -1 -> "down";
                  default -> "";
                }),
        band("upper band", "Highest", VolatilityBand::high),
        band("lower band", "Lowest", VolatilityBand::low),
        new Field.Number(
            "distance to band %",
            Unit.PERCENT,
            Field.Pace.CLOCK,
            "How far price is from the nearer volatility band, over price; below 0 outside.",
            NO_BAND,
            session -> {
              TapeFollower<BandReference> references = BandReference.of(session);
              return (s, now) -> references.of(s).distancePercent(now);
            },
            moment -> moment.soFar().distanceToBand()));
  }

  private static Field band(String words, String edge, ToLongFunction<VolatilityBand> price) {
    return new Field.Number(
        words,
        Unit.PRICE,
        Field.Pace.CLOCK,
        edge + " price at which it may trade for the moment, by its volatility band.",
        NO_BAND,
        session -> {
          TapeFollower<BandReference> references = BandReference.of(session);
          return (s, now) -> dollars(references.of(s).band(now), price);
        },
        moment -> dollars(moment.soFar().band(), price));
  }

  private static double dollars(
      @Nullable VolatilityBand band, ToLongFunction<VolatilityBand> price) {
    return band == null ? Double.NaN : Price.dollars(price.applyAsLong(band));
  }

  private static double minutesSinceResume(StatusSoFar status, long now) {
    return status.halts() == 0 || status.isHalted()
        ? Double.NaN
        : Math.floor((now - status.since()) / (double) DayTime.MINUTE);
  }

  private static double minutesToResume(Session session, SymbolState state, long now) {
    StatusSoFar status = state.status();
    long close = session.hours().close();
    boolean untilAuction =
        status.haltedAt() >= close - LAST_TEN_MINUTES && status.haltedAt() < close;
    return status.pauseEnds() == Long.MAX_VALUE || untilAuction
        ? Double.NaN
        : Math.max(0, Math.ceil((status.pauseEnds() - now) / (double) DayTime.MINUTE));
  }
}
