package kelvo.data.folder;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.data.columns.ColumnFile;
import kelvo.data.columns.NewColumns;
import kelvo.data.columns.Sources;
import kelvo.data.fault.Faults;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;

/** The daily bars as they were traded, {@code daily}, by symbol. */
final class DailyFile {
  private DailyFile() {}

  /** All of them, out of columns or of the table. */
  static Map<String, DailyBarList> read(Path root, KeptColumns kept) {
    Path stem = root.resolve("daily");
    return kept.read(
        "daily",
        new Sources().file(EarlierFiles.standing(stem)),
        DailyFile::fromColumns,
        faults -> fromTable(root, faults),
        DailyFile::toColumns);
  }

  private static Map<String, DailyBarList> fromColumns(ColumnFile columns) {
    List<String> symbols = columns.texts("symbols");
    MemorySegment ends = columns.column("ends");
    MemorySegment bars = columns.column("bars");
    Map<String, DailyBarList> daily = new HashMap<>();
    long start = 0;
    for (int place = 0; place < symbols.size(); place++) {
      long end = ends.getAtIndex(ValueLayout.JAVA_LONG, place);
      daily.put(symbols.get(place), new DailyBarList(bars.asSlice(start, end - start)));
      start = end;
    }
    return daily;
  }

  /** The bars of all symbols one after the other, and where in bytes those of each end. */
  private static NewColumns toColumns(Map<String, DailyBarList> daily) {
    long[] ends = new long[daily.size()];
    long end = 0;
    int place = 0;
    for (DailyBarList bars : daily.values()) {
      end += bars.rows().byteSize();
      ends[place++] = end;
    }
    return new NewColumns()
        .withTexts("symbols", List.copyOf(daily.keySet()))
        .with("ends", MemorySegment.ofArray(ends))
        .with("bars", daily.values().stream().map(DailyBarList::rows).toList());
  }

  private static Map<String, DailyBarList> fromTable(Path root, Faults faults) {
    Map<String, List<DailyBar>> bars = new LinkedHashMap<>();
    TableFile.find(root, "daily", faults)
        .ifPresent(
            file ->
                file.read(
                    List.of("symbol", "date", "open", "high", "low", "close", "volume"),
                    header -> {
                      int symbol = header.column("symbol");
                      int date = header.column("date");
                      int open = header.column("open");
                      int high = header.column("high");
                      int low = header.column("low");
                      int close = header.column("close");
                      int volume = header.column("volume");
                      int trades = header.column("trades");
                      return row -> {
                        DailyBar bar =
                            new DailyBar(
                                row.date(date),
                                row.price(open),
                                row.price(high),
                                row.price(low),
                                row.price(close),
                                row.count(volume),
                                row.isEmpty(trades) ? 0 : row.count(trades));
                        List<DailyBar> own =
                            bars.computeIfAbsent(row.word(symbol), s -> new ArrayList<>());
                        if (holds(own, bar.date())) {
                          throw row.bad(date, "each day of a security once");
                        }
                        own.add(bar);
                      };
                    }));
    Map<String, DailyBarList> lists = new LinkedHashMap<>();
    bars.forEach((symbol, own) -> lists.put(symbol, DailyBarList.of(own)));
    return lists;
  }

  /** Most files go from day to day, so that only the last one is looked at. */
  private static boolean holds(List<DailyBar> bars, LocalDate date) {
    return !bars.isEmpty()
        && !date.isAfter(bars.getLast().date())
        && bars.stream().anyMatch(bar -> bar.date().equals(date));
  }
}
