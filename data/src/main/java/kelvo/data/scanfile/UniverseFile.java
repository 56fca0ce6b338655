package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import kelvo.data.scanfile.ScanFile.ScanFileException;
import kelvo.refusal.RefusedException;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.universe.Universe;
import org.jspecify.annotations.Nullable;

/** Reads and writes universes as JSON files, as docs/formats.md describes. */
public final class UniverseFile {
  /** The keys of the format. */
  static final List<String> KEYS =
      List.of("kelvo", "name", "rules", "added", "excluded", "reviewed");

  private UniverseFile() {}

  /**
   * Reads a universe from JSON text; {@code name} stands for the file in messages.
   *
   * @throws ScanFileException when it holds none
   */
  public static Universe parse(String name, String json, Vocabulary vocabulary) {
    JsonKeys root = JsonKeys.ofFile(name, json);
    String called = root.text("name");
    if (called.isBlank()) {
      throw new ScanFileException(name + ", name: expected a name, found nothing", null);
    }
    List<Rule> rules = new ArrayList<>();
    for (String sentence : root.texts("rules")) {
      try {
        rules.add(RuleSentence.parse(sentence, vocabulary));
      } catch (RefusedException e) {
        throw root.wrong("rules " + (rules.size() + 1), e);
      }
    }
    try {
      return new Universe(
          called,
          rules,
          symbols(root.texts("added")),
          symbols(root.texts("excluded")),
          reviewed(root.text("reviewed")));
    } catch (RefusedException e) {
      throw ScanFileException.at(name, e);
    }
  }

  private static @Nullable LocalDate reviewed(String text) {
    try {
      return text.isEmpty() ? null : LocalDate.parse(text);
    } catch (DateTimeException e) {
      throw new RefusedException(
          "reviewed: expected a date such as 2031-03-12, found \"" + text + "\"", e);
    }
  }

  private static Set<String> symbols(List<String> list) {
    Set<String> symbols = new TreeSet<>();
    list.forEach(symbol -> symbols.add(symbol.strip().toUpperCase(Locale.ROOT)));
    return symbols;
  }

  /** A universe as JSON text that reads back as the same universe. */
  public static String write(Universe universe) {
    ObjectNode written = JsonText.begin().put("name", universe.name());
    ArrayNode rules = written.putArray("rules");
    universe.rules().forEach(rule -> rules.add(rule.sentence()));
    ArrayNode added = written.putArray("added");
    new TreeSet<>(universe.added()).forEach(added::add);
    ArrayNode excluded = written.putArray("excluded");
    new TreeSet<>(universe.excluded()).forEach(excluded::add);
    if (universe.reviewed() != null) {
      written.put("reviewed", universe.reviewed().toString());
    }
    return JsonText.of(written);
  }
}
