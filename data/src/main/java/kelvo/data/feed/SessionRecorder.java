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
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import kelvo.data.news.JsonFeed;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.news.Catalyst;
import kelvo.time.DayTime;
import kelvo.trade.Fill;

/**
 * Writes a live session down as it comes, as the files of a data folder. Every whole frame that was
 * {@link #save saved} survives a kill; opening the recorder again cuts off what was not, and says
 * from which frame to go on. Used on one thread.
 */
public final class SessionRecorder implements FeedSink, AutoCloseable {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final long PLACES = 1_000_000;

  private enum Table {
    TRADES("time", "symbol", "price", "size", "conditions", "id", "seq"),
    QUOTES("time", "symbol", "bid", "bid_size", "ask", "ask_size", "seq"),
    STATUS("time", "symbol", "state", "reason", "seq"),
    CORRECTIONS("time", "symbol", "id", "action", "price", "size", "seq"),
    IMBALANCE("time", "symbol", "side", "paired", "imbalance", "reference", "seq"),
    MENTIONS("time", "symbol", "count", "seq"),
    FILLS("time", "symbol", "side", "quantity", "price", "fee", "account", "order_id", "seq");

    private final String[] columns;

    Table(String... columns) {
      this.columns = columns;
    }

    Path in(Path folder) {
      return folder.resolve(name().toLowerCase(java.util.Locale.ROOT) + ".csv");
    }
  }

  private final LocalDate date;
  private final Path session;
  private final Path mark;
  private final Path newsFile;
  private final ObjectNode news;
  private final ArrayNode items;
  private final Map<Table, CsvWriter> writers = new EnumMap<>(Table.class);
  private long frame;
  private long place;
  private boolean newsChanged;

  /**
   * Begins to record a session in a data folder, or goes on with one.
   *
   * @throws IllegalArgumentException when the folder has the session from elsewhere
   * @throws UncheckedIOException when the folder cannot be written
   */
  public SessionRecorder(Path folder, LocalDate date) {
    this.date = date;
    session = folder.resolve("sessions").resolve(date.toString());
    mark = session.resolve("recorded.txt");
    newsFile = folder.resolve("news").resolve("live-" + date + ".json");
    try {
      if (!Files.exists(mark) && Files.isDirectory(session)) {
        throw new IllegalArgumentException(
            session + " is there and was not recorded from a feed; name another folder");
      }
      Files.createDirectories(session);
      Files.createDirectories(newsFile.getParent());
      frame = Files.exists(mark) ? Long.parseLong(Files.readString(mark).strip()) : 0;
      news = readNews();
      items = news.withArray("items");
      replace(mark, Long.toString(frame));
      for (Table table : Table.values()) {
        cutOff(table);
        writers.put(table, open(table));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private ObjectNode readNews() throws IOException {
    if (Files.exists(newsFile)) {
      JsonNode read = JSON.readTree(newsFile.toFile());
      if (read instanceof ObjectNode known) {
        ArrayNode kept = JSON.createArrayNode();
        for (JsonNode item : known.path("items")) {
          if (Long.parseLong(item.path("id").asText("0")) <= frame * PLACES) {
            kept.add(item);
          }
        }
        known.set("items", kept);
        return known;
      }
    }
    ObjectNode fresh = JSON.createObjectNode();
    fresh.put("version", "https://jsonfeed.org/version/1.1");
    fresh.put("title", "Live news of " + date);
    fresh.putArray("items");
    return fresh;
  }

  /** Leaves out rows after the last saved frame, and a torn last row. */
  private void cutOff(Table table) throws IOException {
    Path file = table.in(session);
    if (!Files.exists(file)) {
      return;
    }
    Path kept = file.resolveSibling(file.getFileName() + ".part");
    int columns = table.columns.length;
    try (CsvReader<CsvRecord> rows =
            CsvReader.builder()
                .commentStrategy(CommentStrategy.NONE)
                .allowMissingFields(true)
                .allowExtraFields(true)
                .ofCsvRecord(file);
        CsvWriter writer = CsvWriter.builder().build(kept)) {
      for (CsvRecord row : rows) {
        boolean header = row.getStartingLineNumber() == 1;
        if (header || row.getFieldCount() == columns && saved(row.getField(columns - 1))) {
          writer.writeRecord(row.getFields());
        }
      }
    }
    Files.move(kept, file, StandardCopyOption.REPLACE_EXISTING);
  }

  private boolean saved(String seq) {
    return seq.matches("\\d{1,18}") && Long.parseLong(seq) < (frame + 1) * PLACES;
  }

  private CsvWriter open(Table table) throws IOException {
    Path file = table.in(session);
    boolean fresh = !Files.exists(file);
    CsvWriter writer =
        CsvWriter.builder()
            .build(
                Files.newBufferedWriter(
                    file, StandardOpenOption.CREATE, StandardOpenOption.APPEND));
    if (fresh) {
      writer.writeRecord(table.columns);
    }
    return writer;
  }

  /** The number of the last frame that is written; 0 before any. */
  public long lastFrame() {
    return frame;
  }

  private void row(Table table, long at, String symbol, String... rest) {
    List<String> fields = new ArrayList<>();
    fields.add(DayTime.millis(at));
    fields.add(symbol);
    fields.addAll(List.of(rest));
    fields.add(Long.toString((frame + 1) * PLACES + place++));
    Objects.requireNonNull(writers.get(table)).writeRecord(fields);
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
        Table.TRADES,
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
        Table.QUOTES,
        at,
        symbol,
        price(bid),
        Integer.toString(bidShares),
        price(ask),
        Integer.toString(askShares));
  }

  @Override
  public void status(long at, String symbol, TradingState state, String reason) {
    row(Table.STATUS, at, symbol, state.word(), reason);
  }

  @Override
  public void cancel(long at, String symbol, long id) {
    row(Table.CORRECTIONS, at, symbol, Long.toString(id), "cancel", "", "");
  }

  @Override
  public void correct(long at, String symbol, long id, long price, long shares) {
    row(
        Table.CORRECTIONS,
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
        Table.IMBALANCE,
        at,
        symbol,
        buyers ? "buy" : "sell",
        Integer.toString(paired),
        Long.toString(shares),
        price(reference));
  }

  @Override
  public void mention(long at, String symbol, long count) {
    row(Table.MENTIONS, at, symbol, Long.toString(count));
  }

  @Override
  public void news(Catalyst item) {
    news(item, frame + 1);
  }

  /** Writes an item down that came between two frames, from a source beside the feed. */
  void newsBetweenFrames(Catalyst item) {
    news(item, frame);
  }

  private void news(Catalyst item, long ofFrame) {
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
  }

  @Override
  public void fill(Fill fill) {
    row(
        Table.FILLS,
        fill.at(),
        fill.symbol(),
        fill.side().word(),
        Long.toString(fill.quantity()),
        price(fill.price()),
        price(fill.fee()),
        fill.account(),
        fill.orderId());
  }

  @Override
  public void heartbeat(long at) {
    // Only events are written down.
  }

  @Override
  public void frameDone(long seq) {
    frame = seq;
    place = 0;
  }

  /** Makes every frame so far safe from a kill. */
  public void save() {
    try {
      for (CsvWriter writer : writers.values()) {
        writer.flush();
      }
      if (newsChanged) {
        replace(newsFile, JSON.writeValueAsString(news));
        newsChanged = false;
      }
      replace(mark, Long.toString(frame));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void replace(Path file, String text) throws IOException {
    Path part = file.resolveSibling(file.getFileName() + ".part");
    Files.writeString(part, text);
    Files.move(part, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
  }

  @Override
  public void close() {
    save();
    for (CsvWriter writer : writers.values()) {
      try {
        writer.close();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }
}
