package kelvo.news;

import java.util.Arrays;
import java.util.Optional;

/** What kind of publisher an item comes from. */
public enum SourceKind {
  WIRE("wire"),
  COMPANY_RELEASE("company release"),
  REGULATOR_FILING("regulator filing"),
  PAID_PROMOTION("paid promotion"),
  SOCIAL("social");

  private final String words;

  SourceKind(String words) {
    this.words = words;
  }

  /** The kind as files and filters write it. */
  public String words() {
    return words;
  }

  /** The kind of these words. */
  public static Optional<SourceKind> of(String words) {
    return Arrays.stream(values()).filter(kind -> kind.words.equals(words)).findFirst();
  }
}
