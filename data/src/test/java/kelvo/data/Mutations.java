package kelvo.data;

import java.util.List;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;

/** Good text with something wrong in it, for properties; the seed is the property's. */
public final class Mutations {
  private Mutations() {}

  /**
   * One of the good texts with a few characters changed, added or taken away.
   *
   * @param noise the characters that come in
   * @param most how many changes at most; at least one is made
   */
  public static Arbitrary<String> of(List<String> good, String noise, int most) {
    return Arbitraries.randomValue(
        random -> mutated(good.get(random.nextInt(good.size())), noise, most, random));
  }

  /** A text with changes; never empty. */
  public static String mutated(String good, String noise, int most, Random random) {
    StringBuilder text = new StringBuilder(good);
    for (int n = 1 + random.nextInt(most); n > 0 && !text.isEmpty(); n--) {
      int at = random.nextInt(text.length());
      char other = noise.charAt(random.nextInt(noise.length()));
      switch (random.nextInt(3)) {
        case 0 -> text.setCharAt(at, other);
        case 1 -> text.insert(at, other);
        default -> text.deleteCharAt(at);
      }
    }
    return text.isEmpty() ? "x" : text.toString();
  }
}
