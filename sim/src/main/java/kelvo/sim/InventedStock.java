package kelvo.sim;

import java.time.LocalDate;
import java.util.List;
import kelvo.market.SecurityKind;
import org.jspecify.annotations.Nullable;

/**
 * One security of the invented market and how it behaves on the session.
 *
 * @param previousClose dollars as traded on the day before
 * @param splitRatio effective on the session's date; 1 for none
 * @param dailyVolatility standard deviation of a day's return
 * @param averageVolume shares a day
 * @param price multiples of the split-adjusted previous close through the day
 * @param activity prints a minute through the day
 * @param printShares mean shares of a print
 * @param story the planted story; null for the many others
 */
record InventedStock(
    String symbol,
    String name,
    String mic,
    SecurityKind kind,
    String sector,
    double sharesOutstanding,
    double floatShares,
    LocalDate floatAsOf,
    boolean shortable,
    boolean benchmark,
    double previousClose,
    double splitRatio,
    double dailyVolatility,
    double averageVolume,
    List<Story.Mark> price,
    List<Story.Mark> activity,
    int printShares,
    @Nullable Story story) {
  /** Previous close at the session's prices. */
  double adjustedClose() {
    return previousClose / splitRatio;
  }

  /** An ISO 10962 code of its kind. */
  String cfi() {
    return switch (kind) {
      case COMMON_STOCK -> "ESVUFR";
      case PREFERRED -> "EPNXAR";
      case DEPOSITARY_RECEIPT -> "EDSXFB";
      case FUND -> "CEOGES";
      case WARRANT -> "RWSTCA";
      case RIGHT -> "RSSXXR";
      case UNIT -> "EUOXXX";
      case OTHER -> "MMXXXX";
    };
  }
}
