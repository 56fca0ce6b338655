package kelvo.rule;

import kelvo.refusal.RefusedException;

/** A sentence that is no rule. The message says what was expected, and at which character. */
public final class RuleSyntaxException extends RefusedException {
  private static final long serialVersionUID = 1L;

  private final int position;
  private final String expected;
  private final String word;

  RuleSyntaxException(String sentence, int position, String expected) {
    super("\"" + sentence + "\", character " + (position + 1) + ": " + expected);
    this.position = position;
    this.expected = expected;
    word = wordAt(sentence, position);
  }

  private static String wordAt(String sentence, int position) {
    String rest = position < sentence.length() ? sentence.substring(position) : "";
    String begins = rest.stripLeading();
    int end = begins.indexOf(' ');
    return end < 0 ? begins : begins.substring(0, end);
  }

  /** The word at the place; empty when the sentence ends there. */
  public String word() {
    return word;
  }

  /** What was expected there, or is missing. */
  public String expected() {
    return expected;
  }

  /** The place in the sentence, from 0. */
  public int position() {
    return position;
  }
}
