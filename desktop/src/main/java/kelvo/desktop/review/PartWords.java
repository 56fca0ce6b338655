package kelvo.desktop.review;

import java.util.Arrays;
import javafx.util.StringConverter;
import kelvo.data.fill.FillPart;

/** The parts of a fill in words. */
final class PartWords extends StringConverter<FillPart> {
  @Override
  public String toString(FillPart part) {
    return part == null ? "" : part.words();
  }

  @Override
  public FillPart fromString(String words) {
    return Arrays.stream(FillPart.values())
        .filter(part -> part.words().equals(words))
        .findFirst()
        .orElse(FillPart.NOTHING);
  }
}
