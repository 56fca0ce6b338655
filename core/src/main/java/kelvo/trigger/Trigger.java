package kelvo.trigger;

import java.util.List;
import kelvo.refusal.RefusedException;
import kelvo.state.Effect;
import org.jspecify.annotations.Nullable;

/**
 * An event that a scan can wait for, with its parameters. Two triggers of the same words are the
 * same.
 */
public final class Trigger {
  public static final Trigger ENTERS = plain("enters scan", 0, 0, "The rules begin to hold.");
  public static final Trigger LEAVES = plain("leaves scan", 0, 0, "The rules cease to hold.");
  public static final Trigger NEW_HIGH_OF_DAY =
      plain("new high of day", Effect.DAY_HIGH, 1, extreme("regular hours"));
  public static final Trigger NEW_LOW_OF_DAY =
      plain("new low of day", Effect.DAY_LOW, -1, extreme("regular hours"));
  public static final Trigger NEW_HIGH_OF_PREMARKET =
      plain("new high of premarket", Effect.PREMARKET_HIGH, 1, extreme("04:00 to 09:30"));
  public static final Trigger NEW_LOW_OF_PREMARKET =
      plain("new low of premarket", Effect.PREMARKET_LOW, -1, extreme("04:00 to 09:30"));
  public static final Trigger NEW_HIGH_OF_SESSION =
      plain("new high of session", Effect.SESSION_HIGH, 1, extreme("the time since 04:00"));
  public static final Trigger NEW_LOW_OF_SESSION =
      plain("new low of session", Effect.SESSION_LOW, -1, extreme("the time since 04:00"));
  public static final Trigger RISES_THROUGH_VWAP =
      plain("rises through vwap", Effect.ROSE_THROUGH_VWAP, 1, through("vwap", "above"));
  public static final Trigger FALLS_THROUGH_VWAP =
      plain("falls through vwap", Effect.FELL_THROUGH_VWAP, -1, through("vwap", "below"));
  public static final Trigger HALT = plain("halt", Effect.HALTED, 0, "Trading is halted.");
  public static final Trigger RESUME = plain("resume", Effect.RESUMED, 0, "Trading resumes.");
  public static final Trigger NEWS =
      plain("news", Effect.NEWS, 0, "An item arrives that names the security.");
  public static final Trigger RISES_THROUGH_LEVEL =
      plain("rises through level", 0, 1, through("a level set by hand", "above"));
  public static final Trigger FALLS_THROUGH_LEVEL =
      plain("falls through level", 0, -1, through("a level set by hand", "below"));

  public static final Trigger TOUCHES_LEVEL =
      plain(
          "touches level",
          0,
          0,
          "A price stands at a level exactly; once more only after it was 0.1% away or a minute has passed.");
  public static final Trigger RETESTS_LEVEL =
      plain(
          "retests level",
          0,
          0,
          "Price is back within 0.2% of a level that it had passed and been 1% away from.");
  public static final Trigger RETESTS_LEVEL_QUIETLY =
      plain(
          "retests level on less volume",
          0,
          0,
          "The same, with less volume in the last minute than when it passed the level.");

  private static final List<Trigger> OF_LEVELS =
      List.of(
          RISES_THROUGH_LEVEL,
          FALLS_THROUGH_LEVEL,
          TOUCHES_LEVEL,
          RETESTS_LEVEL,
          RETESTS_LEVEL_QUIETLY);

  private final String words;
  private final String meaning;
  private final int rank;
  private final int effect;
  private final int direction;
  private final Detector.@Nullable Maker detector;

  private Trigger(
      String words,
      String meaning,
      int rank,
      int effect,
      int direction,
      Detector.@Nullable Maker detector) {
    this.words = words;
    this.rank = rank;
    this.meaning = meaning;
    this.effect = effect;
    this.direction = direction;
    this.detector = detector;
  }

  private static Trigger plain(String words, int effect, int direction, String meaning) {
    return new Trigger(words, meaning, 0, effect, direction, null);
  }

  /** A trigger that something watches for, event by event. */
  static Trigger detected(String words, int direction, String meaning, Detector.Maker detector) {
    return new Trigger(words, meaning, 0, 0, direction, detector);
  }

  /** The trigger of those who come among the first of a scan. */
  static Trigger top(int rank) {
    return new Trigger(
        "enters top " + rank,
        "Its rank in the scan's own order becomes so good or better.",
        rank,
        0,
        0,
        null);
  }

  private static String extreme(String hours) {
    return "An eligible print passes the extreme of "
        + hours
        + " so far; the first print of the span is none.";
  }

  private static String through(String line, String side) {
    return "Price passes "
        + line
        + " to "
        + side
        + "; once more only after it was 0.1% away or a minute has passed.";
  }

  /** The trigger as written in scan files and shown in the stream. */
  public String words() {
    return words;
  }

  /** When it fires, in one sentence. */
  public String meaning() {
    return meaning;
  }

  /**
   * The {@link Effect} bit that fires it; 0 for those that the scan, a level or a detector fires.
   */
  public int effect() {
    return effect;
  }

  /** The rank in the scan's order at which it fires; 0 for every other trigger. */
  public int rank() {
    return rank;
  }

  /** 1 for up, -1 for down, 0 when it says nothing of the side. */
  public int direction() {
    return direction;
  }

  /** Whether a level fires it. */
  public boolean isOfLevel() {
    return OF_LEVELS.contains(this);
  }

  /** What watches for it; null when nothing needs to. */
  public Detector.@Nullable Maker detector() {
    return detector;
  }

  /**
   * The triggers of a phrase; "level passed" stands for both directions.
   *
   * @throws RefusedException when there is none of that name
   */
  public static List<Trigger> parse(String phrase) {
    return TriggerCatalogue.parse(phrase);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Trigger that && words.equals(that.words);
  }

  @Override
  public int hashCode() {
    return words.hashCode();
  }

  @Override
  public String toString() {
    return words;
  }
}
