package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.alert.Alert;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertSentence;
import kelvo.delivery.Channel;
import kelvo.rule.Vocabulary;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AlertsFileTest {
  private static final LocalDate DAY = LocalDate.of(2031, 3, 12);

  @TempDir Path folder;

  private final List<String> wrong = new ArrayList<>();
  private ScanFolder kept;

  @BeforeEach
  void openFolder() {
    kept = new ScanFolder(folder, Vocabulary.DEFAULT, wrong::add);
  }

  private static Alert alert(String sentence) {
    return AlertSentence.parse(sentence, Vocabulary.DEFAULT, DAY)
        .alert()
        .arm(DAY.atTime(9, 31, 5, 123_000_000));
  }

  @Test
  void alertsAndTheirTimesAreReadAsTheyWereWritten() {
    AlertBook book =
        new AlertBook(
            List.of(
                alert("KELPOR rises through 8.20 while volume 5m at least 50K, until today"),
                alert("everything: halt, again after 5m, by spoken")
                    .snooze(DAY.atTime(9, 40), DAY.atTime(10, 0)),
                alert("scan Opening highs:, by nothing").spent(DAY).remove(DAY.atTime(11, 0))),
            Map.of("Fresh news", Set.of(Channel.POPUP, Channel.WEBHOOK)));
    kept.save(book);

    assertThat(kept.alerts()).isEqualTo(book);
    assertThat(wrong).isEmpty();
  }

  @Test
  void anAlertThatCannotBeReadIsToldAndStaysInTheFile() throws IOException {
    Path file = folder.resolve("alerts.json");
    Files.writeString(
        file,
        """
        {"kelvo":1,"alerts":[
          {"alert":"KELPOR sings, once","armed":[{"from":"2031-03-12T09:30:00"}]},
          {"alert":"KELPOR halt, once","armed":[{"from":"2031-03-12T09:30:00"}]}]}
        """);

    AlertBook read = kept.alerts();
    assertThat(read.alerts()).extracting(Alert::name).containsExactly("KELPOR halt");
    assertThat(wrong)
        .singleElement()
        .asString()
        .startsWith("alerts.json, alert 1: \"sings\" is neither a trigger nor a rule");
    kept.save(read);
    assertThat(file).content().contains("KELPOR sings, once");
  }

  @Test
  void aFileThatIsNoJsonRingsNothingAndIsTold() throws IOException {
    Files.writeString(folder.resolve("alerts.json"), "{");

    assertThat(kept.alerts()).isEqualTo(AlertBook.EMPTY);
    assertThat(wrong).singleElement().asString().contains("no alert of your own rings");
  }
}
