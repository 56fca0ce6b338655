package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.universe.Universe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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

  private Path scan(String name) throws IOException {
    return Files.createDirectories(folder.resolve("scans")).resolve(name);
  }

  @Test
  void aFileThatCannotBeReadAtAllIsLeftOutWithItsName() throws IOException {
    Scan good = ScanFile.shipped(Vocabulary.DEFAULT).getFirst();
    Files.writeString(scan("good.json"), ScanFile.write(good));
    Files.writeString(scan("deep.json"), "[".repeat(100_000) + "]".repeat(100_000));
    Files.writeString(scan("wide.json"), ScanFile.write(good), StandardCharsets.UTF_16);
    Files.createDirectory(scan("folder.json"));
    Files.writeString(scan("list.json"), "[]");
    Files.writeString(scan("nothing.json"), "");

    assertThat(own().scans()).containsExactly(good);
    assertThat(problems)
        .hasSize(5)
        .allMatch(problem -> problem.endsWith("; the file was left out"))
        .allMatch(problem -> problem.length() <= 200)
        .anyMatch(
            problem ->
                problem.startsWith("deep.json: expected JSON with at most a thousand brackets"))
        .anyMatch(problem -> problem.startsWith("wide.json: expected text in UTF-8"))
        .anyMatch(problem -> problem.startsWith("folder.json: cannot be read"))
        .anyMatch(problem -> problem.startsWith("list.json: expected keys and values in braces"))
        .anyMatch(problem -> problem.startsWith("nothing.json: "));
    own().save(good.withRules(good.rules().subList(0, 1)));
    assertThat(own().scans()).hasSize(1).doesNotContain(good);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '\'',
      value = {
        "\"rules\": \"gap at least 4%\" | rules: expected a list in square brackets",
        "\"rules\": [7] | rules: expected texts in quotes, found 7",
        "\"any\": [\"gap at least 4%\"] | any: expected lists of rules in square brackets",
        "\"purpose\": {} | purpose: expected a text in quotes",
        "\"window\": [\"09:30\"] | window: expected two times such as",
        "\"window\": \"09:30\" | window: expected a list in square brackets",
        "\"fold\": \"0s\" | fold: expected a time from 1s to 16h such as 15m, found \"0s\"",
        "\"fold\": 15 | fold: expected a text in quotes, found 15",
        "\"limit\": \"x\" | limit: expected a whole number from 1 to 10000, found \"x\"",
        "\"limit\": 1000000000000000000000000000000 | limit: expected a whole number from 1 to 10000",
        "\"limit\": 2.5 | limit: expected a whole number from 1 to 10000, found 2.5",
      })
  void whatAKeyMayHoldIsSaid(String line, String said) throws IOException {
    Files.writeString(scan("one.json"), "{\"kelvo\": 1, \"name\": \"One\", " + line + "}");
    own().scans();

    assertThat(problems).singleElement().asString().startsWith("one.json, " + said);
  }

  @Test
  void aNameThatIsANumberIsNoName() throws IOException {
    Files.writeString(scan("one.json"), "{\"kelvo\": 1, \"name\": 5}");
    own().scans();

    assertThat(problems)
        .containsExactly(
            "one.json, name: expected a text in quotes, found 5; the file was left out");
  }

  @Test
  void keysThatNobodyKnowsAreToldAndKept() throws IOException {
    Files.writeString(
        scan("one.json"), "{\"kelvo\": 1, \"name\": \"One\", \"colour\": {\"of\": \"ink\"}}");
    Scan one = own().scans().getFirst();
    assertThat(problems)
        .singleElement()
        .asString()
        .startsWith("one.json: unknown key colour; allowed are kelvo, name");

    own().save(one.meant("a purpose"));
    assertThat(Files.readString(scan("one.json")))
        .contains("\"colour\" : {", "\"of\" : \"ink\"", "a purpose");
  }

  @Test
  void wrongTypesInUniversesAndListsAreToldToo() throws IOException {
    Files.writeString(
        Files.createDirectories(folder.resolve("universes")).resolve("u.json"),
        "{\"kelvo\": 1, \"name\": \"U\", \"added\": \"KELPOR\"}");
    Files.writeString(
        Files.createDirectories(folder.resolve("lists")).resolve("l.json"),
        "{\"kelvo\": 1, \"name\": \"L\", \"entries\": [\"KELPOR\"]}");
    Files.writeString(folder.resolve("ten.json"), "{\"kelvo\": 1, \"most\": 99}");
    Files.writeString(folder.resolve("alerts.json"), "{\"kelvo\": 1, \"alerts\": \"all\"}");

    assertThat(own().universes()).isEmpty();
    assertThat(own().watchlists()).isEmpty();
    assertThat(own().mostKept()).isEqualTo(10);
    assertThat(own().alerts().alerts()).isEmpty();
    assertThat(problems)
        .hasSize(4)
        .anyMatch(problem -> problem.startsWith("u.json, added: expected a list"))
        .anyMatch(problem -> problem.startsWith("l.json, entries 1: expected keys and values"))
        .anyMatch(problem -> problem.startsWith("ten.json, most: expected a whole number from "))
        .anyMatch(problem -> problem.startsWith("alerts.json, alerts: expected a list"));
  }

  @Test
  void noNameLeadsOutOfTheFolder() throws IOException {
    Scan scan = ScanFile.shipped(Vocabulary.DEFAULT).getFirst();
    for (String name : List.of("../../out", "/etc/out", "..", "C:\\out", "a/b\0c", "…")) {
      own().save(scan.named(name));
      own().save(new Universe(name, List.of(), Set.of("../x"), Set.of(), null));
    }
    try (Stream<Path> all = Files.walk(folder)) {
      assertThat(all.filter(Files::isRegularFile).map(file -> folder.relativize(file).toString()))
          .hasSizeGreaterThan(12)
          .allMatch(file -> file.matches("(scans|universes)/[a-z0-9-]+\\.json"));
    }
    assertThat(own().scans()).extracting(Scan::name).contains("../../out", "…");
  }

  @Test
  void whatCannotBeReadIsNotWrittenOver() throws IOException {
    Files.writeString(folder.resolve("alerts.json"), "{ half");
    own().save(kelvo.alert.AlertBook.EMPTY);

    assertThat(folder.resolve("alerts.json.unreadable")).hasContent("{ half");
    assertThat(own().alerts()).isEqualTo(kelvo.alert.AlertBook.EMPTY);
    assertThat(problems).singleElement().asString().contains("is kept as alerts.json.unreadable");
  }
}
