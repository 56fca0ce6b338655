package kelvo.data.file;

import java.util.regex.Pattern;

/**
 * Text that a spreadsheet would take for something to work out, in CSV files for people: it gets an
 * apostrophe before it, which spreadsheets do not show, and loses it again when Kelvo reads the
 * file (the practice of the Open Worldwide Application Security Project against "CSV injection").
 */
public final class SpreadsheetCell {
  private static final Pattern RUNS = Pattern.compile("'*[=+\\-@\\t\\r].*", Pattern.DOTALL);
  private static final Pattern NUMBER = Pattern.compile("[-+]?[\\d.,]+%?");

  private SpreadsheetCell() {}

  /** A text as it stands in the file. */
  public static String of(String text) {
    return runs(text) ? "'" + text : text;
  }

  /** The text that stands in a file as {@link #of} has made it. */
  public static String text(String cell) {
    return cell.startsWith("'") && runs(cell.substring(1)) ? cell.substring(1) : cell;
  }

  private static boolean runs(String text) {
    return RUNS.matcher(text).matches() && !NUMBER.matcher(text).matches();
  }
}
