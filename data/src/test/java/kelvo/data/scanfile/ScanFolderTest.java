package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.universe.Universe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ScanFolderTest {
  @TempDir Path folder;
  private final List<String> problems = new ArrayList<>();

  private ScanFolder own() {
    return new ScanFolder(folder, Vocabulary.DEFAULT, problems::add);
  }

  private static Universe common() {
    return new Universe(
        "US common",
        List.of(RuleSentence.parse("kind is common stock", Vocabulary.DEFAULT)),
        Set.of("KELPOR"),
        Set.of("TIDARC"),
        java.time.LocalDate.of(2031, 1, 15));
  }

  @Test
  void everyShippedScanReadsBackAsItWasWritten() {
    for (Scan scan : ScanFile.shipped(Vocabulary.DEFAULT)) {
      assertThat(ScanFile.parse("x", ScanFile.write(scan), Vocabulary.DEFAULT, List.of()))
          .isEqualTo(scan);
    }
  }

  @Test
  void theFirstChangeKeepsTheShippedScansToo() {
    Scan first = ScanFile.shipped(Vocabulary.DEFAULT).getFirst();
    Scan changed = first.withRules(first.rules().subList(0, 1));

    own().save(changed);

    assertThat(own().scans()).hasSize(15).contains(changed).doesNotContain(first);
  }

  @Test
  void aScanNamesAUniverseOfItsFolder() {
    own().save(common());
    Scan within = ScanFile.shipped(Vocabulary.DEFAULT).getFirst().within(common());

    own().save(within);

    assertThat(own().scans()).contains(within);
    assertThat(own().universes()).containsExactly(common());
  }

  @Test
  void aScanOfAnUnknownUniverseNamesThoseThatThereAre() throws Exception {
    own().save(common());
    Files.writeString(
        Files.createDirectories(folder.resolve("scans")).resolve("lost.json"),
        "{\"kelvo\":1,\"name\":\"Lost\",\"universe\":\"Elsewhere\"}");

    own().save(ScanFile.shipped(Vocabulary.DEFAULT).getFirst());

    assertThat(own().scans()).hasSize(1);
    assertThat(problems.getFirst())
        .contains("lost.json", "US common", "Elsewhere", "the file was left out");
  }

  @Test
  void aUniverseWithARuleThatCanChangeIsRefused() {
    assertThatThrownBy(
            () ->
                UniverseFile.parse(
                    "u.json",
                    "{\"kelvo\":1,\"name\":\"Movers\",\"rules\":[\"change % at least 5%\"]}",
                    Vocabulary.DEFAULT))
        .hasMessageContaining("u.json")
        .hasMessageContaining("change % at least 5%")
        .hasMessageContaining("previous close");
  }

  @Test
  void removingTakesTheFileAway() {
    Scan extra = ScanFile.shipped(Vocabulary.DEFAULT).getFirst().named("Mine");
    own().save(extra);
    own().remove(extra);

    assertThat(own().scans()).hasSize(15).doesNotContain(extra);
  }

  @Test
  void checksAreTheUsualOnesUntilTheTradersOwnAreWritten() {
    assertThat(own().checks()).isEqualTo(kelvo.check.CheckRule.DEFAULT);
    List<kelvo.check.CheckRule> fewer = kelvo.check.CheckRule.DEFAULT.subList(2, 6);

    own().save(fewer);

    assertThat(own().checks()).isEqualTo(fewer);
  }

  @Test
  void aWrongCheckNamesItsPlace() throws Exception {
    Files.writeString(
        folder.resolve("checks.json"),
        "{\"kelvo\":1,\"checks\":[{\"name\":\"a\",\"pass\":\"gap at leest 4%\"}]}");

    assertThat(own().checks()).isEqualTo(kelvo.check.CheckRule.DEFAULT);
    assertThat(problems.getFirst()).contains("checks.json, check 1", "the usual checks are asked");
  }

  @Test
  void theTenHoldsTenUntilTheTraderSaysOtherwise() throws Exception {
    assertThat(own().mostKept()).isEqualTo(10);
    own().saveMostKept(5);
    assertThat(own().mostKept()).isEqualTo(5);

    Files.writeString(folder.resolve("ten.json"), "{\"most\": 500}");
    assertThat(own().mostKept()).isEqualTo(10);
    assertThat(problems).singleElement().asString().contains("ten.json, most").contains("1 to 50");
  }

  @Test
  void scansWithNamesThatAreAlikeKeepFilesOfTheirOwn() {
    Scan some = ScanFile.shipped(Vocabulary.DEFAULT).getFirst();
    List<Scan> alike =
        List.of(some.named("Gap, up"), some.named("Gap up"), some.named("朝"), some.named("夕"));
    alike.forEach(own()::save);

    assertThat(own().scans()).containsAll(alike);
  }

  @Test
  void fieldsOfTheTradersOwnComeBackAndScansAskForThem() throws IOException {
    Files.writeString(
        folder.resolve("fields.json"),
        """
        {"kelvo": 1, "fields": [
          {"name": "push", "formula": "(price - vwap) / atr 14d"},
          {"name": "odd", "formula": "price + volume"}]}
        """);
    Vocabulary words = Vocabulary.of(List.of());
    ScanFolder own = new ScanFolder(folder, words, problems::add);
    Scan pushes = common(words).withRules(List.of(RuleSentence.parse("push above 1", words)));
    own.save(pushes);
    own.saveOwnFields(words.own().all());

    assertThat(problems)
        .containsExactly(
            "fields.json, field 2: \"price + volume\", character 7: expected two of one kind,"
                + " found price and shares; the field was left out");
    Vocabulary again = Vocabulary.of(List.of());
    assertThat(new ScanFolder(folder, again, problems::add).scans()).contains(pushes);
    assertThat(again.own().all()).hasSize(1);
    assertThat(own.again(pushes)).isEqualTo(pushes);
  }

  private static Scan common(Vocabulary words) {
    return ScanFile.shipped(words).getFirst().named("Pushes");
  }
}
