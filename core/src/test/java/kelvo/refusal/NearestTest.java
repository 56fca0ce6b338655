package kelvo.refusal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import kelvo.rule.Vocabulary;
import kelvo.trigger.TriggerCatalogue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NearestTest {
  private static final List<String> TRIGGERS =
      TriggerCatalogue.all().stream().map(trigger -> trigger.words()).toList();

  @ParameterizedTest
  @CsvSource({
    "gpa, gap",
    "rel volume, relative volume",
    "flaot, float",
    "chnage %, change %",
    "vwpa, vwap",
    "volum 5m, volume 5m",
  })
  void aMistypedFieldIsFound(String typed, String meant) {
    assertThat(Nearest.to(typed, Vocabulary.DEFAULT.allWords())).contains(meant);
  }

  @ParameterizedTest
  @CsvSource({
    "rise above 54.5, rises through 8.20",
    "resumes, resume",
    "new hgih of day, new high of day",
    "volume burst 3x, volume burst 5x of at least 20k",
  })
  void aMistypedTriggerIsFound(String typed, String meant) {
    assertThat(Nearest.to(typed, TRIGGERS)).contains(meant);
  }

  @Test
  void whatIsLikeNothingIsNotGuessed() {
    assertThat(Stream.of("", "xyzzy", "moon phase", "a".repeat(10_000)))
        .allMatch(typed -> Nearest.to(typed, TRIGGERS).isEmpty());
    assertThat(Nearest.asQuestion("xyzzy", TRIGGERS)).isEmpty();
  }

  @Test
  void theLikeliestComesFirstAndThreeAtMost() {
    List<String> near = Nearest.to("new high of the day", TRIGGERS);
    assertThat(near).hasSize(3).first().isEqualTo("new high of day");
    assertThat(Nearest.asQuestion("resumes", TRIGGERS)).isEqualTo("; did you mean resume?");
  }
}
