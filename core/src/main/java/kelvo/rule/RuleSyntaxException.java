package kelvo.rule;

/** A sentence that is no rule. The message says what was expected, and at which character. */
public final class RuleSyntaxException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final int position;

  RuleSyntaxException(String sentence, int position, String expected) {
    super("\"" + sentence + "\", character " + (position + 1) + ": " + expected);
    this.position = position;
  }

  /** The place in the sentence, from 0. */
  public int position() {
    return position;
  }
}
