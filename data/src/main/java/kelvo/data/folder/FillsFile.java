package kelvo.data.folder;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import kelvo.data.fault.Faults;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;

/** A table of fills, of any days, or of the one day of a recorded session. */
final class FillsFile {
  private final List<RepeatedFills.Row> rows = new ArrayList<>();
  private final List<String> leftOut;
  private String name = "";

  private FillsFile(List<String> leftOut) {
    this.leftOut = leftOut;
  }

  /**
   * The fills of a folder's file by their days; none without a file.
   *
   * @param leftOut takes the symbol of each line that cannot be read
   */
  static SortedMap<LocalDate, List<Fill>> read(
      Path folder, String stem, Faults faults, List<String> leftOut) {
    FillsFile fills = new FillsFile(leftOut);
    fills.read(folder, stem, (row, time) -> row.zoned(time), faults);
    return fills.inOrder(faults);
  }

  /** The fills of a file whose folder names their day. */
  static List<Fill> ofDay(Path folder, LocalDate day, Faults faults, List<String> leftOut) {
    FillsFile fills = new FillsFile(leftOut);
    fills.read(
        folder,
        "fills",
        (row, time) ->
            day.atStartOfDay(DayTime.NEW_YORK)
                .with(java.time.LocalTime.ofNanoOfDay(row.time(time, day))),
        faults);
    return fills.inOrder(faults).getOrDefault(day, List.of());
  }

  /** The fills of any file of the format. */
  static SortedMap<LocalDate, List<Fill>> read(Path file, Faults faults, List<String> leftOut) {
    Path folder = file.toAbsolutePath().getParent();
    if (folder == null || !Files.isRegularFile(file)) {
      throw new RefusedException("there is no file " + file + "; name a CSV file of fills");
    }
    String stem =
        file.getFileName().toString().replaceFirst("\\.(csv(\\.gz|\\.zst)?|parquet)$", "");
    return read(folder, stem, faults, leftOut);
  }

  private interface Moment {
    ZonedDateTime of(TableRow row, int time);
  }

  private void read(Path folder, String stem, Moment moment, Faults faults) {
    TableFile.find(folder, stem, faults)
        .ifPresent(
            file -> {
              name = file.name();
              file.read(
                  List.of("time", "symbol", "side", "quantity", "price"),
                  header -> {
                    int time = header.column("time");
                    int symbol = header.column("symbol");
                    int side = header.column("side");
                    int quantity = header.column("quantity");
                    int price = header.column("price");
                    int fee = header.column("fee");
                    int account = header.column("account");
                    int order = header.column("order_id");
                    int execution = header.column("execution_id");
                    return row -> {
                      try {
                        ZonedDateTime at = moment.of(row, time);
                        Fill fill =
                            new Fill(
                                at.toLocalTime().toNanoOfDay(),
                                row.text(symbol),
                                FillSide.of(row.text(side)),
                                row.exact(quantity),
                                row.exact(price),
                                row.exactOrZero(fee),
                                row.text(account),
                                row.text(order));
                        rows.add(new RepeatedFills.Row(at, fill, row.text(execution), row.line()));
                      } catch (BadField | RefusedException e) {
                        leftOut.add(row.text(symbol));
                        throw e;
                      }
                    };
                  });
            });
  }

  /** A file that runs newest first has those of the same time newest first, too. */
  private SortedMap<LocalDate, List<Fill>> inOrder(Faults faults) {
    SortedMap<LocalDate, List<Fill>> byDay = new TreeMap<>();
    ZonedDateTime before = null;
    long steps = 0;
    for (RepeatedFills.Row row : new RepeatedFills(name, faults).once(rows)) {
      steps += before == null ? 0 : Integer.signum(row.at().compareTo(before));
      before = row.at();
      byDay.computeIfAbsent(row.at().toLocalDate(), day -> new ArrayList<>()).add(row.fill());
    }
    if (steps < 0) {
      byDay.values().forEach(Collections::reverse);
    }
    return byDay;
  }
}
