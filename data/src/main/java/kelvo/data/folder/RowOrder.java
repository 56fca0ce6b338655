package kelvo.data.folder;

import java.util.HashMap;
import java.util.Map;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;

/**
 * Takes each row of a session's table once: a row with a sequence number that came before, or a
 * print with an id that its security had before, is left out and told. When it searches it also
 * tells of a sequence number that goes back, as after a row torn in its last column; such a row
 * counts, since nobody can say which one is right.
 */
final class RowOrder {
  private static final int NO_COLUMN = -1;

  private final String file;
  private final Faults faults;
  private final WordIndex symbols;
  private final boolean searching;
  private final SeenNumbers seqs = new SeenNumbers();
  private final Map<Integer, SeenNumbers> ids = new HashMap<>();
  private long last = -1;

  RowOrder(String file, Faults faults, WordIndex symbols, boolean searching) {
    this.file = file;
    this.faults = faults;
    this.symbols = symbols;
    this.searching = searching;
  }

  /** A reader that hands over what has not come before. */
  TableFile.HeaderReader watching(TableFile.HeaderReader reader) {
    return header -> {
      int seq = header.column("seq");
      int id = header.column("action") < 0 ? header.column("id") : NO_COLUMN;
      int symbol = header.column("symbol");
      TableFile.RowReader inner = reader.read(header);
      return row -> {
        long number = seq < 0 ? 0 : row.count(seq);
        if (seq >= 0 && seqs.contains(number)) {
          throw row.bad(seq, "each number once");
        }
        SeenNumbers prints = id < 0 || row.isEmpty(id) ? null : printsOf(row, symbol);
        long print = prints == null ? 0 : row.printId(id);
        if (prints != null && prints.contains(print)) {
          throw row.bad(id, "each print of a security once");
        }
        inner.read(row);
        if (seq >= 0) {
          seqs.add(number);
          order(row, number);
        }
        if (prints != null) {
          prints.add(print);
        }
      };
    };
  }

  private SeenNumbers printsOf(TableRow row, int symbol) {
    return ids.computeIfAbsent(row.numberIn(symbols, symbol), security -> new SeenNumbers());
  }

  private void order(TableRow row, long seq) {
    if (searching && seq < last) {
      faults.add(
          new Fault(file, row.line(), "seq", "a number above " + last, Long.toString(seq), false));
    }
    last = Math.max(last, seq);
  }
}
