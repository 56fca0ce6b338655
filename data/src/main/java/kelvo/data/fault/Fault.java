package kelvo.data.fault;

/**
 * Something in a file that could not be read.
 *
 * @param file the file, relative to the data folder
 * @param line its line, from 1; 0 for the file as a whole
 * @param column the column's name; empty for the line as a whole
 * @param expected what should have stood there
 * @param text what stood there, as far as it can be shown in a sentence
 * @param leftOut whether the line, or the file, was left out; else it counts all the same
 */
public record Fault(
    String file, long line, String column, String expected, String text, boolean leftOut) {
  /** The most characters of a sentence. */
  public static final int LONGEST = 200;

  private static final int LONGEST_TEXT = 80;
  private static final String EXPECTED = "expected ";

  public Fault {
    // What a reader of fields says begins like a fault's own sentence.
    expected = expected.startsWith(EXPECTED) ? expected.substring(EXPECTED.length()) : expected;
    text = shortened(text.replaceAll("\\p{Cntrl}+", " "), LONGEST_TEXT);
  }

  /** A fault for which its line, or its file, was left out. */
  public Fault(String file, long line, String column, String expected, String text) {
    this(file, line, column, expected, text, true);
  }

  /** The fault in one sentence. */
  public String sentence() {
    return sentence("");
  }

  /** The fault in one sentence that goes on with something else. */
  String sentence(String more) {
    String place = line == 0 ? file : file + ", line " + line;
    String where = column.isEmpty() ? place : place + ", column " + column;
    String begin = where + ": " + EXPECTED + expected + ", found \"";
    String end =
        "\"; "
            + (line == 0 ? "the file" : "the line")
            + (leftOut ? " was left out" : " counts all the same")
            + more;
    return shortened(
        begin + shortened(text, Math.max(1, LONGEST - begin.length() - end.length())) + end,
        LONGEST);
  }

  private static String shortened(String text, int most) {
    return text.length() <= most ? text : text.substring(0, most - 1) + "…";
  }
}
