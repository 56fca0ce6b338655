package kelvo.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import kelvo.research.Held;
import kelvo.research.ResearchCase;

/** Which cases of a question are shown blind. */
public final class Drill {
  /** How many unless somebody says otherwise. */
  public static final int USUAL = 10;

  private Drill() {}

  /**
   * Some of the cases, each once, in an order that tells nothing. The same for the same seed. Left
   * out are those that come too late in their session to be decided.
   *
   * @param until until when they are held, at most the close
   * @param most how many at most
   */
  public static List<ResearchCase> of(List<ResearchCase> cases, Held until, int most, long seed) {
    List<ResearchCase> mixed =
        new ArrayList<>(
            cases.stream()
                .filter(one -> !Double.isNaN(one.result(until.withinSession())))
                .toList());
    Collections.shuffle(mixed, new Random(seed));
    return List.copyOf(mixed.subList(0, Math.min(most, mixed.size())));
  }
}
