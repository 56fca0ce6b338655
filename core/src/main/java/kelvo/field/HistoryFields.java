package kelvo.field;

import java.util.List;
import java.util.function.ToDoubleFunction;
import kelvo.history.PastSessions;

/** How a security has behaved in earlier sessions. */
final class HistoryFields {
  private static final String NO_RUNS = "no session of the last 250 ran 10%";
  private static final double DEFAULT_RISE = 35;

  private HistoryFields() {}

  static List<Field> all() {
    return List.of(
        past(
            "give-back",
            Unit.PERCENT,
            "Median part of the day's gain returned by the close, over the last 250 sessions whose high was at least 10% over the previous close.",
            NO_RUNS,
            PastSessions::giveBack),
        past(
            "give-back sessions",
            Unit.COUNT,
            "How many of the last 250 sessions had a high at least 10% over the previous close.",
            "never",
            PastSessions::runs),
        past(
            "give-back over half",
            Unit.COUNT,
            "How many of those sessions returned half of the gain or more.",
            "never",
            PastSessions::halfReturned),
        past(
            "flat days",
            Unit.COUNT,
            "Sessions in a row, ending yesterday, with a range of at most 2% and at most half of the volume that was usual before.",
            "never",
            PastSessions::flatDays),
        dayTwo(DEFAULT_RISE, "day-two record"),
        dayTwoSessions(DEFAULT_RISE, "day-two sessions"));
  }

  static List<FieldFamily> families() {
    return List.of(
        FieldFamily.ofNumber("day-two record N", n -> dayTwo(n, "day-two record " + n)),
        FieldFamily.ofNumber(
            "day-two sessions N", n -> dayTwoSessions(n, "day-two sessions " + n)));
  }

  private static Field dayTwo(double rise, String words) {
    return ActivityFields.fixed(
        words,
        Unit.PERCENT,
        "After sessions up "
            + Math.round(rise)
            + "% or more: how many of the next closed lower than they opened.",
        "there is no such session",
        f -> PastSessions.DayTwo.of(f.history(), rise).share());
  }

  private static Field dayTwoSessions(double rise, String words) {
    return ActivityFields.fixed(
        words,
        Unit.COUNT,
        "How many sessions went up " + Math.round(rise) + "% or more and were followed by another.",
        "never",
        f -> PastSessions.DayTwo.of(f.history(), rise).sessions());
  }

  private static Field past(
      String words,
      Unit unit,
      String meaning,
      String unknown,
      ToDoubleFunction<PastSessions> value) {
    return ActivityFields.fixed(
        words, unit, meaning, unknown, f -> value.applyAsDouble(PastSessions.of(f.history())));
  }
}
