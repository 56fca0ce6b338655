package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.trigger.Trigger;
import kelvo.trigger.TriggerCatalogue;
import org.junit.jupiter.api.Test;

/**
 * docs/fields.md is written from the catalogues: {@code KELVO_WRITE_DOCS=true mvn -pl core test
 * -Dtest=FieldsDocumentTest -Dkelvo.write.docs=true} writes it anew.
 */
class FieldsDocumentTest {
  private static final Path DOCUMENT = Path.of("..", "docs", "fields.md");

  /** What tests ask for: a text in quotation marks, or a trigger by its constant. */
  private static final Pattern ASKED = Pattern.compile("\"[^\"\n]*\"|Trigger\\.\\w+");

  private static final Map<String, String> TESTS = tests();

  @Test
  void theDocumentSaysWhatTheCataloguesSay() throws IOException {
    String text = text();
    if ("true".equals(System.getenv("KELVO_WRITE_DOCS"))) {
      Files.writeString(DOCUMENT, text);
    }

    assertThat(DOCUMENT).content().isEqualTo(text);
  }

  private static String text() {
    StringBuilder text =
        new StringBuilder(
            """
            # Fields and triggers

            Written from the catalogues in `core`; the rule language, columns, tooltips and hits read the same definitions.
            N stands for any whole number from 1 to 1000, SYM for a symbol. Times are New York. Unknown is neither true nor false.
            "Changes with" says what can change a value: prints, quotes, time alone, or nothing during a session. "Checked by"
            names the test classes that ask for it by these words: RealTapeTest holds it to SQL over a real tape, those named Properties to a plain walk
            over random sessions, AveragesAgainstLibrariesTest to two libraries; the others work examples by hand; a dash: none by these words.

            ## Fields

            | field | unit | meaning | unknown when | changes with | checked by |
            |---|---|---|---|---|---|
            """);
    FieldCatalogue.usual().stream()
        .filter(f -> FieldCatalogue.singleWords().contains(f.words()))
        .forEach(f -> row(text, f.words(), f));
    FieldCatalogue.familyExamples().forEach((words, example) -> row(text, words, example));
    text.append(
        """

        ## Triggers

        Those with a number are examples; any other number does as well.

        | trigger | side | fires when | checked by |
        |---|---|---|---|
        """);
    for (Trigger t : TriggerCatalogue.all()) {
      String side = t.direction() > 0 ? "up" : t.direction() < 0 ? "down" : "both";
      text.append(
          "| `%s` | %s | %s | %s |\n".formatted(t.words(), side, t.meaning(), checks(t.words())));
    }
    return text.toString();
  }

  private static void row(StringBuilder text, String words, Field f) {
    String unit = f.unit().name().toLowerCase(Locale.ROOT);
    text.append(
        "| `%s` | %s | %s | %s | %s | %s |\n"
            .formatted(
                words, unit, f.meaning(), f.unknownWhen(), changes(f.pace()), checks(f.words())));
  }

  /**
   * The test classes that ask for these words, or for the trigger by its constant. A number in them
   * may be any other, and so may a symbol; what stands in brackets and a last % may be left out.
   */
  private static String checks(String words) {
    String anyNumber = "[0-9][0-9.,:]*[A-Za-z%]*";
    String quoted =
        Arrays.stream(
                words
                    .replaceFirst("( \\(.*\\)| %)$", "")
                    .split("(?=\\b[0-9])|(?<=[0-9A-Za-z%])(?= )"))
            .map(
                part ->
                    part.matches(anyNumber)
                        ? anyNumber
                        : part.equals(" SYM") ? " [A-Z]+" : Pattern.quote(part))
            .collect(Collectors.joining());
    String constant = words.toUpperCase(Locale.ROOT).replace(' ', '_');
    Pattern asked =
        Pattern.compile("\"" + quoted + "( %| \\([^\"]*\\))?\"|Trigger\\." + constant + "\\b");
    List<String> classes =
        TESTS.entrySet().stream()
            .filter(test -> asked.matcher(test.getValue()).find())
            .map(Map.Entry::getKey)
            .toList();
    return classes.isEmpty() ? "-" : String.join(", ", classes);
  }

  /** The texts and triggers in the tests of core and data by class, one a line. */
  private static Map<String, String> tests() {
    Map<String, String> sources = new TreeMap<>();
    for (String module : List.of("core", "data")) {
      Path root = Path.of("..", module, "src", "test", "java");
      try (Stream<Path> files = Files.walk(root)) {
        for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
          String name = file.getFileName().toString().replace(".java", "");
          sources.put(
              name,
              ASKED
                  .matcher(Files.readString(file))
                  .results()
                  .map(MatchResult::group)
                  .collect(Collectors.joining("\n")));
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return sources;
  }

  private static String changes(Field.Pace pace) {
    return switch (pace) {
      case FIXED -> "nothing";
      case EVENTS -> "prints";
      case QUOTES -> "prints, quotes";
      case LAST_MINUTE, LAST_FIVE_MINUTES, MINUTES, FALLING, CLOCK -> "prints, time";
    };
  }
}
