package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.scan.SortOrder;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;
import org.jspecify.annotations.Nullable;

/** Reads scans from JSON files, as docs/formats.md describes. */
public final class ScanFile {
  private static final int DEFAULT_LIMIT = 50;

  private final String name;
  private final JsonNode root;
  private final Vocabulary vocabulary;
  private final List<Universe> universes;

  private ScanFile(String name, JsonNode root, Vocabulary vocabulary, List<Universe> universes) {
    this.name = name;
    this.root = root;
    this.vocabulary = vocabulary;
    this.universes = universes;
  }

  /**
   * A scan file that cannot be read; the message names the file, the place and what was expected.
   */
  public static final class ScanFileException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    ScanFileException(String message, @Nullable Throwable cause) {
      super(message, cause);
    }
  }

  /**
   * Reads one file.
   *
   * @throws ScanFileException when it holds no scan
   */
  public static Scan read(Path file, Vocabulary vocabulary, List<Universe> universes) {
    String name = String.valueOf(file.getFileName());
    try {
      return parse(name, Files.readString(file), vocabulary, universes);
    } catch (IOException e) {
      throw new ScanFileException(name + ": cannot be read; check the path " + file, e);
    }
  }

  /**
   * Reads a scan from JSON text; {@code name} stands for the file in messages.
   *
   * @param universes those that it may name
   */
  public static Scan parse(
      String name, String json, Vocabulary vocabulary, List<Universe> universes) {
    return new ScanFile(name, JsonText.read(name, json), vocabulary, universes).scan();
  }

  /** The scans that ship with Kelvo, in the order of the day. */
  public static List<Scan> shipped(Vocabulary vocabulary) {
    return shippedFiles().stream()
        .map(file -> parse(file, shippedText(file), vocabulary, List.of()))
        .toList();
  }

  /** The names of the shipped scan files. */
  public static List<String> shippedFiles() {
    return ShippedFiles.SCANS.names();
  }

  /** The text of a shipped scan file. */
  public static String shippedText(String file) {
    return ShippedFiles.SCANS.text(file);
  }

  private Scan scan() {
    if (root.path("kelvo").asInt() != 1) {
      throw wrong("kelvo", "1, the version of the format", root.path("kelvo").asText());
    }
    List<String> window = texts("window");
    List<Trigger> triggers = new ArrayList<>();
    texts("triggers").forEach(t -> triggers.addAll(at("triggers", () -> Trigger.parse(t))));
    return at(
        "scan",
        () ->
            new Scan(
                root.path("name").asText(),
                root.path("purpose").asText(),
                universe(),
                window.isEmpty()
                    ? DayTime.FIRST
                    : at("window", () -> DayTime.parse(window.getFirst())),
                window.size() < 2 ? DayTime.LAST : at("window", () -> DayTime.parse(window.get(1))),
                rules("rules", root.path("rules")),
                anyOf(),
                triggers,
                fold(),
                at("side", () -> Side.of(root.path("side").asText("both"))),
                root.path("limit").asInt(DEFAULT_LIMIT),
                sort(),
                columns()));
  }

  private Universe universe() {
    String wanted = root.path("universe").asText();
    return wanted.isEmpty()
        ? Universe.EVERYONE
        : universes.stream()
            .filter(u -> u.name().equals(wanted))
            .findFirst()
            .orElseThrow(
                () ->
                    wrong(
                        "universe",
                        "one of the folder's universes "
                            + universes.stream().map(Universe::name).toList(),
                        wanted));
  }

  private List<Rule> rules(String place, JsonNode sentences) {
    List<Rule> rules = new ArrayList<>();
    for (int i = 0; i < sentences.size(); i++) {
      String sentence = sentences.get(i).asText();
      rules.add(at(place + " " + (i + 1), () -> RuleSentence.parse(sentence, vocabulary)));
    }
    return rules;
  }

  private List<List<Rule>> anyOf() {
    List<List<Rule>> groups = new ArrayList<>();
    root.path("any")
        .forEach(group -> groups.add(rules("any, group " + (groups.size() + 1) + ", rule", group)));
    return groups;
  }

  private long fold() {
    String text = root.path("fold").asText("15m");
    if (!text.matches("\\d{1,4}[msh]")) {
      throw wrong("fold", "a time such as 15m", text);
    }
    long n = Long.parseLong(text.substring(0, text.length() - 1));
    return n
        * (text.endsWith("h")
            ? DayTime.HOUR
            : text.endsWith("m") ? DayTime.MINUTE : DayTime.SECOND);
  }

  private List<SortOrder> sort() {
    List<SortOrder> orders = new ArrayList<>();
    for (String text : texts("sort")) {
      orders.add(at("sort", () -> SortOrder.parse(text, vocabulary)));
    }
    return orders;
  }

  private List<Field> columns() {
    List<Field> columns = new ArrayList<>();
    for (String words : texts("columns")) {
      columns.add(vocabulary.find(words).orElseThrow(() -> wrong("columns", "a field", words)));
    }
    return columns;
  }

  private List<String> texts(String key) {
    List<String> texts = new ArrayList<>();
    root.path(key).forEach(node -> texts.add(node.asText()));
    return texts;
  }

  /** A scan as JSON text that reads back as the same scan. */
  public static String write(Scan scan) {
    ObjectNode written = JsonText.begin().put("name", scan.name());
    if (!scan.purpose().isEmpty()) {
      written.put("purpose", scan.purpose());
    }
    if (!scan.universe().equals(Universe.EVERYONE)) {
      written.put("universe", scan.universe().name());
    }
    written.putArray("window").add(DayTime.seconds(scan.from())).add(DayTime.seconds(scan.to()));
    written.put("side", scan.side().word()).put("limit", scan.limit());
    sentences(written.putArray("rules"), scan.rules());
    ArrayNode any = written.putArray("any");
    scan.anyOf().forEach(group -> sentences(any.addArray(), group));
    ArrayNode triggers = written.putArray("triggers");
    scan.triggers().forEach(trigger -> triggers.add(trigger.words()));
    written.put("fold", scan.fold() / DayTime.SECOND + "s");
    ArrayNode sort = written.putArray("sort");
    scan.sort().forEach(order -> sort.add(order.words()));
    ArrayNode columns = written.putArray("columns");
    scan.columns().forEach(field -> columns.add(field.words()));
    return JsonText.of(written);
  }

  private static void sentences(ArrayNode to, List<Rule> rules) {
    rules.forEach(rule -> to.add(rule.sentence()));
  }

  private <T> T at(String place, java.util.function.Supplier<T> read) {
    try {
      return read.get();
    } catch (IllegalArgumentException e) {
      throw new ScanFileException(name + ", " + place + ": " + e.getMessage(), e);
    }
  }

  private ScanFileException wrong(String place, String expected, String found) {
    return new ScanFileException(
        name + ", " + place + ": expected " + expected + ", found \"" + found + "\"", null);
  }
}
