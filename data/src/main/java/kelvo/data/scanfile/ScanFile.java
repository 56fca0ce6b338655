package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.refusal.RefusedException;
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
  /** The keys of the format. */
  static final List<String> KEYS =
      List.of(
          "kelvo",
          "name",
          "purpose",
          "universe",
          "window",
          "side",
          "limit",
          "rules",
          "any",
          "triggers",
          "fold",
          "sort",
          "columns");

  private static final int DEFAULT_LIMIT = 50;
  private static final int MOST_LISTED = 10_000;
  private static final long LONGEST_FOLD = 16 * DayTime.HOUR;

  private final String name;
  private final JsonKeys root;
  private final Vocabulary vocabulary;
  private final List<Universe> universes;

  private ScanFile(String name, JsonKeys root, Vocabulary vocabulary, List<Universe> universes) {
    this.name = name;
    this.root = root;
    this.vocabulary = vocabulary;
    this.universes = universes;
  }

  /**
   * A scan file that cannot be read; the message names the file, the place and what was expected.
   */
  public static final class ScanFileException extends RefusedException {
    private static final long serialVersionUID = 1L;

    ScanFileException(String message, @Nullable Throwable cause) {
      super(message, cause);
    }

    /** What was refused at a place of a file; it stays as it is when it names its place already. */
    static ScanFileException at(String place, RefusedException told) {
      return told instanceof ScanFileException placed
          ? placed
          : new ScanFileException(place + ": " + told.getMessage(), told);
    }
  }

  /**
   * Reads one file.
   *
   * @throws ScanFileException when it holds no scan
   */
  public static Scan read(Path file, Vocabulary vocabulary, List<Universe> universes) {
    return parse(String.valueOf(file.getFileName()), JsonText.of(file), vocabulary, universes);
  }

  /**
   * Reads a scan from JSON text; {@code name} stands for the file in messages.
   *
   * @param universes those that it may name
   */
  public static Scan parse(
      String name, String json, Vocabulary vocabulary, List<Universe> universes) {
    return new ScanFile(name, JsonKeys.ofFile(name, json), vocabulary, universes).scan();
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
    List<String> window = root.texts("window");
    if (window.size() != 0 && window.size() != 2) {
      throw wrong("window", "two times such as [\"09:30\", \"16:00\"]", window.toString());
    }
    List<Trigger> triggers = new ArrayList<>();
    root.texts("triggers").forEach(t -> triggers.addAll(at("triggers", () -> Trigger.parse(t))));
    String called = root.text("name");
    if (called.isBlank()) {
      throw wrong("name", "a name", called);
    }
    return at(
        "scan",
        () ->
            new Scan(
                called,
                root.text("purpose"),
                universe(),
                window.isEmpty()
                    ? DayTime.FIRST
                    : at("window", () -> DayTime.parse(window.getFirst())),
                window.isEmpty() ? DayTime.LAST : at("window", () -> DayTime.parse(window.get(1))),
                rules("rules", root.texts("rules")),
                anyOf(),
                triggers,
                fold(),
                at("side", () -> Side.of(root.text("side", "both"))),
                root.whole("limit", 1, MOST_LISTED, DEFAULT_LIMIT),
                sort(),
                columns()));
  }

  private Universe universe() {
    String wanted = root.text("universe");
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

  private List<Rule> rules(String place, List<String> sentences) {
    List<Rule> rules = new ArrayList<>();
    for (String sentence : sentences) {
      rules.add(
          at(place + " " + (rules.size() + 1), () -> RuleSentence.parse(sentence, vocabulary)));
    }
    return rules;
  }

  private List<List<Rule>> anyOf() {
    List<List<Rule>> groups = new ArrayList<>();
    for (JsonNode group : root.list("any")) {
      if (!group.isArray()) {
        throw root.wrong("any", "lists of rules in square brackets", group);
      }
      List<JsonNode> sentences = new ArrayList<>();
      group.forEach(sentences::add);
      groups.add(
          rules("any, group " + (groups.size() + 1) + ", rule", root.texts("any", sentences)));
    }
    return groups;
  }

  private long fold() {
    String text = root.text("fold", "15m");
    String expected = "a time from 1s to 16h such as 15m";
    if (!text.matches("\\d{1,5}[msh]")) {
      throw wrong("fold", expected, text);
    }
    long n = Long.parseLong(text.substring(0, text.length() - 1));
    long fold =
        n
            * (text.endsWith("h")
                ? DayTime.HOUR
                : text.endsWith("m") ? DayTime.MINUTE : DayTime.SECOND);
    if (fold < DayTime.SECOND || fold > LONGEST_FOLD) {
      throw wrong("fold", expected, text);
    }
    return fold;
  }

  private List<SortOrder> sort() {
    List<SortOrder> orders = new ArrayList<>();
    for (String text : root.texts("sort")) {
      orders.add(at("sort", () -> SortOrder.parse(text, vocabulary)));
    }
    return orders;
  }

  private List<Field> columns() {
    List<Field> columns = new ArrayList<>();
    for (String words : root.texts("columns")) {
      columns.add(vocabulary.find(words).orElseThrow(() -> wrong("columns", "a field", words)));
    }
    return columns;
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
    } catch (RefusedException e) {
      throw ScanFileException.at(name + ", " + place, e);
    }
  }

  private ScanFileException wrong(String place, String expected, String found) {
    return new ScanFileException(
        name + ", " + place + ": expected " + expected + ", found \"" + found + "\"", null);
  }
}
