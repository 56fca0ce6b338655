package kelvo.data.feed;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kelvo.news.Catalyst;
import kelvo.session.Session;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trade.Fill;

/** Writes the events of a recorded session as frames of the feed. Any thread may use it. */
public final class FeedWriter {
  private static final JsonFactory JSON = new JsonFactory();
  private static final int PRICE_DECIMALS = 4;

  private final Session session;
  private final LocalDate date;
  private final List<Fill> fills;

  /**
   * A writer for one session.
   *
   * @param fills each goes out with the first frame that is not before it
   */
  public FeedWriter(Session session, List<Fill> fills) {
    this.session = session;
    this.fills = fills.stream().sorted(Comparator.comparingLong(Fill::at)).toList();
    date = session.hours().date();
  }

  /** A frame of the events from one place on the tape to another, excluded. */
  public String frame(long seq, int from, int to) {
    return write(
        json -> {
          json.writeStartObject();
          json.writeNumberField("seq", seq);
          json.writeArrayFieldStart("e");
          for (int i = from; i < to; i++) {
            if (!continues(i)) {
              event(json, i);
            }
          }
          for (Fill fill : fillsBetween(from, to)) {
            fill(json, fill);
          }
          json.writeEndArray();
          json.writeEndObject();
        });
  }

  /** A heartbeat, which repeats the number of the last frame. */
  public String heartbeat(long seq, long moment) {
    return write(
        json -> {
          json.writeStartObject();
          json.writeNumberField("seq", seq);
          json.writeArrayFieldStart("e");
          json.writeStartArray();
          json.writeString("b");
          json.writeNumber(epochMs(moment));
          json.writeEndArray();
          json.writeEndArray();
          json.writeEndObject();
        });
  }

  /** The answer to a client's greeting. */
  public String welcome(long seq) {
    return write(
        json -> {
          json.writeStartObject();
          json.writeNumberField("welcome", 1);
          json.writeStringField("session", date.toString());
          json.writeNumberField("seq", seq);
          json.writeEndObject();
        });
  }

  private interface Part {
    void write(JsonGenerator json) throws IOException;
  }

  private static String write(Part part) {
    StringWriter text = new StringWriter();
    try (JsonGenerator json = JSON.createGenerator(text)) {
      part.write(json);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  private void event(JsonGenerator json, int i) throws IOException {
    EventTape tape = session.tape();
    json.writeStartArray();
    switch (tape.kind(i)) {
      case TRADE -> {
        begin(json, "t", i);
        price(json, tape.price(i));
        json.writeNumber(tape.shares(i));
        json.writeString(conditions(tape.conditions(i)));
        if (tape.id(i) != EventTape.NO_ID) {
          json.writeNumber(tape.id(i));
        }
      }
      case QUOTE -> {
        begin(json, "q", i);
        price(json, tape.bid(i));
        json.writeNumber(tape.bidShares(i));
        price(json, tape.ask(i));
        json.writeNumber(tape.askShares(i));
      }
      case STATUS -> {
        begin(json, "s", i);
        json.writeString(tape.state(i).word());
        json.writeString(tape.reason(i));
      }
      case CORRECTION -> {
        begin(json, "x", i);
        json.writeNumber(tape.id(i));
        json.writeString(tape.isCancel(i) ? "cancel" : "correct");
        if (!tape.isCancel(i)) {
          price(json, tape.price(i));
          json.writeNumber(tape.shares(i));
        }
      }
      case IMBALANCE -> {
        begin(json, "i", i);
        json.writeString(tape.buyersWait(i) ? "buy" : "sell");
        json.writeNumber(tape.paired(i));
        json.writeNumber(tape.shares(i));
        price(json, tape.price(i));
      }
      case MENTION -> {
        begin(json, "m", i);
        json.writeNumber(tape.shares(i));
      }
      case NEWS -> news(json, tape.newsItem(i));
    }
    json.writeEndArray();
  }

  /** One item that names several securities stands on the tape once for each, side by side. */
  private boolean continues(int i) {
    EventTape tape = session.tape();
    return i > 0
        && tape.kind(i) == EventKind.NEWS
        && tape.kind(i - 1) == EventKind.NEWS
        && tape.newsItem(i) == tape.newsItem(i - 1);
  }

  private void begin(JsonGenerator json, String kind, int i) throws IOException {
    json.writeString(kind);
    json.writeNumber(epochMs(session.tape().time(i)));
    json.writeString(session.security(session.tape().symbol(i)).symbol());
  }

  private void news(JsonGenerator json, int number) throws IOException {
    Catalyst item = session.catalysts().get(number);
    json.writeString("n");
    json.writeStartObject();
    json.writeNumberField("time", epochMs(item.at()));
    json.writeStringField("source", item.source());
    json.writeStringField("headline", item.headline());
    json.writeStringField("body", item.body());
    json.writeArrayFieldStart("symbols");
    for (String symbol : item.symbols()) {
      json.writeString(symbol);
    }
    json.writeEndArray();
    json.writeEndObject();
  }

  private List<Fill> fillsBetween(int from, int to) {
    EventTape tape = session.tape();
    long after = from == 0 ? Long.MIN_VALUE : tape.time(from - 1);
    long until = to == tape.size() ? Long.MAX_VALUE : tape.time(to - 1);
    return fills.stream().filter(f -> f.at() > after && f.at() <= until).toList();
  }

  private void fill(JsonGenerator json, Fill fill) throws IOException {
    json.writeStartArray();
    json.writeString("f");
    json.writeStartObject();
    json.writeNumberField("time", epochMs(fill.at()));
    json.writeStringField("symbol", fill.symbol());
    json.writeStringField("side", fill.side().word());
    json.writeNumberField("quantity", fill.quantity());
    json.writeNumberField("price", fill.price());
    json.writeNumberField("fee", fill.fee());
    json.writeStringField("account", fill.account());
    json.writeStringField("order_id", fill.orderId());
    json.writeEndObject();
    json.writeEndArray();
  }

  private long epochMs(long moment) {
    long days = Math.floorDiv(moment, DayTime.DAY);
    LocalTime clock = LocalTime.ofNanoOfDay(Math.floorMod(moment, DayTime.DAY));
    return date.plusDays(days).atTime(clock).atZone(DayTime.NEW_YORK).toInstant().toEpochMilli();
  }

  private static void price(JsonGenerator json, long price) throws IOException {
    if (price == Price.NONE) {
      json.writeNull();
    } else {
      json.writeNumber(BigDecimal.valueOf(price, PRICE_DECIMALS).stripTrailingZeros());
    }
  }

  private static String conditions(int bits) {
    List<String> words = new ArrayList<>();
    for (SaleCondition condition : SaleCondition.values()) {
      if ((bits & condition.bit()) != 0) {
        words.add(condition.word());
      }
    }
    return String.join(" ", words);
  }
}
