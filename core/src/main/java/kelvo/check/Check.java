package kelvo.check;

/**
 * One thing to look at before a symbol is kept.
 *
 * @param name what is looked at
 * @param result how it came out
 * @param detail the number behind it, in words
 */
public record Check(String name, Result result, String detail) {
  /** How a check comes out, the gravest last. */
  public enum Result {
    PASS("pass"),
    UNKNOWN("unknown"),
    WARN("warn"),
    FAIL("fail");

    private final String word;

    Result(String word) {
      this.word = word;
    }

    /** The word on screen. */
    public String word() {
      return word;
    }
  }
}
