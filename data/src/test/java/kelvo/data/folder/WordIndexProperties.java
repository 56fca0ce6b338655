package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.constraints.StringLength;

class WordIndexProperties {
  @Property
  void itFindsWhatAMapFindsAndNothingElse(
      @ForAll @Size(max = 60) List<@AlphaChars @StringLength(min = 1, max = 3) String> words,
      @ForAll @AlphaChars @StringLength(min = 1, max = 3) String other) {
    Map<String, Integer> numbers = new HashMap<>();
    words.forEach(word -> numbers.put(word, numbers.size()));
    WordIndex index = new WordIndex(numbers);

    numbers.forEach((word, number) -> assertThat(find(index, word)).isEqualTo(number));
    assertThat(find(index, other)).isEqualTo(numbers.getOrDefault(other, WordIndex.NONE));
  }

  /** Looks a word up as it lies amid a row. */
  private static int find(WordIndex index, String word) {
    return index.numberOf(("1," + word + ",2").toCharArray(), 2, word.length());
  }
}
