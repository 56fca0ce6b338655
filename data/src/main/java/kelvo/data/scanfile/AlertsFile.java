package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import kelvo.alert.Alert;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertSentence;
import kelvo.data.scanfile.ScanFile.ScanFileException;
import kelvo.delivery.Channel;
import kelvo.refusal.RefusedException;
import kelvo.rule.Vocabulary;
import org.jspecify.annotations.Nullable;

/** Reads and writes what the trader wants to ring as JSON, as docs/formats.md describes. */
final class AlertsFile {
  private AlertsFile() {}

  /**
   * Reads the alerts of a JSON text; {@code name} stands for the file in messages.
   *
   * @param wrong takes a sentence about each alert that cannot be read; the others are read
   * @throws ScanFileException when it is no JSON
   */
  static AlertBook parse(String name, String json, Vocabulary vocabulary, Consumer<String> wrong) {
    JsonKeys root = new JsonKeys(name, JsonText.read(name, json));
    List<Alert> alerts = new ArrayList<>();
    int place = 0;
    for (JsonNode node : root.list("alerts")) {
      place++;
      try {
        alerts.add(alert(node, vocabulary));
      } catch (RefusedException e) {
        wrong.accept(name + ", alert " + place + ": " + e.getMessage() + "; it does not ring");
      }
    }
    Map<String, Set<Channel>> scans = new HashMap<>();
    for (JsonKeys scan : root.objects("scans")) {
      try {
        scans.put(scan.text("name"), Channel.parse(scan.text("by")));
      } catch (RefusedException e) {
        wrong.accept(name + ", scan \"" + scan.text("name") + "\": " + e.getMessage());
      }
    }
    return new AlertBook(alerts, scans);
  }

  private static Alert alert(JsonNode node, Vocabulary vocabulary) {
    JsonKeys keys = new JsonKeys("alert", node);
    List<Alert.Span> armed = new ArrayList<>();
    for (JsonKeys span : keys.objects("armed")) {
      LocalDateTime from = time(span.text("from"));
      if (from == null) {
        throw new RefusedException("armed: expected from, found nothing");
      }
      armed.add(new Alert.Span(from, time(span.text("until"))));
    }
    // Written sentences have dates in them, so that "today" stands for none.
    Alert said = AlertSentence.parse(keys.text("alert"), vocabulary, LocalDate.EPOCH).alert();
    LocalDateTime spent = time(keys.text("spent"));
    return new Alert(
        said.about(),
        said.when(),
        said.repeat(),
        said.until(),
        said.how(),
        armed,
        spent == null ? null : spent.toLocalDate(),
        keys.yes("removed"));
  }

  private static @Nullable LocalDateTime time(String text) {
    try {
      return text.isEmpty()
          ? null
          : text.contains("T") ? LocalDateTime.parse(text) : LocalDate.parse(text).atStartOfDay();
    } catch (DateTimeException e) {
      throw new RefusedException(
          "expected a time such as 2031-03-12T09:31:05, found \"" + text + "\"", e);
    }
  }

  /**
   * The alerts as JSON text that reads back as the same.
   *
   * @param before the text that was there; what of it cannot be read is kept as it is
   */
  static String write(AlertBook book, String before, Vocabulary vocabulary) {
    ObjectNode written = JsonText.begin();
    ArrayNode alerts = written.putArray("alerts");
    for (Alert alert : book.alerts()) {
      ObjectNode one = alerts.addObject().put("alert", AlertSentence.of(alert));
      ArrayNode armed = one.putArray("armed");
      for (Alert.Span span : alert.armed()) {
        ObjectNode times = armed.addObject().put("from", span.from().toString());
        if (span.until() != null) {
          times.put("until", span.until().toString());
        }
      }
      if (alert.spentOn() != null) {
        one.put("spent", alert.spentOn().toString());
      }
      if (alert.isRemoved()) {
        one.put("removed", true);
      }
    }
    unread(before, vocabulary).forEach(alerts::add);
    ArrayNode scans = written.putArray("scans");
    new TreeMap<>(book.scans())
        .forEach((name, how) -> scans.addObject().put("name", name).put("by", Channel.words(how)));
    return JsonText.of(written);
  }

  private static List<JsonNode> unread(String before, Vocabulary vocabulary) {
    List<JsonNode> unread = new ArrayList<>();
    try {
      for (JsonNode node : JsonText.read("", before).path("alerts")) {
        try {
          alert(node, vocabulary);
        } catch (RefusedException e) {
          unread.add(node);
        }
      }
    } catch (ScanFileException e) {
      return List.of();
    }
    return unread;
  }
}
