package kelvo.field;

import java.util.List;
import kelvo.state.SymbolState;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;

/** Whether a security trades. */
final class HaltFields {
  private static final double PAUSE_MINUTES = 5;

  private HaltFields() {}

  static List<Field> all() {
    return List.of(
        new Field.Number(
            "halted",
            Unit.FLAG,
            Field.Pace.EVENTS,
            "Trading is halted or only quoting.",
            "never",
            session -> (s, now) -> s.status().state() == TradingState.TRADING ? 0 : 1),
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
            "Minutes until a volatility pause of five minutes ends, 0 once it is overdue.",
            "it trades, or its halt has no usual length",
            session -> HaltFields::minutesToResume));
  }

  private static double minutesToResume(SymbolState state, long now) {
    boolean pause =
        state.status().haltReason().equals("LUDP") || state.status().haltReason().equals("T5");
    if (state.status().state() == TradingState.TRADING || !pause) {
      return Double.NaN;
    }
    double since = (now - state.status().since()) / (double) DayTime.MINUTE;
    return Math.max(0, Math.ceil(PAUSE_MINUTES - since));
  }
}
