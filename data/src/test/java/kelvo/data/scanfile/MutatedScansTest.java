package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.SplittableRandom;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.RuleSyntaxException;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import org.junit.jupiter.api.Test;

/** Mutated scan files and sentences: a scan, or one sentence that says what is wrong. */
class MutatedScansTest {
  private static final int FILES = 30_000;
  private static final int SENTENCES = 300_000;
  private static final String NOISE = "\"{}[]:,()<>=%$x019kKmM.- \u0000\u00e9atleso";

  private final SplittableRandom random = new SplittableRandom(20310312);

  private String mutated(String good) {
    StringBuilder text = new StringBuilder(good);
    for (int n = 1 + random.nextInt(3); n > 0 && !text.isEmpty(); n--) {
      int at = random.nextInt(text.length());
      char noise = NOISE.charAt(random.nextInt(NOISE.length()));
      switch (random.nextInt(3)) {
        case 0 -> text.setCharAt(at, noise);
        case 1 -> text.insert(at, noise);
        default -> text.deleteCharAt(at);
      }
    }
    return text.toString();
  }

  @Test
  void aFileIsAScanOrSaysWhatIsWrong() {
    List<String> files = ScanFile.shippedFiles();
    int scans = 0;
    for (int i = 0; i < FILES; i++) {
      String text = mutated(ScanFile.shippedText(files.get(i % files.size())));
      try {
        Scan scan = ScanFile.parse("tried.json", text, Vocabulary.USUAL, List.of());
        assertThat(scan.name()).isNotBlank();
        scans++;
      } catch (ScanFile.ScanFileException e) {
        assertThat(e.getMessage()).startsWith("tried.json");
      }
    }
    assertThat(scans).isBetween(1, FILES - 1);
  }

  @Test
  void aSentenceIsARuleThatReadsBackOrSaysWhere() {
    List<String> good =
        ScanFile.shipped(Vocabulary.USUAL).stream()
            .flatMap(scan -> scan.rules().stream())
            .map(Rule::sentence)
            .toList();
    int rules = 0;
    for (int i = 0; i < SENTENCES; i++) {
      String sentence = mutated(good.get(i % good.size()));
      try {
        Rule rule = RuleSentence.parse(sentence, Vocabulary.USUAL);
        assertThat(RuleSentence.parse(rule.sentence(), Vocabulary.USUAL).sentence())
            .isEqualTo(rule.sentence());
        rules++;
      } catch (RuleSyntaxException e) {
        assertThat(e.position()).isBetween(0, sentence.length());
      }
    }
    assertThat(rules).isBetween(1, SENTENCES - 1);
  }
}
