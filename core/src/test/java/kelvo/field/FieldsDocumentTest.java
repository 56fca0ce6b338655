package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import kelvo.trigger.Trigger;
import kelvo.trigger.TriggerCatalogue;
import org.junit.jupiter.api.Test;

/**
 * docs/fields.md is written from the catalogues: {@code KELVO_WRITE_DOCS=true mvn -pl core test
 * -Dtest=FieldsDocumentTest -Dkelvo.write.docs=true} writes it anew.
 */
class FieldsDocumentTest {
  private static final Path DOCUMENT = Path.of("..", "docs", "fields.md");

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
            "Changes with" says what can change a value: prints, quotes, time alone, or nothing during a session.

            ## Fields

            | field | unit | meaning | unknown when | changes with |
            |---|---|---|---|---|
            """);
    FieldCatalogue.usual().stream()
        .filter(f -> FieldCatalogue.singleWords().contains(f.words()))
        .forEach(f -> row(text, f.words(), f));
    FieldCatalogue.familyExamples().forEach((words, example) -> row(text, words, example));
    text.append(
        """

        ## Triggers

        Those with a number are examples; any other number does as well.

        | trigger | side | fires when |
        |---|---|---|
        """);
    for (Trigger t : TriggerCatalogue.all()) {
      String side = t.direction() > 0 ? "up" : t.direction() < 0 ? "down" : "both";
      text.append("| `%s` | %s | %s |\n".formatted(t.words(), side, t.meaning()));
    }
    return text.toString();
  }

  private static void row(StringBuilder text, String words, Field f) {
    String unit = f.unit().name().toLowerCase(Locale.ROOT);
    text.append(
        "| `%s` | %s | %s | %s | %s |\n"
            .formatted(words, unit, f.meaning(), f.unknownWhen(), changes(f.pace())));
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
