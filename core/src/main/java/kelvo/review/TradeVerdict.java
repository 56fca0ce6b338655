package kelvo.review;

/** How a trade stands to the hits. */
public enum TradeVerdict {
  ON_A_HIT("on a hit", "entered while a move of its side was on"),
  LATE("late", "on a hit, but far beyond its price or long after it"),
  OFF_PLAN("off plan", "no hit behind it"),
  OVERNIGHT("held overnight", "entered in an earlier session, which has judged the entry");

  private final String words;
  private final String meaning;

  TradeVerdict(String words, String meaning) {
    this.words = words;
    this.meaning = meaning;
  }

  /** The words on screen. */
  public String words() {
    return words;
  }

  /** What it means, in a few words. */
  public String meaning() {
    return meaning;
  }
}
