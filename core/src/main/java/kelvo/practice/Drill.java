package kelvo.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import kelvo.research.ResearchCase;

/** Which cases of a question are shown blind. */
public final class Drill {
  /** How many unless somebody says otherwise. */
  public static final int USUAL = 10;

  private Drill() {}

  /**
   * Some of the cases, each once, in an order that tells nothing. The same for the same seed.
   *
   * @param most how many at most
   */
  public static List<ResearchCase> of(List<ResearchCase> cases, int most, long seed) {
    List<ResearchCase> mixed = new ArrayList<>(cases);
    Collections.shuffle(mixed, new Random(seed));
    return List.copyOf(mixed.subList(0, Math.min(most, mixed.size())));
  }
}
