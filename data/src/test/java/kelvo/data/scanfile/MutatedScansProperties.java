package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.data.Mutations;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.RuleSyntaxException;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.Tag;

/** Mutated scan files and sentences: a scan, or one sentence that says what is wrong. */
class MutatedScansProperties {
  private static final String SEED = "20310312";
  private static final String NOISE = "\"{}[]:,()<>=%$x019kKmM.- \u0000\u00e9atleso";
  private static final int MAX = 3;

  @Provide
  Arbitrary<String> files() {
    return Mutations.of(
        ScanFile.shippedFiles().stream().map(ScanFile::shippedText).toList(), NOISE, MAX);
  }

  @Provide
  Arbitrary<String> sentences() {
    List<String> good =
        ScanFile.shipped(Vocabulary.DEFAULT).stream()
            .flatMap(scan -> scan.rules().stream())
            .map(Rule::sentence)
            .toList();
    return Mutations.of(good, NOISE, MAX);
  }

  @Tag("proof")
  @Property(tries = 15_000, seed = SEED)
  void aFileIsAScanOrSaysWhatIsWrongAtLength(@ForAll("files") String text) {
    aFileIsAScanOrSaysWhatIsWrong(text);
  }

  @Property(tries = 1_500, seed = SEED)
  void aFileIsAScanOrSaysWhatIsWrong(@ForAll("files") String text) {
    try {
      Scan scan = ScanFile.parse("tried.json", text, Vocabulary.DEFAULT, List.of());
      assertThat(scan.name()).isNotBlank();
    } catch (ScanFile.ScanFileException e) {
      assertThat(e.getMessage()).startsWith("tried.json");
    }
  }

  @Tag("proof")
  @Property(tries = 30_000, seed = SEED)
  void aSentenceIsARuleThatReadsBackOrSaysWhereAtLength(@ForAll("sentences") String sentence) {
    aSentenceIsARuleThatReadsBackOrSaysWhere(sentence);
  }

  @Property(tries = 3_000, seed = SEED)
  void aSentenceIsARuleThatReadsBackOrSaysWhere(@ForAll("sentences") String sentence) {
    try {
      Rule rule = RuleSentence.parse(sentence, Vocabulary.DEFAULT);
      assertThat(RuleSentence.parse(rule.sentence(), Vocabulary.DEFAULT).sentence())
          .isEqualTo(rule.sentence());
    } catch (RuleSyntaxException e) {
      assertThat(e.position()).isBetween(0, sentence.length());
    }
  }
}
