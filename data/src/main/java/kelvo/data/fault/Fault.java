package kelvo.data.fault;

/**
 * Something in a file that could not be read.
 *
 * @param file the file, relative to the data folder
 * @param line its line, from 1; 0 for the file as a whole
 * @param column the column's name; empty for the line as a whole
 * @param expected what should have stood there
 * @param text what stood there
 * @param leftOut whether the line, or the file, was left out; else it counts all the same
 */
public record Fault(
    String file, long line, String column, String expected, String text, boolean leftOut) {
  /** A fault for which its line, or its file, was left out. */
  public Fault(String file, long line, String column, String expected, String text) {
    this(file, line, column, expected, text, true);
  }

  /** The fault in one sentence. */
  public String sentence() {
    String place = line == 0 ? file : file + ", line " + line;
    String where = column.isEmpty() ? place : place + ", column " + column;
    return where
        + ": expected "
        + expected
        + ", found \""
        + text
        + "\"; "
        + (line == 0 ? "the file" : "the line")
        + (leftOut ? " was left out" : " counts all the same");
  }
}
