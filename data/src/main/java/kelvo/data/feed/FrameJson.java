package kelvo.data.feed;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonFactoryBuilder;
import com.fasterxml.jackson.core.JsonParseException;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.json.JsonReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.BigInteger;

/**
 * The JSON of messages of a feed. Where a number is out of all bounds, or is none, it becomes a
 * text, so that it costs its event and not the whole frame.
 */
final class FrameJson {
  private static final ObjectMapper JSON =
      new ObjectMapper().enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS);

  /** Takes numbers of any length, which it does not work out, and words such as NaN. */
  private static final JsonFactory CAREFUL =
      new JsonFactoryBuilder()
          .enable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
          .streamReadConstraints(
              StreamReadConstraints.builder()
                  .maxNumberLength(FeedClient.LONGEST_MESSAGE)
                  .maxStringLength(FeedClient.LONGEST_MESSAGE)
                  .build())
          .build();

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final int LONGEST_NUMBER = 100;

  private FrameJson() {}

  /**
   * Reads a message.
   *
   * @throws JsonProcessingException when it is no JSON
   */
  static JsonNode read(String text) throws JsonProcessingException {
    try {
      JsonNode node = JSON.readTree(text);
      return node == null ? JSON.nullNode() : node;
    } catch (JsonProcessingException | NumberFormatException e) {
      return readCarefully(text);
    }
  }

  private static JsonNode readCarefully(String text) throws JsonProcessingException {
    try (JsonParser parser = CAREFUL.createParser(text)) {
      JsonToken first = parser.nextToken();
      return first == null ? NODES.nullNode() : node(parser, first);
    } catch (JsonProcessingException e) {
      throw e;
    } catch (IOException e) {
      throw new IllegalStateException("a text in memory can be read", e);
    }
  }

  private static JsonNode node(JsonParser parser, JsonToken token) throws IOException {
    return switch (token) {
      case START_ARRAY -> {
        ArrayNode array = NODES.arrayNode();
        for (JsonToken next = next(parser); next != JsonToken.END_ARRAY; next = next(parser)) {
          array.add(node(parser, next));
        }
        yield array;
      }
      case START_OBJECT -> {
        ObjectNode object = NODES.objectNode();
        for (JsonToken next = next(parser); next != JsonToken.END_OBJECT; next = next(parser)) {
          String name = parser.currentName();
          object.set(name, node(parser, next(parser)));
        }
        yield object;
      }
      case VALUE_STRING -> NODES.textNode(parser.getText());
      case VALUE_NUMBER_INT, VALUE_NUMBER_FLOAT -> number(parser, token);
      case VALUE_TRUE -> NODES.booleanNode(true);
      case VALUE_FALSE -> NODES.booleanNode(false);
      default -> NODES.nullNode();
    };
  }

  private static JsonToken next(JsonParser parser) throws IOException {
    JsonToken next = parser.nextToken();
    if (next == null) {
      throw new JsonParseException(parser, "the end is missing");
    }
    return next;
  }

  /** A number, or its text when it is too long to be one of the feed's or cannot be one at all. */
  private static JsonNode number(JsonParser parser, JsonToken token) throws IOException {
    String text = parser.getText();
    if (text.length() > LONGEST_NUMBER) {
      return NODES.textNode(text.substring(0, LONGEST_NUMBER));
    }
    try {
      if (token == JsonToken.VALUE_NUMBER_FLOAT) {
        return NODES.numberNode(new BigDecimal(text).stripTrailingZeros());
      }
      BigInteger whole = new BigInteger(text);
      if (whole.bitLength() < Integer.SIZE) {
        return NODES.numberNode(whole.intValueExact());
      }
      return whole.bitLength() < Long.SIZE
          ? NODES.numberNode(whole.longValueExact())
          : NODES.numberNode(whole);
    } catch (NumberFormatException e) {
      return NODES.textNode(text);
    }
  }
}
