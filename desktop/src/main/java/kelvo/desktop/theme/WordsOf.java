package kelvo.desktop.theme;

import java.util.function.Function;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/** Shows what can be chosen by its words; nothing is typed. */
public final class WordsOf<T> extends StringConverter<T> {
  private final Function<T, String> words;

  /** Shows each thing by these words. */
  public WordsOf(Function<T, String> words) {
    this.words = words;
  }

  @Override
  public String toString(@Nullable T thing) {
    return thing == null ? "" : words.apply(thing);
  }

  @Override
  public T fromString(String typed) {
    throw new UnsupportedOperationException("nothing is typed here");
  }
}
