package kelvo.data.feed;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import kelvo.data.fault.PlainReason;
import kelvo.data.news.JsonFeed;
import kelvo.news.Catalyst;
import kelvo.refusal.RefusedException;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.trade.Fill;

/**
 * Writes a live session down as it comes, as the files of a data folder. Every whole frame that was
 * {@link #save saved} survives a kill; opening the recorder again cuts off what was not, and says
 * from which frame to go on. Used on one thread.
 *
 * <p>When the files cannot be written, it stops recording, says so by {@link #failure} and takes
 * nothing more in, so that the session goes on on screen. {@link #save} tries again; once there is
 * room the record stands at {@link #lastFrame}, and whatever came after must be asked for again.
 */
public final class SessionRecorder implements FeedSink, AutoCloseable {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final long PLACES = 1_000_000;

  /** Less room than this is none: going on would fail again at once. */
  private static final long MIN_ROOM = 1_000_000;

  private final LocalDate date;
  private final Path session;
  private final Path mark;
  private final Path newsFile;
  private final ObjectNode news;
  private final ArrayNode items;
  private final RecordingStore store;
  private final Map<RecordedTable.Kind, RecordedTable> tables =
      new EnumMap<>(RecordedTable.Kind.class);

  /** News that came between frames, which nobody can be asked for again. */
  private final List<ObjectNode> unsavedBetweenFrames = new ArrayList<>();

  private long frame;
  private long savedFrame;
  private long place;
  private boolean newsChanged;
  private String failure = "";

  /**
   * Begins to record a session in a data folder, or goes on with one.
   *
   * @throws RefusedException when the folder has the session from elsewhere
   * @throws UncheckedIOException when the folder cannot be written
   */
  public SessionRecorder(Path folder, LocalDate date) {
    this(folder, date, RecordingStore.DISK);
  }

  SessionRecorder(Path folder, LocalDate date, RecordingStore store) {
    this.date = date;
    this.store = store;
    session = folder.resolve("sessions").resolve(date.toString());
    mark = session.resolve("recorded.txt");
    newsFile = folder.resolve("news").resolve("live-" + date + ".json");
    try {
      if (!Files.exists(mark) && Files.isDirectory(session)) {
        throw new RefusedException(
            session + " is there and was not recorded from a feed; name another folder");
      }
      Files.createDirectories(session);
      Files.createDirectories(newsFile.getParent());
      frame = Files.exists(mark) ? marked() : 0;
      savedFrame = frame;
      news = readNews();
      items = news.withArray("items");
      store.replace(mark, Long.toString(frame));
      for (RecordedTable.Kind kind : RecordedTable.Kind.values()) {
        cutOff(kind);
        tables.put(kind, new RecordedTable(kind, session, store));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private long marked() throws IOException {
    String text = Files.readString(mark).strip();
    if (!text.matches("\\d{1,18}")) {
      throw new RefusedException(
          mark
              + ": expected the number of the last frame; move "
              + session
              + " away to begin anew");
    }
    return Long.parseLong(text);
  }

  private ObjectNode readNews() throws IOException {
    if (Files.exists(newsFile)) {
      JsonNode read = JSON.readTree(newsFile.toFile());
      if (read instanceof ObjectNode known) {
        known.set("items", upToFrame(known.path("items")));
        return known;
      }
    }
    ObjectNode fresh = JSON.createObjectNode();
    fresh.put("version", "https://jsonfeed.org/version/1.1");
    fresh.put("title", "Live news of " + date);
    fresh.putArray("items");
    return fresh;
  }

  /** The items of frames that are saved. */
  private ArrayNode upToFrame(JsonNode all) {
    ArrayNode kept = JSON.createArrayNode();
    for (JsonNode item : all) {
      if (Long.parseLong(item.path("id").asText("0")) <= frame * PLACES) {
        kept.add(item);
      }
    }
    return kept;
  }

  /** Leaves out rows after the last saved frame, and a torn last row. */
  private void cutOff(RecordedTable.Kind kind) throws IOException {
    Path file = kind.in(session);
    RecordedTable.cutTornRow(file);
    if (!Files.exists(file)) {
      return;
    }
    Path kept = file.resolveSibling(file.getFileName() + ".part");
    int columns = kind.width();
    try (CsvReader<CsvRecord> rows =
            CsvReader.builder()
                .commentStrategy(CommentStrategy.NONE)
                .allowMissingFields(true)
                .allowExtraFields(true)
                .ofCsvRecord(file);
        CsvWriter writer = CsvWriter.builder().build(kept)) {
      writer.writeRecord(kind.header());
      for (CsvRecord row : rows) {
        boolean header = row.getFields().equals(kind.header());
        if (!header && row.getFieldCount() == columns && saved(row.getField(columns - 1))) {
          writer.writeRecord(row.getFields());
        }
      }
    }
    Files.move(kept, file, StandardCopyOption.REPLACE_EXISTING);
  }

  private boolean saved(String seq) {
    return seq.matches("\\d{1,18}") && Long.parseLong(seq) < (frame + 1) * PLACES;
  }

  /** The number of the last frame that is written; 0 before any. */
  public long lastFrame() {
    return frame;
  }

  /** Why nothing is being recorded, in one sentence with the way out; empty while it is. */
  public String failure() {
    return failure;
  }

  private void row(RecordedTable.Kind kind, long at, String symbol, String... rest) {
    if (!failure.isEmpty()) {
      return;
    }
    List<String> fields = new ArrayList<>();
    fields.add(DayTime.millis(at));
    fields.add(symbol);
    fields.addAll(List.of(rest));
    fields.add(Long.toString((frame + 1) * PLACES + place++));
    RecordedTable table = Objects.requireNonNull(tables.get(kind));
    try {
      table.row(fields);
    } catch (UncheckedIOException e) {
      fail(table.file(), e);
    }
  }

  /** Stops recording at the last saved frame. */
  private void fail(Path file, Exception cause) {
    failure =
        file
            + " cannot be written ("
            + PlainReason.of(cause)
            + "); the session goes on on screen and is recorded up to frame "
            + savedFrame
            + "; free some disk space, and the rest is asked for again";
    tables.values().forEach(RecordedTable::abandon);
    frame = savedFrame;
    place = 0;
    ArrayNode kept = upToFrame(items);
    unsavedBetweenFrames.forEach(
        item -> {
          item.put("id", Long.toString(frame * PLACES));
          kept.add(item);
        });
    items.removeAll();
    items.addAll(kept);
    newsChanged = true;
  }

  private static String price(long price) {
    return price == Price.NONE ? "" : Price.exact(price);
  }

  @Override
  public void trade(long at, String symbol, long price, long shares, int conditions, long id) {
    List<String> words = new ArrayList<>();
    for (SaleCondition condition : SaleCondition.values()) {
      if ((conditions & condition.bit()) != 0) {
        words.add(condition.word());
      }
    }
    row(
        RecordedTable.Kind.TRADES,
        at,
        symbol,
        price(price),
        Long.toString(shares),
        String.join(" ", words),
        Long.toString(id));
  }

  @Override
  public void quote(long at, String symbol, long bid, int bidShares, long ask, int askShares) {
    row(
        RecordedTable.Kind.QUOTES,
        at,
        symbol,
        price(bid),
        Integer.toString(bidShares),
        price(ask),
        Integer.toString(askShares));
  }

  @Override
  public void status(long at, String symbol, TradingState state, String reason) {
    row(RecordedTable.Kind.STATUS, at, symbol, state.word(), reason);
  }

  @Override
  public void cancel(long at, String symbol, long id) {
    row(RecordedTable.Kind.CORRECTIONS, at, symbol, Long.toString(id), "cancel", "", "");
  }

  @Override
  public void correct(long at, String symbol, long id, long price, long shares) {
    row(
        RecordedTable.Kind.CORRECTIONS,
        at,
        symbol,
        Long.toString(id),
        "correct",
        price(price),
        Long.toString(shares));
  }

  @Override
  public void imbalance(
      long at, String symbol, boolean buyers, int paired, long shares, long reference) {
    row(
        RecordedTable.Kind.IMBALANCE,
        at,
        symbol,
        buyers ? "buy" : "sell",
        Integer.toString(paired),
        Long.toString(shares),
        price(reference));
  }

  @Override
  public void mention(long at, String symbol, long count) {
    row(RecordedTable.Kind.MENTIONS, at, symbol, Long.toString(count));
  }

  @Override
  public void news(Catalyst item) {
    if (failure.isEmpty()) {
      news(item, frame + 1);
    }
  }

  /** Writes an item down that came between two frames, from a source beside the feed. */
  void newsBetweenFrames(Catalyst item) {
    unsavedBetweenFrames.add(news(item, frame));
  }

  private ObjectNode news(Catalyst item, long ofFrame) {
    LocalDateTime published = date.atStartOfDay().plus(Duration.ofNanos(item.at()));
    ObjectNode written = items.addObject();
    written.put("id", Long.toString(ofFrame * PLACES));
    written.put("title", item.headline());
    written.put("content_text", item.body());
    written.put("date_published", published.atZone(DayTime.NEW_YORK).toOffsetDateTime().toString());
    written.putArray("authors").addObject().put("name", item.source());
    item.symbols().forEach(written.withArray("tags")::add);
    if (item.known() > item.at()) {
      LocalDateTime known = date.atStartOfDay().plus(Duration.ofNanos(item.known()));
      written
          .putObject(JsonFeed.OWN)
          .put(JsonFeed.KNOWN, known.atZone(DayTime.NEW_YORK).toOffsetDateTime().toString());
    }
    newsChanged = true;
    return written;
  }

  @Override
  public void fill(Fill fill) {
    row(
        RecordedTable.Kind.FILLS,
        fill.at(),
        fill.symbol(),
        fill.side().word(),
        fill.quantity().toPlainString(),
        fill.price().toPlainString(),
        fill.fee().toPlainString(),
        fill.account(),
        fill.orderId());
  }

  @Override
  public void heartbeat(long at) {
    // Only events are written down.
  }

  @Override
  public void frameDone(long seq) {
    if (failure.isEmpty()) {
      frame = seq;
      place = 0;
    }
  }

  /** Makes every frame so far safe from a kill; while that fails, tries again to go on. */
  public void save() {
    Path writing = mark;
    try {
      if (!failure.isEmpty()) {
        if (store.room(session) < MIN_ROOM) {
          return;
        }
        for (RecordedTable table : tables.values()) {
          writing = table.file();
          table.backToSaved();
        }
      }
      for (RecordedTable table : tables.values()) {
        writing = table.file();
        table.flush();
      }
      if (newsChanged) {
        writing = newsFile;
        store.replace(newsFile, JSON.writeValueAsString(news));
        newsChanged = false;
      }
      writing = mark;
      store.replace(mark, Long.toString(frame));
      unsavedBetweenFrames.clear();
      tables.values().forEach(RecordedTable::saved);
      savedFrame = frame;
      failure = "";
    } catch (IOException e) {
      fail(writing, e);
    }
  }

  /**
   * Saves and lets go of the files.
   *
   * @throws UncheckedIOException when the last frames could not be written; they can be asked for
   *     again when the session is recorded further
   */
  @Override
  public void close() {
    save();
    if (!failure.isEmpty()) {
      throw new UncheckedIOException(new IOException(failure));
    }
    for (RecordedTable table : tables.values()) {
      try {
        table.close();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }
}
