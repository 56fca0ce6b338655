package kelvo.data.folder;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import kelvo.data.columns.ColumnFile;
import kelvo.data.columns.NewColumns;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;

/** The faults of tables, kept beside their columns, so that they are told each time. */
final class KeptFaults {
  private static final String COLUMN = "faults";
  private static final int TEXTS = 6;

  private KeptFaults() {}

  /** Adds the faults to columns. */
  static NewColumns in(NewColumns columns, Faults faults) {
    return columns.withTexts(
        COLUMN,
        faults.all().stream()
            .flatMap(
                fault ->
                    Stream.of(
                        fault.file(),
                        Long.toString(fault.line()),
                        fault.column(),
                        fault.expected(),
                        fault.text(),
                        Boolean.toString(fault.leftOut())))
            .toList());
  }

  /** The faults that columns were made with. */
  static List<Fault> of(ColumnFile columns) {
    List<String> texts = columns.texts(COLUMN);
    List<Fault> faults = new ArrayList<>();
    for (int i = 0; i + TEXTS <= texts.size(); i += TEXTS) {
      faults.add(
          new Fault(
              texts.get(i),
              Long.parseLong(texts.get(i + 1)),
              texts.get(i + 2),
              texts.get(i + 3),
              texts.get(i + 4),
              Boolean.parseBoolean(texts.get(i + 5))));
    }
    return faults;
  }
}
