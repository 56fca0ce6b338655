package kelvo.data.folder;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PushbackInputStream;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;

/**
 * The characters of a CSV file: UTF-8, or UTF-16 by its byte order mark. A quote that begins a
 * field and is not closed within a bound would take the rest of the file into that field, so it is
 * made a space, the field ends with its line, and the row is remembered as wrong; so are rows with
 * bytes that are no UTF-8. Rows go by the line in which they begin, from 1.
 */
final class TableText extends Reader {
  /** How far a quote's partner is looked for, characters. */
  static final int CLOSES_WITHIN = 16_384;

  private static final int BLOCK = 32_768;
  private static final int AHEAD = CLOSES_WITHIN + 2;
  private static final char NO_CHARACTER = '\uFFFD';

  private final Reader text;
  private final Set<Long> open = new HashSet<>();
  private final Set<Long> foreign = new HashSet<>();
  private final char[] chars = new char[BLOCK + AHEAD];
  private int from;
  private int looked;
  private int end;
  private boolean ended;
  private char previous = '\n';
  private long line = 1;
  private long rowBegan = 1;

  /** Begins to read bytes. */
  TableText(InputStream bytes) throws IOException {
    PushbackInputStream begin = new PushbackInputStream(bytes, 3);
    text = new InputStreamReader(begin, charset(begin));
  }

  /** Takes the byte order mark off, and goes by it. */
  private static Charset charset(PushbackInputStream bytes) throws IOException {
    byte[] mark = bytes.readNBytes(3);
    int first = mark.length > 0 ? mark[0] & 0xff : -1;
    int second = mark.length > 1 ? mark[1] & 0xff : -1;
    if (first == 0xef && second == 0xbb && mark.length == 3 && (mark[2] & 0xff) == 0xbf) {
      return StandardCharsets.UTF_8;
    }
    boolean big = first == 0xfe && second == 0xff;
    boolean little = first == 0xff && second == 0xfe;
    int taken = big || little ? 2 : 0;
    bytes.unread(mark, taken, mark.length - taken);
    if (big) {
      return StandardCharsets.UTF_16BE;
    }
    return little ? StandardCharsets.UTF_16LE : StandardCharsets.UTF_8;
  }

  /** Whether the row that begins in a line has a quote that was not closed; asked once. */
  boolean hasOpenQuote(long row) {
    return !open.isEmpty() && open.remove(row);
  }

  /** Whether the row that begins in a line has bytes that are no UTF-8; asked once. */
  boolean hasForeignBytes(long row) {
    return !foreign.isEmpty() && foreign.remove(row);
  }

  @Override
  public int read(char[] into, int offset, int length) throws IOException {
    if (from == looked) {
      look();
    }
    int given = Math.min(length, looked - from);
    if (given == 0) {
      return -1;
    }
    System.arraycopy(chars, from, into, offset, given);
    from += given;
    return given;
  }

  /**
   * Looks at the next characters and makes them be in order. So much is read ahead that the partner
   * of any quote is there if it is within the bound.
   */
  private void look() throws IOException {
    System.arraycopy(chars, looked, chars, 0, end - looked);
    end -= looked;
    from = 0;
    while (!ended && end < chars.length) {
      int more = text.read(chars, end, chars.length - end);
      ended = more < 0;
      end += Math.max(0, more);
    }
    int until = ended ? end : end - AHEAD;
    int i = 0;
    while (i < until) {
      char c = chars[i];
      if (c > '"' && c != NO_CHARACTER) {
        i++;
      } else if (c == '"' && fieldBegins(i)) {
        i = quoted(i);
      } else {
        if (c == '\n') {
          line++;
          rowBegan = line;
        } else if (c == NO_CHARACTER) {
          foreign.add(rowBegan);
        }
        i++;
      }
    }
    looked = i;
    previous = i > 0 ? chars[i - 1] : previous;
  }

  private boolean fieldBegins(int at) {
    char before = at > 0 ? chars[at - 1] : previous;
    return before == ',' || before == '\n' || before == '\r';
  }

  /** Goes over a field in quotes to what follows it, or over a quote that is not closed. */
  private int quoted(int quote) {
    int closing = closing(quote);
    if (closing < 0) {
      open.add(rowBegan);
      chars[quote] = ' ';
      return quote + 1;
    }
    for (int i = quote; i < closing; i++) {
      if (chars[i] == '\n') {
        line++;
      } else if (chars[i] == NO_CHARACTER) {
        foreign.add(rowBegan);
      }
    }
    return closing + 1;
  }

  /** Where the quote that stands at a place is closed; -1 when it is not. */
  private int closing(int quote) {
    int last = Math.min(end, quote + CLOSES_WITHIN);
    for (int i = quote + 1; i < last; i++) {
      if (chars[i] == '"') {
        char next = i + 1 < end ? chars[i + 1] : '\n';
        if (next == ',' || next == '\n' || next == '\r') {
          return i;
        }
        if (next != '"') {
          return -1;
        }
        i++;
      }
    }
    return -1;
  }

  @Override
  public void close() throws IOException {
    text.close();
  }
}
