package kelvo.sim;

import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.FillSide;

/**
 * A fill of the demo's trader.
 *
 * @param price {@link Price} units
 * @param fee likewise
 */
record InventedFill(
    LocalDate date, String time, String symbol, FillSide side, long shares, long price, long fee) {
  /** Writes a folder's file of fills. */
  static void write(Path file, List<InventedFill> fills) {
    DemoFolder.writeCsv(
        file,
        csv -> {
          csv.writeRecord(
              "time", "symbol", "side", "quantity", "price", "fee", "account", "order_id");
          int number = 0;
          for (InventedFill fill : fills) {
            csv.writeRecord(
                fill.date
                    .atTime(LocalTime.parse(fill.time))
                    .atZone(DayTime.NEW_YORK)
                    .toOffsetDateTime()
                    .toString(),
                fill.symbol,
                fill.side.word(),
                Long.toString(fill.shares),
                Price.exact(fill.price),
                Price.exact(fill.fee),
                "main",
                "K" + ++number);
          }
        });
  }
}
