package kelvo.field;

import java.util.List;
import java.util.function.ToIntFunction;
import java.util.function.ToLongFunction;
import kelvo.state.DaySoFar;
import kelvo.state.ExtremeTimes;
import kelvo.state.MinuteRuns;
import kelvo.state.TapeFollower;
import kelvo.time.DayTime;

/** For how long something has been so: since the day's extremes, and by complete 1-minute bars. */
final class MinuteFields {
  private MinuteFields() {}

  static List<Field> all() {
    return List.of(
        sinceExtreme("high", ExtremeTimes::highAt, DaySoFar.Answer::highAt),
        sinceExtreme("low", ExtremeTimes::lowAt, DaySoFar.Answer::lowAt),
        run(
            "minutes above vwap",
            "How many 1-minute bars in a row closed above the vwap in force then, the running bar left out.",
            MinuteRuns::minutesAbove,
            1,
            DaySoFar.Answer::minutesAbove),
        run(
            "minutes below vwap",
            "How many 1-minute bars in a row closed below the vwap in force then, the running bar left out.",
            MinuteRuns::minutesAbove,
            -1,
            DaySoFar.Answer::minutesAbove),
        run(
            "rising minutes",
            "How many 1-minute bars in a row closed above the one before, the running bar left out.",
            MinuteRuns::risingMinutes,
            1,
            DaySoFar.Answer::risingMinutes),
        run(
            "falling minutes",
            "How many 1-minute bars in a row closed below the one before, the running bar left out.",
            MinuteRuns::risingMinutes,
            -1,
            DaySoFar.Answer::risingMinutes));
  }

  private static Field sinceExtreme(
      String extreme, ToLongFunction<ExtremeTimes> at, ToLongFunction<DaySoFar.Answer> fromTape) {
    return new Field.Number(
        "minutes since day " + extreme,
        Unit.MINUTES,
        Field.Pace.CLOCK,
        "Whole minutes since the day " + extreme + " was first reached.",
        "no such print yet",
        session -> {
          TapeFollower<ExtremeTimes> times = ExtremeTimes.of(session);
          return (s, now) -> minutes(at.applyAsLong(times.of(s)), now);
        },
        moment -> minutes(fromTape.applyAsLong(moment.soFar()), moment.now()));
  }

  private static double minutes(long since, long now) {
    return since == ExtremeTimes.NONE ? Double.NaN : Math.floorDiv(now - since, DayTime.MINUTE);
  }

  private interface Run {
    int of(MinuteRuns runs, long now);
  }

  private static Field run(
      String words, String meaning, Run run, int way, ToIntFunction<DaySoFar.Answer> fromTape) {
    return new Field.Number(
        words,
        Unit.MINUTES,
        Field.Pace.CLOCK,
        meaning,
        "never",
        session -> {
          TapeFollower<MinuteRuns> runs = MinuteRuns.of(session);
          return (s, now) -> Math.max(0, way * run.of(runs.of(s), now));
        },
        moment -> Math.max(0, way * fromTape.applyAsInt(moment.soFar())));
  }
}
