package kelvo.trigger;

import java.util.List;
import java.util.Locale;
import kelvo.market.Effect;

/** A kind of event that a scan can wait for. */
public enum Trigger {
  ENTERS("enters scan", 0, 0),
  LEAVES("leaves scan", 0, 0),
  NEW_HIGH_OF_DAY("new high of day", Effect.DAY_HIGH, 1),
  NEW_LOW_OF_DAY("new low of day", Effect.DAY_LOW, -1),
  NEW_HIGH_OF_PREMARKET("new high of premarket", Effect.PREMARKET_HIGH, 1),
  NEW_LOW_OF_PREMARKET("new low of premarket", Effect.PREMARKET_LOW, -1),
  NEW_HIGH_OF_SESSION("new high of session", Effect.SESSION_HIGH, 1),
  NEW_LOW_OF_SESSION("new low of session", Effect.SESSION_LOW, -1),
  RISES_THROUGH_VWAP("rises through vwap", Effect.ROSE_THROUGH_VWAP, 1),
  FALLS_THROUGH_VWAP("falls through vwap", Effect.FELL_THROUGH_VWAP, -1),
  HALT("halt", Effect.HALTED, 0),
  RESUME("resume", Effect.RESUMED, 0),
  NEWS("news", Effect.NEWS, 0),
  RISES_THROUGH_LEVEL("rises through level", 0, 1),
  FALLS_THROUGH_LEVEL("falls through level", 0, -1);

  private final String words;
  private final int effect;
  private final int direction;

  Trigger(String words, int effect, int direction) {
    this.words = words;
    this.effect = effect;
    this.direction = direction;
  }

  /** The trigger as written in scan files and shown in the stream. */
  public String words() {
    return words;
  }

  /** The {@link Effect} bit that fires it; 0 for those that the scan or a level fires. */
  public int effect() {
    return effect;
  }

  /** 1 for up, -1 for down, 0 when it says nothing of the side. */
  public int direction() {
    return direction;
  }

  /**
   * The triggers of a phrase; "level passed" stands for both directions.
   *
   * @throws IllegalArgumentException when there is none of that name
   */
  public static List<Trigger> parse(String phrase) {
    String wanted = phrase.strip().toLowerCase(Locale.ROOT);
    if (wanted.equals("level passed")) {
      return List.of(RISES_THROUGH_LEVEL, FALLS_THROUGH_LEVEL);
    }
    for (Trigger trigger : values()) {
      if (trigger.words.equals(wanted)) {
        return List.of(trigger);
      }
    }
    throw new IllegalArgumentException(
        "no trigger is called \""
            + phrase
            + "\"; there are: "
            + String.join(", ", java.util.Arrays.stream(values()).map(Trigger::words).toList()));
  }
}
