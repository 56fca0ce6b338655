package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.journal.OwnRules;
import kelvo.rule.Vocabulary;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OwnRulesFileTest {
  @TempDir Path folder;

  private final List<String> wrong = new ArrayList<>();

  private ScanFolder folder() {
    return new ScanFolder(folder, Vocabulary.DEFAULT, wrong::add);
  }

  @Test
  void rulesAreReadBackAsTheyWereWritten() {
    List<String> rules = List.of("No trade before 09:45.", "\"Half size\" on Fridays; always.");
    folder().saveOwnRules(rules);

    assertThat(folder().ownRules()).isEqualTo(rules);
    assertThat(wrong).isEmpty();
  }

  @Test
  void withoutAFileTheUsualOnesAreAsked() {
    assertThat(folder().ownRules()).isEqualTo(OwnRules.DEFAULT);
    assertThat(wrong).isEmpty();
  }

  @Test
  void aFileThatSaysSomethingElseIsToldWithItsPlace() throws IOException {
    Files.writeString(folder.resolve("own-rules.json"), "{\"rules\": [\"One.\", 2]}");
    assertThat(folder().ownRules()).isEqualTo(OwnRules.DEFAULT);
    Files.writeString(folder.resolve("own-rules.json"), "{\"rules\": \"One.\"}");
    assertThat(folder().ownRules()).isEqualTo(OwnRules.DEFAULT);

    assertThat(wrong)
        .containsExactly(
            "own-rules.json, rule 2: expected a sentence; the rules that Kelvo starts with are asked",
            "own-rules.json: expected a list \"rules\"; the rules that Kelvo starts with are asked");
  }
}
