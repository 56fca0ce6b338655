package kelvo.sim;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.job.Progress;
import kelvo.job.SideBySide;
import kelvo.time.TradingCalendar;

/**
 * The sessions before a demo's day, of which the day itself needs only what {@link
 * DemoFolder#writeDay} writes: every print of the newest, minute bars of those before them. They
 * can be written while the day is open, the newest first.
 */
public final class DemoHistory {
  private DemoHistory() {}

  /** Whether all of them are written. */
  public static boolean isThere(Path root, DemoSize size, TradingCalendar calendar) {
    return EarlierSessions.printedOf(size, calendar).stream()
            .allMatch(date -> Files.exists(prints(root, date)))
        && MinuteSessions.datesOf(size, calendar).stream()
            .allMatch(date -> Files.exists(bars(root, date)));
  }

  /**
   * Writes those that are not there yet, each in one piece.
   *
   * @throws java.util.concurrent.CancellationException when the progress stops it
   * @throws UncheckedIOException when the disk refuses
   */
  public static void write(
      Path root, DemoSize size, long seed, TradingCalendar calendar, Progress progress) {
    List<InventedStock> stocks = InventedMarket.of(size, seed);
    EarlierSessions earlier = new EarlierSessions(size, seed, calendar, stocks);
    MinuteSessions ofBars = new MinuteSessions(size, seed, calendar, stocks);
    DailyInvention daily = new DailyInvention(size, seed, calendar, earlier, ofBars);
    Set<LocalDate> printed = Set.copyOf(EarlierSessions.printedOf(size, calendar));
    List<LocalDate> missing =
        Stream.concat(printed.stream(), MinuteSessions.datesOf(size, calendar).stream())
            .filter(
                date ->
                    !Files.exists(printed.contains(date) ? prints(root, date) : bars(root, date)))
            .sorted(Comparator.reverseOrder())
            .toList();
    progress.step("inventing earlier sessions");
    SideBySide.each(
        missing,
        (date, going) -> {
          going.done(0);
          if (printed.contains(date)) {
            earlier.write(root, daily, date);
          } else {
            ofBars.write(root, daily, date);
          }
          return date;
        },
        date -> {},
        progress);
  }

  /** Removes what an older version has written, so that it is written again. */
  static void remove(Path root, DemoSize size, TradingCalendar calendar) throws IOException {
    for (LocalDate date : EarlierSessions.printedOf(size, calendar)) {
      Files.deleteIfExists(prints(root, date));
    }
    Set<String> names =
        Stream.concat(
                MinuteSessions.datesOf(size, calendar).stream(),
                UsualMinutes.datesOf(size, calendar).stream())
            .map(LocalDate::toString)
            .collect(Collectors.toSet());
    Path minutes = MinutesTable.folder(root);
    Files.createDirectories(minutes);
    try (Stream<Path> tables = Files.list(minutes)) {
      for (Path table : tables.toList()) {
        // Older versions wrote Parquet.
        if (names.contains(table.getFileName().toString().replaceFirst("\\..*", ""))) {
          Files.delete(table);
        }
      }
    }
  }

  /** A session is there once its trades are. */
  private static Path prints(Path root, LocalDate date) {
    return SessionFolder.of(root, date).resolve(SessionFolder.TRADES);
  }

  private static Path bars(Path root, LocalDate date) {
    return MinutesTable.folder(root).resolve(MinutesTable.name(date));
  }
}
