package kelvo.field;

import java.util.List;
import kelvo.session.Session;
import kelvo.state.StatusSoFar;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;

/** Whether a security trades. */
final class HaltFields {
  private static final long LAST_TEN_MINUTES = 10 * DayTime.MINUTE;

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
            session -> (s, now) -> minutesSinceResume(s.status(), now)));
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
