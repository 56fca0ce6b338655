package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.KeptQuestion;
import kelvo.rule.Vocabulary;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class QuestionsFileTest {
  @TempDir Path folder;

  private final List<String> told = new ArrayList<>();

  private ScanFolder folder() {
    return new ScanFolder(folder, Vocabulary.DEFAULT, told::add);
  }

  @Test
  void whatIsKeptComesBack() {
    List<KeptQuestion> questions =
        List.of(
            new KeptQuestion("Fades", "Runners", "close", "", 0, Direction.SHORT, Held.NEXT_CLOSE),
            new KeptQuestion("Late", "Risers", "hit", "09:45", 60, Direction.LONG, Held.HALF_HOUR));
    folder().saveQuestions(questions);

    assertThat(folder().questions()).isEqualTo(questions);
    assertThat(told).isEmpty();
  }

  @Test
  void withoutAFileThereIsNone() {
    assertThat(folder().questions()).isEmpty();
    assertThat(told).isEmpty();
  }

  @Test
  void whatIsNoQuestionIsToldWithItsPlaceAndLeftAsItIs() throws IOException {
    Path file = folder.resolve("questions.json");
    for (String wrong :
        List.of(
            "{\"kelvo\":1,\"questions\":[{\"name\":\"A\",\"scan\":\"B\",\"enter\":\"soon\"}]}",
            "{\"kelvo\":1,\"questions\":[{\"name\":\"A\",\"scan\":\"B\",\"side\":\"up\"}]}",
            "{\"kelvo\":1,\"questions\":[{\"name\":\"A\",\"scan\":\"B\",\"held\":\"long\"}]}",
            "{\"kelvo\":1,\"questions\":[{\"scan\":\"B\"}]}")) {
      Files.writeString(file, wrong);
      told.clear();

      assertThat(folder().questions()).isEmpty();
      assertThat(told).hasSize(1);
      assertThat(told.getFirst())
          .startsWith("questions.json, question 1")
          .endsWith("; no kept question is offered");
      assertThat(file).content().isEqualTo(wrong);
    }
  }
}
