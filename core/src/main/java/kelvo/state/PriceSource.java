package kelvo.state;

/** Which rule gave Kelvo's price. */
public enum PriceSource {
  PRINT("last print"),
  QUOTE("middle of the quote"),
  PREVIOUS_CLOSE("previous close"),
  NONE("no price");

  private final String words;

  PriceSource(String words) {
    this.words = words;
  }

  /** The source in words. */
  public String words() {
    return words;
  }
}
