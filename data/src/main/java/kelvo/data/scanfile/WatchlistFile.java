package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kelvo.data.scanfile.ScanFile.ScanFileException;
import kelvo.delivery.Channel;
import kelvo.refusal.RefusedException;
import kelvo.watchlist.Mark;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/** Reads and writes watchlists as JSON files, as docs/formats.md describes. */
public final class WatchlistFile {
  /** The keys of the format. */
  static final List<String> KEYS =
      List.of("kelvo", "name", "follows", "note", "columns", "by", "entries");

  private WatchlistFile() {}

  /**
   * Reads a watchlist from JSON text; {@code name} stands for the file in messages.
   *
   * @throws ScanFileException when it holds none
   */
  public static Watchlist parse(String name, String json) {
    JsonKeys root = JsonKeys.ofFile(name, json);
    try {
      List<Watchlist.Entry> entries = new ArrayList<>();
      for (JsonKeys entry : root.objects("entries")) {
        String symbol = entry.text("symbol").strip().toUpperCase(Locale.ROOT);
        if (symbol.isEmpty()) {
          throw new RefusedException(
              "entries " + (entries.size() + 1) + ": expected a symbol, found none");
        }
        entries.add(
            new Watchlist.Entry(
                symbol,
                until(entry.text("until")),
                entry.text("section").strip(),
                Mark.of(entry.text("mark")),
                entry.text("note")));
      }
      return new Watchlist(
          root.text("name"),
          entries,
          root.text("follows"),
          root.text("note"),
          root.texts("columns"),
          root.has("by") ? Channel.parse(root.text("by")) : Channel.USUAL);
    } catch (RefusedException e) {
      throw ScanFileException.at(name, e);
    }
  }

  private static @Nullable LocalDate until(String text) {
    try {
      return text.isEmpty() ? null : LocalDate.parse(text);
    } catch (DateTimeException e) {
      throw new RefusedException(
          "until: expected a date such as 2031-03-12, found \"" + text + "\"", e);
    }
  }

  /** A watchlist as JSON text that reads back as the same list. */
  public static String write(Watchlist list) {
    ObjectNode written = JsonText.begin().put("name", list.name());
    if (!list.follows().isEmpty()) {
      written.put("follows", list.follows());
    }
    if (!list.note().isEmpty()) {
      written.put("note", list.note());
    }
    if (!list.columns().isEmpty()) {
      list.columns().forEach(written.putArray("columns")::add);
    }
    if (!list.how().equals(Channel.USUAL)) {
      written.put("by", Channel.words(list.how()));
    }
    ArrayNode entries = written.putArray("entries");
    for (Watchlist.Entry entry : list.entries()) {
      ObjectNode one = entries.addObject().put("symbol", entry.symbol());
      if (entry.until() != null) {
        one.put("until", entry.until().toString());
      }
      if (!entry.section().isEmpty()) {
        one.put("section", entry.section());
      }
      if (entry.mark() != Mark.NONE) {
        one.put("mark", entry.mark().words());
      }
      if (!entry.note().isEmpty()) {
        one.put("note", entry.note());
      }
    }
    return JsonText.of(written);
  }
}
