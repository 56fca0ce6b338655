package kelvo.review;

import java.util.Locale;
import java.util.Objects;
import kelvo.hit.Hit;
import kelvo.journal.Decision;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.Trade;

/**
 * A verdict in words.
 *
 * @param verdict itself, with the number that matters most
 * @param because what decided it, in a few words
 * @param rule the rule that it goes by, with its numbers, in a sentence or two
 */
public record VerdictText(String verdict, String because, String rule) {
  /** What is said of a trade. */
  public static VerdictText of(ReviewedTrade reviewed, ReviewSettings settings) {
    return switch (reviewed.verdict()) {
      case ON_A_HIT ->
          new VerdictText("taken", taken(reviewed), entered(reviewed) + allowed(settings));
      case LATE ->
          new VerdictText(
              "late by " + span(reviewed.lateness()),
              isChase(reviewed, settings)
                  ? "chased " + percent(reviewed.chasePercent()) + ", " + cost(reviewed)
                  : "long after the latest hit, at no planned level",
              entered(reviewed) + allowed(settings));
      case OFF_PLAN ->
          new VerdictText(
              "off plan",
              reviewed.byHand()
                  ? "on no hit, as you say"
                  : reviewed.planned() ? "no hit, but on the Ten" : "no hit, not on the Ten",
              reviewed.byHand()
                  ? "You said that it was on none of the moves."
                  : noHit(reviewed, settings));
      case OVERNIGHT ->
          new VerdictText(
              "held overnight",
              "entered in an earlier session",
              "It was entered in an earlier session, which has judged the entry.");
    };
  }

  private static String noHit(ReviewedTrade reviewed, ReviewSettings settings) {
    return "No hit "
        + reviewed.trade().side().way().word()
        + " on "
        + reviewed.trade().symbol()
        + " was less than "
        + span(settings.entryAfter())
        + " old when it was entered at "
        + DayTime.seconds(reviewed.trade().entryAt())
        + ".";
  }

  private static String taken(ReviewedTrade reviewed) {
    String captured =
        Double.isNaN(reviewed.capturedShare())
            ? ""
            : ", " + Math.round(100 * reviewed.capturedShare()) + "% captured";
    String r =
        Double.isNaN(reviewed.r()) ? "" : String.format(Locale.ROOT, ", %.1f R", reviewed.r());
    return "on a hit" + captured + r;
  }

  private static boolean isChase(ReviewedTrade reviewed, ReviewSettings settings) {
    return reviewed.chasePercent() > settings.lateChasePercent();
  }

  private static String cost(ReviewedTrade reviewed) {
    return String.format(Locale.ROOT, "$%,.0f", reviewed.chaseMoney());
  }

  /** When the hits came and when the trade did. */
  private static String entered(ReviewedTrade reviewed) {
    Trade trade = reviewed.trade();
    Move move = Objects.requireNonNull(reviewed.move());
    Hit followed = Objects.requireNonNull(reviewed.followed());
    return "First hit at "
        + DayTime.seconds(move.start())
        + " at "
        + Price.text(move.startPrice())
        + "; entered at "
        + DayTime.seconds(trade.entryAt())
        + " at "
        + Price.text(Math.round(trade.entryPrice() * Price.DOLLAR))
        + ", "
        + beyond(reviewed.chasePercent())
        + " and "
        + span(trade.entryAt() - followed.at())
        + " after the latest hit, of "
        + followed.scan()
        + (reviewed.atLevel() ? ", at a planned level" : "")
        + (reviewed.byHand() ? "; you matched it to this move. " : ". ");
  }

  private static String beyond(double chase) {
    return String.format(
        Locale.ROOT, "%.1f%% %s it", Math.abs(chase), chase < 0 ? "better than" : "beyond");
  }

  private static String allowed(ReviewSettings settings) {
    return String.format(
        Locale.ROOT,
        "Late is over %.1f%% beyond the first hit, or over %s after the latest and at no planned level.",
        settings.lateChasePercent(),
        span(settings.lateAfter()));
  }

  /** What is said of a move. */
  public static VerdictText of(ReviewedMove reviewed, ReviewSettings settings) {
    return new VerdictText(
        reviewed.verdict().word() + ran(reviewed),
        because(reviewed),
        rule(reviewed, settings) + " " + outcome(reviewed, settings));
  }

  private static String ran(ReviewedMove reviewed) {
    return switch (reviewed.outcome().ran()) {
      case YES -> ", ran" + went(reviewed);
      case NO -> ", did not run";
      case UNKNOWN -> "";
    };
  }

  /** How far the price went in half an hour, with its sign; nothing while that is not over. */
  private static String went(ReviewedMove reviewed) {
    double best = reviewed.outcome().halfHour().best();
    return Double.isNaN(best) ? "" : " " + percent(reviewed.move().side().direction() * best);
  }

  private static String because(ReviewedMove reviewed) {
    return switch (reviewed.verdict()) {
      case TAKEN, LATE -> "traded";
      case DROPPED -> dropped(reviewed);
      case PASSED ->
          "looked at "
              + (reviewed.looked().times() == 1 ? "once, " : reviewed.looked().times() + " times, ")
              + span(reviewed.looked().all());
      case MISSED -> "first hit " + DayTime.minutes(reviewed.move().start());
    };
  }

  private static String dropped(ReviewedMove reviewed) {
    Decision decision = Objects.requireNonNull(reviewed.decision());
    String at = "at " + DayTime.minutes(decision.at());
    return decision.reason().isEmpty() ? at : "“" + decision.reason() + "” " + at;
  }

  private static String rule(ReviewedMove reviewed, ReviewSettings settings) {
    String symbol = reviewed.move().symbol();
    return switch (reviewed.verdict()) {
      case TAKEN -> "A trade on it was not late.";
      case LATE -> "All trades on it were late.";
      case DROPPED -> symbol + " had been dropped by hand before its first hit.";
      case PASSED ->
          symbol
              + " was in focus for "
              + span(reviewed.looked().longest())
              + " at a time; a look counts from "
              + span(settings.lookedFor())
              + " on.";
      case MISSED ->
          reviewed.looked().times() == 0
              ? symbol + " was never in focus while the move was on."
              : symbol
                  + " was never in focus for "
                  + span(settings.lookedFor())
                  + " while the move was on.";
    };
  }

  private static String outcome(ReviewedMove reviewed, ReviewSettings settings) {
    return switch (reviewed.outcome().ran()) {
      case YES -> "It reached its target within " + span(settings.ranWithin()) + ".";
      case NO ->
          "It did not reach its target within "
              + span(settings.ranWithin())
              + " before half of that against it.";
      case UNKNOWN -> "Whether it ran is not known.";
    };
  }

  private static String percent(double value) {
    return String.format(Locale.ROOT, "%+.1f%%", value);
  }

  /** A span as one says it: 41 s, 16 min, 2 h 5 min. */
  private static String span(long nanos) {
    long seconds = nanos / DayTime.SECOND;
    if (seconds < 60) {
      return seconds + " s";
    }
    long minutes = seconds / 60;
    return minutes < 60
        ? minutes + " min"
        : minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
  }
}
