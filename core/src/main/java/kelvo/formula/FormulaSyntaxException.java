package kelvo.formula;

import kelvo.refusal.RefusedException;

/** A text that is no formula. The message says what was expected, and at which character. */
public final class FormulaSyntaxException extends RefusedException {
  private static final long serialVersionUID = 1L;

  private final int position;

  FormulaSyntaxException(String formula, int position, String expected) {
    super("\"" + formula + "\", character " + (position + 1) + ": " + expected);
    this.position = position;
  }

  /** The place in the formula, from 0. */
  public int position() {
    return position;
  }
}
