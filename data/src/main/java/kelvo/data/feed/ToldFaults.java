package kelvo.data.feed;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;

/**
 * Wrong events of a feed, told once a kind and then counted, so that a feed that is wrong all day
 * fills neither the terminal nor the log. For one thread.
 */
public final class ToldFaults {
  private static final int MOST_KINDS = 10;
  private static final int LONGEST = 200;

  private final Consumer<String> told;
  private final Map<String, Integer> kinds = new HashMap<>();
  private int more;
  private int count;

  /**
   * Counts from zero.
   *
   * @param told takes the first sentence of each kind, and what {@link #summary} says
   */
  public ToldFaults(Consumer<String> told) {
    this.told = told;
  }

  /** Something is wrong. */
  public void add(String sentence) {
    count++;
    String kind = kind(sentence);
    if (!kinds.containsKey(kind) && kinds.size() == MOST_KINDS) {
      if (more++ == 0) {
        told.accept("more is wrong in other ways; from here on it is only counted");
      }
      return;
    }
    if (kinds.merge(kind, 1, Integer::sum) == 1) {
      told.accept(shortened(sentence));
    }
  }

  /** How much has been wrong. */
  public int count() {
    return count;
  }

  /** Tells how often what was told once has come, if more than once. */
  public void summary() {
    int repeats = count - kinds.size();
    if (repeats > 0) {
      told.accept(count + " faults in all, " + repeats + " of them like those that were told");
    }
  }

  /** Numbers and quoted texts differ from event to event; the rest says what is wrong. */
  private static String kind(String sentence) {
    return shortened(sentence)
        .replaceAll("\"[^\"]*(\"|$)", "\"\"")
        .replaceAll("found .*", "found")
        .replaceAll("[0-9][0-9.,:]*", "0");
  }

  static String shortened(String sentence) {
    return sentence.length() <= LONGEST ? sentence : sentence.substring(0, LONGEST - 3) + " ..";
  }
}
