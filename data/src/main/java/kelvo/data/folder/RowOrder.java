package kelvo.data.folder;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;

/**
 * Looks for rows that can be read and are wrong all the same: a sequence number that goes back, as
 * after a row torn in its last column, and an id that two prints of a security have. They count all
 * the same, since nobody can say which one is right.
 */
final class RowOrder {
  private final String file;
  private final Faults faults;
  private final Map<String, Set<String>> ids = new HashMap<>();
  private long last = -1;

  RowOrder(String file, Faults faults) {
    this.file = file;
    this.faults = faults;
  }

  /** A reader that looks at each row which another one has taken. */
  TableFile.HeaderReader watching(TableFile.HeaderReader reader) {
    return header -> {
      int seq = header.column("seq");
      int id = header.column("id");
      int symbol = header.column("symbol");
      boolean prints = id >= 0 && header.column("action") < 0;
      TableFile.RowReader inner = reader.read(header);
      return row -> {
        inner.read(row);
        if (seq >= 0) {
          order(row, seq);
        }
        if (prints && !row.isEmpty(id)) {
          repeated(row, symbol, id);
        }
      };
    };
  }

  private void order(TableRow row, int column) {
    long seq = row.count(column);
    if (seq <= last) {
      faults.add(
          new Fault(file, row.line(), "seq", "a number above " + last, Long.toString(seq), false));
    }
    last = Math.max(last, seq);
  }

  private void repeated(TableRow row, int symbol, int id) {
    if (!ids.computeIfAbsent(row.word(symbol), s -> new HashSet<>()).add(row.text(id))) {
      faults.add(new Fault(file, row.line(), "id", "an id once a security", row.text(id), false));
    }
  }
}
