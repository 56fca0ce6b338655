package kelvo.data.folder;

import java.lang.foreign.MemorySegment;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kelvo.data.columns.ColumnFile;
import kelvo.data.columns.NewColumns;
import kelvo.data.columns.Sources;
import kelvo.data.fault.Faults;
import kelvo.history.MinuteCounts;
import kelvo.time.DayTime;

/** The mentions of earlier sessions by minute, {@code sessions/DATE/mentions}. Thread-safe. */
final class MentionFiles {
  private final Path root;
  private final KeptColumns kept;

  MentionFiles(Path root, KeptColumns kept) {
    this.root = root;
    this.kept = kept;
  }

  /** The file of a date without its ending. */
  Path stem(LocalDate date) {
    return root.resolve("sessions").resolve(date.toString()).resolve("mentions");
  }

  /** The mentions of a date that has such a file. */
  MinuteCounts of(LocalDate date, Path file) {
    return kept.read(
        "mentions/" + date,
        new Sources().file(file),
        MentionFiles::fromColumns,
        faults -> fromTable(date, faults),
        MentionFiles::toColumns);
  }

  private static MinuteCounts fromColumns(ColumnFile columns) {
    return new MinuteCounts(
        columns.texts("symbols"),
        columns.column("ends"),
        columns.column("minute"),
        columns.column("count"));
  }

  private static NewColumns toColumns(MinuteCounts mentions) {
    return new NewColumns()
        .withTexts("symbols", mentions.symbols())
        .with("ends", mentions.ends())
        .with("minute", mentions.minutes())
        .with("count", mentions.counts());
  }

  private MinuteCounts fromTable(LocalDate date, Faults faults) {
    Map<String, Map<Integer, Long>> mentions = new TreeMap<>();
    TableFile.find(root, "sessions/" + date + "/mentions", faults)
        .ifPresent(
            file ->
                file.read(
                    List.of("time", "symbol", "count"),
                    header -> {
                      int time = header.column("time");
                      int symbol = header.column("symbol");
                      int count = header.column("count");
                      return row ->
                          mentions
                              .computeIfAbsent(row.word(symbol), s -> new TreeMap<>())
                              .merge(
                                  (int) (row.time(time, date) / DayTime.MINUTE),
                                  row.count(count),
                                  Long::sum);
                    }));
    int rows = mentions.values().stream().mapToInt(Map::size).sum();
    int[] ends = new int[mentions.size()];
    short[] minutes = new short[rows];
    long[] counts = new long[rows];
    int place = 0;
    int row = 0;
    for (Map<Integer, Long> own : mentions.values()) {
      for (Map.Entry<Integer, Long> minute : own.entrySet()) {
        minutes[row] = minute.getKey().shortValue();
        counts[row++] = minute.getValue();
      }
      ends[place++] = row;
    }
    return new MinuteCounts(
        new ArrayList<>(mentions.keySet()),
        MemorySegment.ofArray(ends),
        MemorySegment.ofArray(minutes),
        MemorySegment.ofArray(counts));
  }
}
