package kelvo.practice;

/** What a trader says of a chart that is shown blind. */
public enum DrillCall {
  LONG("long", 1),
  SHORT("short", -1),
  NO("no", 0);

  private final String words;
  private final int way;

  DrillCall(String words, int way) {
    this.words = words;
    this.way = way;
  }

  /** The word on screen. */
  public String words() {
    return words;
  }

  /** 1 to buy, -1 to sell short, 0 to stay out. */
  public int way() {
    return way;
  }
}
