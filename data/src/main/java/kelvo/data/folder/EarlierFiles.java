package kelvo.data.folder;

import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.TreeMap;
import java.util.function.Function;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;

/** The files of a kind that full sessions before a date have. */
final class EarlierFiles {
  private static final int MAX_DAYS_BACK = 60;

  private EarlierFiles() {}

  /**
   * The newest of them by date, the newest first.
   *
   * @param stem the file of a date without its ending
   * @param most how many at most
   */
  static SequencedMap<LocalDate, Path> before(
      LocalDate session, TradingCalendar calendar, Function<LocalDate, Path> stem, int most) {
    SequencedMap<LocalDate, Path> files = new TreeMap<LocalDate, Path>().descendingMap();
    LocalDate date = session.minusDays(1);
    for (int day = 0; day < MAX_DAYS_BACK && files.size() < most; day++) {
      if (calendar.hours(date).kind() == SessionHours.Kind.FULL) {
        LocalDate full = date;
        of(stem.apply(full)).ifPresent(file -> files.put(full, file));
      }
      date = date.minusDays(1);
    }
    return files;
  }

  /** The file of a stem without its ending. */
  static Optional<Path> of(Path stem) {
    return TableFile.ENDINGS.stream()
        .map(ending -> stem.resolveSibling(stem.getFileName() + ending))
        .filter(Files::isRegularFile)
        .findFirst();
  }

  /**
   * What stands in the place of a table, by which columns know whether they are current: its file,
   * else a folder or a link that leads nowhere, else the stem, which is no file.
   */
  static Path standing(Path stem) {
    return of(stem)
        .or(
            () ->
                TableFile.ENDINGS.stream()
                    .map(ending -> stem.resolveSibling(stem.getFileName() + ending))
                    .filter(path -> Files.exists(path, LinkOption.NOFOLLOW_LINKS))
                    .findFirst())
        .orElse(stem);
  }
}
