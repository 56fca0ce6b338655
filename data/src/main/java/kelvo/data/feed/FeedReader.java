package kelvo.data.feed;

import com.fasterxml.jackson.databind.JsonNode;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import kelvo.data.folder.PrintIds;
import kelvo.refusal.RefusedException;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleConditions;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;

/**
 * Reads the events of frames and hands them to a sink. A wrong event is reported and left out; the
 * rest of its frame is read. Used on one thread.
 */
public final class FeedReader {
  private static final int PRICE_DECIMALS = 4;

  /** Of a symbol, of conditions or a reason; longer than any that makes sense. */
  private static final int LONGEST_TEXT = 1_000;

  private final FeedSink sink;
  private final Consumer<String> faults;
  private final Map<String, Integer> conditionSets = new HashMap<>();
  private final Set<String> unknownCodes = new HashSet<>();
  private final long midnightMs;
  private final LocalDate date;

  /**
   * A reader for one session.
   *
   * @param faults hears of each wrong event in one sentence
   */
  public FeedReader(LocalDate date, FeedSink sink, Consumer<String> faults) {
    this.date = date;
    this.sink = sink;
    this.faults = faults;
    midnightMs = date.atStartOfDay(DayTime.NEW_YORK).toInstant().toEpochMilli();
  }

  /** Hands over the time of a heartbeat. */
  void heartbeat(JsonNode events) {
    try {
      sink.heartbeat(time(events.path(0)));
    } catch (RefusedException e) {
      faults.accept("heartbeat: " + e.getMessage());
    }
  }

  /** Hands over the events of a frame, and says when they are done. */
  public void frame(long seq, JsonNode events) {
    sink.frameBegins(seq);
    int place = 0;
    for (JsonNode event : events) {
      place++;
      try {
        event(event);
      } catch (RuntimeException e) {
        faults.accept(
            "frame " + seq + ", event " + place + ": " + e.getMessage() + "; it was left out");
      }
    }
    sink.frameDone(seq);
  }

  private void event(JsonNode e) {
    switch (text(e, 0)) {
      case "t" ->
          sink.trade(
              time(e),
              text(e, 2),
              price(e, 3),
              whole(e, 4, EventTape.MAX_SHARES),
              conditions(text(e, 5)),
              e.size() > 6 ? PrintIds.of(e.get(6).asText()) : EventTape.NO_ID);
      case "q" ->
          sink.quote(
              time(e),
              text(e, 2),
              priceOrNone(e, 3),
              (int) whole(e, 4, Integer.MAX_VALUE),
              priceOrNone(e, 5),
              (int) whole(e, 6, Integer.MAX_VALUE));
      case "s" ->
          sink.status(
              time(e), text(e, 2), TradingState.of(text(e, 3)), e.size() > 4 ? text(e, 4) : "");
      case "x" -> correction(e);
      case "i" ->
          sink.imbalance(
              time(e),
              text(e, 2),
              oneOf(e, 3, "buy", "sell"),
              (int) whole(e, 4, Integer.MAX_VALUE),
              whole(e, 5, EventTape.MAX_SHARES),
              price(e, 6));
      case "m" -> sink.mention(time(e), text(e, 2), whole(e, 3, EventTape.MAX_SHARES));
      case "n" -> sink.news(NewsItemJson.read(item(e), date));
      case "f" -> sink.fill(FillJson.read(item(e), date));
      case "b" -> {}
      default ->
          throw new RefusedException(
              "expected one of t, q, s, x, i, m, n, f, b, found \"" + text(e, 0) + "\"");
    }
  }

  private void correction(JsonNode e) {
    if (oneOf(e, 4, "cancel", "correct")) {
      sink.cancel(time(e), text(e, 2), PrintIds.of(e.path(3).asText()));
    } else {
      sink.correct(
          time(e),
          text(e, 2),
          PrintIds.of(e.path(3).asText()),
          price(e, 5),
          whole(e, 6, EventTape.MAX_SHARES));
    }
  }

  private static JsonNode item(JsonNode e) {
    if (!e.path(1).isObject()) {
      throw new RefusedException("expected an object, found " + e.path(1));
    }
    return e.get(1);
  }

  private long time(JsonNode e) {
    JsonNode ms = e.path(1);
    if (!ms.isIntegralNumber()) {
      throw new RefusedException("expected milliseconds since 1970, found " + ms);
    }
    ZonedDateTime there = Instant.ofEpochMilli(ms.asLong()).atZone(DayTime.NEW_YORK);
    if (!there.toLocalDate().equals(date)) {
      throw new RefusedException("expected a time on " + date + ", found " + there);
    }
    // Clock time, not time gone by: on the days of a clock change the two differ.
    return ms.asLong() - midnightMs == there.toLocalTime().toNanoOfDay() / DayTime.MILLISECOND
        ? (ms.asLong() - midnightMs) * DayTime.MILLISECOND
        : there.toLocalTime().toNanoOfDay();
  }

  private static String text(JsonNode e, int place) {
    JsonNode text = e.path(place);
    if (!text.isTextual()) {
      throw new RefusedException(
          "expected a text as item " + place + ", found " + (text.isMissingNode() ? e : text));
    }
    if (text.asText().length() > LONGEST_TEXT) {
      throw new RefusedException(
          "expected a text of at most " + LONGEST_TEXT + " characters as item " + place);
    }
    return text.asText();
  }

  private static boolean oneOf(JsonNode e, int place, String yes, String no) {
    String text = text(e, place);
    if (!text.equals(yes) && !text.equals(no)) {
      throw new RefusedException("expected " + yes + " or " + no + ", found \"" + text + "\"");
    }
    return text.equals(yes);
  }

  private static long whole(JsonNode e, int place, long most) {
    JsonNode number = e.path(place);
    if (!number.isIntegralNumber() || !number.canConvertToLong()) {
      throw new RefusedException("expected a whole number as item " + place + ", found " + number);
    }
    long value = number.asLong();
    if (value < 0 || value > most) {
      throw new RefusedException("expected 0 to " + most + ", found " + value);
    }
    return value;
  }

  private static long price(JsonNode e, int place) {
    long price = priceOrNone(e, place);
    if (price == Price.NONE) {
      throw new RefusedException("expected a price above 0 as item " + place);
    }
    return price;
  }

  private static long priceOrNone(JsonNode e, int place) {
    JsonNode number = e.path(place);
    if (number.isNull()) {
      return Price.NONE;
    }
    if (!number.isNumber()) {
      throw new RefusedException("expected a price as item " + place + ", found " + number);
    }
    BigDecimal units = number.decimalValue();
    if (units.signum() < 0
        || units.precision() - units.scale() > 9
        || units.stripTrailingZeros().scale() > PRICE_DECIMALS) {
      throw new RefusedException(
          "expected a price below 100 million with at most four decimals, found " + number);
    }
    long price = units.movePointRight(PRICE_DECIMALS).longValueExact();
    if (price > EventTape.GREATEST_PRICE) {
      throw new RefusedException("expected a price below 100 million, found " + number);
    }
    return price;
  }

  private int conditions(String text) {
    Integer known = conditionSets.get(text);
    if (known == null) {
      known = SaleConditions.parse(text, this::unknownCode);
      conditionSets.put(text, known);
    }
    return known;
  }

  private void unknownCode(String code) {
    if (unknownCodes.add(code)) {
      faults.accept(
          "no sale condition has the code " + code + "; its prints count in the volume only");
    }
  }
}
