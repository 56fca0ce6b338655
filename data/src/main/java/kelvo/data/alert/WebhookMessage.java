package kelvo.data.alert;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import kelvo.alert.AlertEvent;
import kelvo.alert.Ring;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** Something that rang as the JSON that a webhook gets, as docs/formats.md describes. */
public final class WebhookMessage {
  private static final ObjectMapper JSON = new ObjectMapper();

  private WebhookMessage() {}

  /** The message of a ring on a date; what is unknown is left out. */
  public static byte[] of(Ring ring, LocalDate date) {
    AlertEvent event = ring.event();
    ObjectNode message =
        JSON.createObjectNode()
            .put("alert", event.source().isEmpty() ? "halt" : event.source())
            .put("symbol", event.symbol())
            .put(
                "time",
                date.atTime(LocalTime.ofNanoOfDay(event.at()))
                    .atZone(DayTime.NEW_YORK)
                    .format(DateTimeFormatter.ISO_OFFSET_DATE_TIME));
    if (event.price() != Price.NONE) {
      message.put("price", Price.text(event.price()));
    }
    message.put("sentence", event.symbol() + " " + event.words());
    ObjectNode fields = message.putObject("fields");
    put(fields, "range ratio", event.rangeRatio());
    put(fields, "volume burst", event.volumeBurst());
    put(fields, "dollar volume 5m", event.dollars());
    return message.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static void put(ObjectNode fields, String name, double value) {
    if (!Double.isNaN(value)) {
      fields.put(name, value);
    }
  }
}
