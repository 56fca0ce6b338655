package kelvo.data.ledger;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.FieldValues;

/**
 * Which fields the hits of a program keep, in the order in which they are packed. What stays the
 * same all session is kept once a security, the rest with each hit.
 *
 * @param settledNumbers by their words
 * @param numbers likewise
 * @param settledWords fields that are words, likewise
 * @param words likewise
 */
record KeptFields(
    List<String> settledNumbers,
    List<String> numbers,
    List<String> settledWords,
    List<String> words) {
  private static final ObjectMapper JSON = new ObjectMapper();

  /** A length that stands for more than a byte can say: four bytes with it follow. */
  private static final int LONG = 255;

  KeptFields {
    settledNumbers = List.copyOf(settledNumbers);
    numbers = List.copyOf(numbers);
    settledWords = List.copyOf(settledWords);
    words = List.copyOf(words);
  }

  /** Those of a hit. */
  static KeptFields of(FieldValues values) {
    List<String> all = values.fields().stream().map(Field::words).toList();
    int settled = values.settled();
    TreeSet<String> names = new TreeSet<>(values.words().keySet());
    FieldCatalogue.usual().stream()
        .filter(Field.Word.class::isInstance)
        .map(Field::words)
        .forEach(names::add);
    List<String> settledWords = new ArrayList<>();
    List<String> words = new ArrayList<>();
    for (String name : names) {
      boolean stays = FieldCatalogue.find(name).map(f -> f.pace() == Field.Pace.FIXED).orElse(true);
      (stays ? settledWords : words).add(name);
    }
    return new KeptFields(
        all.subList(0, settled), all.subList(settled, all.size()), settledWords, words);
  }

  /** Whether these are those of a hit. */
  boolean areOf(FieldValues values) {
    List<Field.Number> all = values.fields();
    int settled = settledNumbers.size();
    if (all.size() != settled + numbers.size() || values.settled() != settled) {
      return false;
    }
    for (int i = 0; i < all.size(); i++) {
      String name = i < settled ? settledNumbers.get(i) : numbers.get(i - settled);
      if (!name.equals(all.get(i).words())) {
        return false;
      }
    }
    return values.words().keySet().stream()
        .allMatch(name -> settledWords.contains(name) || words.contains(name));
  }

  /** As text that reads back as the same. */
  String text() {
    try {
      return JSON.writeValueAsString(List.of(settledNumbers, numbers, settledWords, words));
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  static KeptFields read(String text) {
    try {
      List<List<String>> lists = new ArrayList<>();
      JSON.readTree(text)
          .forEach(
              list -> {
                List<String> names = new ArrayList<>();
                list.forEach(name -> names.add(name.asText()));
                lists.add(names);
              });
      return new KeptFields(lists.get(0), lists.get(1), lists.get(2), lists.get(3));
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("the fields of hits cannot be read: " + text, e);
    }
  }

  /** What stays the same all session. */
  byte[] packSettled(FieldValues values) {
    return packed(
        PackedNumbers.pack(settledNumbers.size(), values::at), settledWords, values.words());
  }

  /** What belongs to one hit. */
  byte[] pack(FieldValues values) {
    int first = settledNumbers.size();
    return packed(
        PackedNumbers.pack(numbers.size(), i -> values.at(first + i)), words, values.words());
  }

  /** Numbers, then the words with their lengths in bytes, 0 for an unknown one. */
  static byte[] packed(byte[] numbers, List<String> names, Map<String, String> known) {
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    packed.writeBytes(numbers);
    for (String name : names) {
      byte[] word = known.getOrDefault(name, "").getBytes(StandardCharsets.UTF_8);
      packed.write(Math.min(word.length, LONG));
      if (word.length >= LONG) {
        packed.writeBytes(ByteBuffer.allocate(Integer.BYTES).putInt(word.length).array());
      }
      packed.writeBytes(word);
    }
    return packed.toByteArray();
  }

  /** Reads a hit back: what is unknown is left out. */
  void unpack(byte[] settled, byte[] own, Map<String, Double> into, Map<String, String> wordsInto) {
    unpack(settled, settledNumbers, settledWords, into, wordsInto);
    unpack(own, numbers, words, into, wordsInto);
  }

  private static void unpack(
      byte[] packed,
      List<String> numbers,
      List<String> words,
      Map<String, Double> into,
      Map<String, String> wordsInto) {
    ByteBuffer from = ByteBuffer.wrap(packed);
    double[] values = PackedNumbers.unpack(numbers.size(), from);
    for (int i = 0; i < values.length; i++) {
      if (!Double.isNaN(values[i])) {
        into.put(numbers.get(i), values[i]);
      }
    }
    for (String name : words) {
      int length = Byte.toUnsignedInt(from.get());
      byte[] word = new byte[length == LONG ? from.getInt() : length];
      from.get(word);
      if (word.length > 0) {
        wordsInto.put(name, new String(word, StandardCharsets.UTF_8));
      }
    }
  }
}
