package kelvo.tests;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What docs/performance.md promises is what {@code bench/run floors} holds Kelvo to. */
class PromisesTest {
  private static final Path DOCS = Path.of("..", "docs");
  private static final String COLUMNS = "key,what,ratio";

  @Test
  void thePageShowsTheTableThatIsChecked() throws IOException {
    List<String> rows = Files.readAllLines(DOCS.resolve("promises.csv"));
    assertThat(rows.getFirst()).isEqualTo(COLUMNS);
    String page = Files.readString(DOCS.resolve("performance.md"));
    assertThat(rows.subList(1, rows.size()))
        .hasSizeGreaterThan(5)
        .allSatisfy(row -> assertThat(page).contains(line(row.split(","))));
  }

  private static String line(String[] cells) {
    return "| " + cells[1] + " | " + cells[2] + " |";
  }
}
