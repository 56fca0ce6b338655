package kelvo.field;

import java.util.List;
import kelvo.history.DailyCoil;
import kelvo.state.FiveMinuteBars;
import kelvo.state.TapeFollower;
import kelvo.tape.Price;

/** Whether a security has gone quiet, by daily and by 5-minute bars. */
final class CoilFields {
  private CoilFields() {}

  static List<Field> all() {
    return List.of(
        daily(
            "coil",
            Unit.FLAG,
            "Daily Bollinger bands lie inside Keltner bands, today's provisional close included.",
            DailyCoil::at),
        daily(
            "coil days",
            Unit.COUNT,
            "Sessions since the daily coil last changed, 0 when it changes today.",
            DailyCoil::barsSince),
        fiveMinutes(
            "coil 5m",
            Unit.FLAG,
            "Bollinger bands of the session's 5-minute bars lie inside Keltner bands, the running bar's close included.",
            session -> {
              TapeFollower<FiveMinuteBars> bars = FiveMinuteBars.of(session);
              return (s, now) -> bars.of(s).now();
            },
            moment -> moment.soFar().coil()),
        fiveMinutes(
            "coil 5m bars",
            Unit.COUNT,
            "5-minute bars since the 5-minute coil last changed, 0 when it changes in the running one.",
            session -> {
              TapeFollower<FiveMinuteBars> bars = FiveMinuteBars.of(session);
              return (s, now) -> bars.of(s).since();
            },
            moment -> moment.soFar().coilBars()));
  }

  private static Field fiveMinutes(
      String words, Unit unit, String meaning, Field.Binder binder, Field.TapeReading fromTape) {
    return new Field.Number(
        words,
        unit,
        Field.Pace.EVENTS,
        meaning,
        "fewer than 21 bars of five minutes are complete",
        binder,
        fromTape);
  }

  private static Field daily(String words, Unit unit, String meaning, CoilValue value) {
    return new Field.Number(
        words,
        unit,
        Field.Pace.EVENTS,
        meaning,
        "there are fewer than 21 sessions, or no price",
        session -> {
          PerSecurity<DailyCoil> coils =
              PerSecurity.of(session, "daily coil", facts -> new DailyCoil(facts.history()));
          return (s, now) ->
              s.price() == Price.NONE
                  ? Double.NaN
                  : value.of(coils.of(s), Price.dollars(s.price()));
        });
  }

  private interface CoilValue {
    double of(DailyCoil coil, double price);
  }
}
