package kelvo.alert;

/**
 * A time during which less rings.
 *
 * @param from {@link kelvo.time.DayTime}
 * @param until exclusive
 * @param symbol the one that is silent; empty for all, of which halts and what is held still ring
 */
public record Silence(long from, long until, String symbol) {
  /** Quiet: all but halts and what is held is silent. */
  public static Silence ofAll(long from, long until) {
    return new Silence(from, until, "");
  }

  /** Whether it holds back something that happens. */
  boolean holdsBack(AlertEvent event, Ring.Rank rank) {
    boolean isHalt = rank == Ring.Rank.HALT_OF_MINE || rank == Ring.Rank.HALT_ELSEWHERE;
    boolean now = event.at() >= from && event.at() < until;
    return now
        && !isHalt
        && (symbol.isEmpty() ? rank != Ring.Rank.HELD : symbol.equals(event.symbol()));
  }
}
