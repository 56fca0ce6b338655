package kelvo.refusal;

import org.jspecify.annotations.Nullable;

/**
 * What was asked for, typed or read cannot be done or taken. The message is a sentence for the user
 * that says what was expected and, where it is known, the place and the way out. An {@link
 * IllegalArgumentException} of any other kind is an error inside Kelvo, and is told as one.
 */
public class RefusedException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  public RefusedException(String sentence) {
    super(sentence);
  }

  public RefusedException(String sentence, @Nullable Throwable cause) {
    super(sentence, cause);
  }
}
