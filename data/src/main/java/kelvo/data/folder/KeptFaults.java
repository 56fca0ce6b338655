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
  private static final String COLUMN = "counted faults";
  private static final int TEXTS = 7;

  private KeptFaults() {}

  /** Adds the faults to columns. */
  static NewColumns in(NewColumns columns, Faults faults) {
    return columns.withTexts(
        COLUMN,
        faults.counted().stream()
            .flatMap(
                counted ->
                    Stream.of(
                        counted.fault().file(),
                        Long.toString(counted.fault().line()),
                        counted.fault().column(),
                        counted.fault().expected(),
                        counted.fault().text(),
                        Boolean.toString(counted.fault().leftOut()),
                        Integer.toString(counted.times())))
            .toList());
  }

  /** The faults that columns were made with. */
  static List<Faults.Counted> of(ColumnFile columns) {
    List<String> texts = columns.texts(COLUMN);
    List<Faults.Counted> faults = new ArrayList<>();
    for (int i = 0; i + TEXTS <= texts.size(); i += TEXTS) {
      faults.add(
          new Faults.Counted(
              new Fault(
                  texts.get(i),
                  Long.parseLong(texts.get(i + 1)),
                  texts.get(i + 2),
                  texts.get(i + 3),
                  texts.get(i + 4),
                  Boolean.parseBoolean(texts.get(i + 5))),
              Integer.parseInt(texts.get(i + 6))));
    }
    return faults;
  }
}
