package kelvo.data.folder;

import de.siegmar.fastcsv.reader.AbstractBaseCsvCallbackHandler;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZonedDateTime;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * The current row of a CSV file. One object serves all rows: fields are read from the characters
 * where they lie, so that a file of millions of prints makes no garbage.
 */
final class TableRow extends AbstractBaseCsvCallbackHandler<TableRow> {
  private static final int MAX_DIGITS = 15;
  private static final Pattern EXACT = Pattern.compile("-?\\d{1,9}(?:\\.\\d{1,6})?");
  private static final Pattern NUMBER =
      Pattern.compile("[-+]?\\d{1,18}(?:\\.\\d{0,18})?(?:[eE][-+]?\\d{1,2})?");
  private static final int WORD_SLOTS = 1 << 15;

  private final Map<String, LocalDate> dates = new HashMap<>();
  private final @Nullable String[] words = new @Nullable String[WORD_SLOTS];
  private String[] columns = {};
  private char[] chars = new char[256];
  private int[] ends = new int[16];
  private int fields;
  private long number;

  @Override
  protected void handleBegin(long startingLineNumber) {
    fields = 0;
  }

  @Override
  protected void handleField(int index, char[] buffer, int offset, int length, boolean quoted) {
    int start = fields == 0 ? 0 : ends[fields - 1];
    if (start + length > chars.length) {
      chars = java.util.Arrays.copyOf(chars, Math.max(chars.length * 2, start + length));
    }
    if (fields == ends.length) {
      ends = java.util.Arrays.copyOf(ends, fields * 2);
    }
    System.arraycopy(buffer, offset, chars, start, length);
    ends[fields++] = start + length;
  }

  @Override
  protected TableRow buildRecord() {
    return this;
  }

  /** Begins a row that does not come from a CSV file. */
  void begin(long rowNumber) {
    number = rowNumber;
    fields = 0;
  }

  /** Adds the next field of such a row. */
  void add(String text) {
    handleField(fields, text.toCharArray(), 0, text.length(), false);
  }

  /** Takes the names of the columns from this row, which is the header. */
  void becomeHeader() {
    columns = new String[fields];
    for (int i = 0; i < fields; i++) {
      columns[i] = text(i).strip();
    }
  }

  /** The place of a column; -1 when the file has none. */
  int column(String name) {
    for (int i = 0; i < columns.length; i++) {
      if (columns[i].equals(name)) {
        return i;
      }
    }
    return -1;
  }

  java.util.List<String> columnNames() {
    return java.util.List.of(columns);
  }

  int columnCount() {
    return columns.length;
  }

  int fieldCount() {
    return fields;
  }

  long line() {
    return number > 0 ? number : getStartingLineNumber();
  }

  /** The whole row as it is quoted in a message. */
  String whole() {
    StringBuilder whole = new StringBuilder();
    for (int i = 0; i < fields; i++) {
      whole.append(i == 0 ? "" : ",").append(text(i));
    }
    return whole.toString();
  }

  private int start(int field) {
    return field == 0 ? 0 : ends[field - 1];
  }

  /** The text of a column; empty when the file has no such column. */
  String text(int column) {
    return column < 0 || column >= fields
        ? ""
        : new String(chars, start(column), ends[column] - start(column));
  }

  /** The text of a column, one object for equal texts. For columns with few different words. */
  String word(int column) {
    if (isEmpty(column)) {
      return "";
    }
    int start = start(column);
    int length = ends[column] - start;
    int hash = 0;
    for (int i = start; i < start + length; i++) {
      hash = 31 * hash + chars[i];
    }
    int slot = (hash ^ hash >>> 15) & (WORD_SLOTS - 1);
    String known = words[slot];
    if (known == null || !isWord(known, chars, start, length)) {
      known = text(column);
      words[slot] = known;
    }
    return known;
  }

  /** The number of the word in a column; {@link WordIndex#NONE} when it is not in the index. */
  int numberIn(WordIndex index, int column) {
    return isEmpty(column)
        ? WordIndex.NONE
        : index.numberOf(chars, start(column), ends[column] - start(column));
  }

  /** The number of a print's id in a column, as {@link PrintIds} gives it. */
  long printId(int column) {
    int start = start(column);
    int digits = ends[column] - start;
    if (digits < 1 || digits > PrintIds.MAX_DIGITS) {
      return PrintIds.of(text(column));
    }
    long id = 0;
    for (int i = start; i < start + digits; i++) {
      int digit = chars[i] - '0';
      if (digit < 0 || digit > 9) {
        return PrintIds.of(text(column));
      }
      id = id * 10 + digit;
    }
    return id;
  }

  /** Whether some characters are a word. */
  static boolean isWord(String word, char[] chars, int start, int length) {
    if (word.length() != length) {
      return false;
    }
    for (int i = 0; i < length; i++) {
      if (word.charAt(i) != chars[start + i]) {
        return false;
      }
    }
    return true;
  }

  boolean isEmpty(int column) {
    return column < 0 || column >= fields || ends[column] == start(column);
  }

  BadField bad(int column, String expected) {
    return new BadField(
        column < 0 || column >= columns.length ? "" : columns[column], expected, text(column));
  }

  /** A price above 0 in {@link Price} units. */
  long price(int column) {
    long units = decimal(column, 4, "a price above 0 with at most four decimals");
    if (units <= 0 || units > EventTape.GREATEST_PRICE) {
      throw bad(column, "a price above 0 and below 100 million with at most four decimals");
    }
    return units;
  }

  /** A price, or {@link Price#NONE} when the field is empty or 0. */
  long priceOrNone(int column) {
    if (isEmpty(column)) {
      return Price.NONE;
    }
    String expected = "a price below 100 million with at most four decimals, or nothing";
    long units = decimal(column, 4, expected);
    if (units > EventTape.GREATEST_PRICE) {
      throw bad(column, expected);
    }
    return units;
  }

  /** An exact number of a fill, above 0. */
  BigDecimal exact(int column) {
    BigDecimal number = exactOrZero(column);
    if (number.signum() <= 0) {
      throw bad(column, "a number above 0 with at most six decimals");
    }
    return number;
  }

  /** An exact number of a fill, of either sign; 0 when empty. */
  BigDecimal exactOrZero(int column) {
    if (isEmpty(column)) {
      return BigDecimal.ZERO;
    }
    String text = text(column);
    if (!EXACT.matcher(text).matches()) {
      throw bad(column, "a number below a billion with at most six decimals");
    }
    return new BigDecimal(text);
  }

  /** A whole number, 0 or above. */
  long count(int column) {
    long count = decimal(column, 0, "a whole number, 0 or above");
    if (count > EventTape.MAX_SHARES) {
      throw bad(column, "a whole number up to " + EventTape.MAX_SHARES);
    }
    return count;
  }

  /** A number in digits; NaN when empty. */
  double number(int column) {
    if (isEmpty(column)) {
      return Double.NaN;
    }
    String text = text(column);
    if (!NUMBER.matcher(text).matches()) {
      throw bad(column, "a number");
    }
    return Double.parseDouble(text);
  }

  /** A number that is not below 0; NaN when empty. */
  double amount(int column) {
    double amount = number(column);
    if (amount < 0) {
      throw bad(column, "a number, 0 or above");
    }
    return amount;
  }

  private long decimal(int column, int scale, String expected) {
    if (column < 0 || column >= fields) {
      throw bad(column, expected);
    }
    return decimal(column, start(column), scale, expected);
  }

  private long decimal(int column, int from, int scale, String expected) {
    int end = ends[column];
    long value = 0;
    int decimals = -1;
    int digits = 0;
    for (int i = from; i < end; i++) {
      char c = chars[i];
      if (c >= '0' && c <= '9' && digits < MAX_DIGITS && (decimals < scale || c == '0')) {
        value = decimals < scale ? value * 10 + (c - '0') : value;
        digits++;
        decimals += decimals >= 0 && decimals < scale ? 1 : 0;
      } else if (c == '.' && decimals < 0 && scale > 0) {
        decimals = 0;
      } else {
        throw bad(column, expected);
      }
    }
    if (digits == 0) {
      throw bad(column, expected);
    }
    for (int i = Math.max(0, decimals); i < scale; i++) {
      value *= 10;
    }
    return value;
  }

  /** A date such as 2031-03-12. */
  @SuppressWarnings("UnusedException") // A fault says what was expected; a file may have millions.
  LocalDate date(int column) {
    String text = word(column);
    LocalDate known = dates.get(text);
    if (known == null) {
      try {
        known = LocalDate.parse(text);
      } catch (DateTimeException e) {
        throw bad(column, "a date such as 2031-03-12");
      }
      dates.put(text, known);
    }
    return known;
  }

  /** A moment of a date: HH:MM:SS with a fraction in New York, or ISO 8601 with an offset. */
  long time(int column, LocalDate date) {
    int start = start(column);
    int end = column < fields && column >= 0 ? ends[column] : start;
    if (end - start >= 8 && chars[start + 2] == ':' && chars[start + 5] == ':') {
      return clock(column, start, end);
    }
    ZonedDateTime there = zoned(column);
    if (!there.toLocalDate().equals(date)) {
      throw bad(column, "a time on " + date);
    }
    return there.toLocalTime().toNanoOfDay();
  }

  /** An ISO 8601 time with an offset, in New York. */
  @SuppressWarnings("UnusedException") // A fault says what was expected; a file may have millions.
  ZonedDateTime zoned(int column) {
    try {
      return OffsetDateTime.parse(text(column)).atZoneSameInstant(DayTime.NEW_YORK);
    } catch (DateTimeException e) {
      throw bad(column, "a time such as 09:30:05.123 or 2031-03-12T09:30:05-04:00");
    }
  }

  private long clock(int column, int start, int end) {
    long seconds =
        3600L * pair(column, start, 24)
            + 60L * pair(column, start + 3, 60)
            + pair(column, start + 6, 60);
    long nanos = 0;
    long unit = 100_000_000;
    for (int i = start + 9; i < end; i++) {
      int digit = chars[i] - '0';
      if (chars[start + 8] != '.' || digit < 0 || digit > 9) {
        throw bad(column, "a time such as 09:30:05.123");
      }
      nanos += digit * unit;
      unit /= 10;
    }
    return seconds * DayTime.SECOND + nanos;
  }

  private int pair(int column, int at, int limit) {
    int tens = chars[at] - '0';
    int ones = chars[at + 1] - '0';
    int value = tens * 10 + ones;
    if (tens < 0 || tens > 9 || ones < 0 || ones > 9 || value >= limit) {
      throw bad(column, "a time such as 09:30:05.123");
    }
    return value;
  }
}
