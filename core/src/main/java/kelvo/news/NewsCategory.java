package kelvo.news;

import java.util.Locale;
import java.util.Optional;

/** What an item is about. Where two are found equally, the earlier one here counts. */
public enum NewsCategory {
  PROMOTION("paid promotion", Weight.LOW, 0),
  LISTING("listing compliance", Weight.MEDIUM, 0),
  SPLIT("split", Weight.MEDIUM, 0),
  OFFERING("offering", Weight.HIGH, -0.6),
  APPROVAL("approval", Weight.HIGH, 0),
  MERGER("merger", Weight.HIGH, 0.2),
  RATING("analyst rating", Weight.LOW, 0),
  LEGAL("legal", Weight.MEDIUM, -0.4),
  INSIDER("insider", Weight.LOW, 0),
  GUIDANCE("guidance", Weight.HIGH, 0),
  EARNINGS("earnings", Weight.HIGH, 0),
  PARTNERSHIP("partnership", Weight.MEDIUM, 0.4),
  CONTRACT("contract", Weight.MEDIUM, 0.4),
  OTHER("other", Weight.LOW, 0);

  private final String words;
  private final Weight usualWeight;
  private final double usualTone;

  NewsCategory(String words, Weight usualWeight, double usualTone) {
    this.words = words;
    this.usualWeight = usualWeight;
    this.usualTone = usualTone;
  }

  /** How much an item can move a price. */
  public enum Weight {
    LOW,
    MEDIUM,
    HIGH;

    /** The weight in words. */
    public String words() {
      return name().toLowerCase(Locale.ROOT);
    }

    Weight up() {
      return values()[Math.min(ordinal() + 1, HIGH.ordinal())];
    }

    Weight down() {
      return values()[Math.max(ordinal() - 1, 0)];
    }

    /** The weight of these words. */
    public static Optional<Weight> of(String words) {
      return java.util.Arrays.stream(values()).filter(w -> w.words().equals(words)).findFirst();
    }
  }

  /** The category as rules and columns write it. */
  public String words() {
    return words;
  }

  /** How much such items usually move a price: common practice, no source. */
  Weight usualWeight() {
    return usualWeight;
  }

  /** The tone of such an item before its own words are looked at. */
  double usualTone() {
    return usualTone;
  }

  /** The category of these words. */
  public static Optional<NewsCategory> of(String words) {
    return java.util.Arrays.stream(values()).filter(c -> c.words.equals(words)).findFirst();
  }
}
