package kelvo.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.session.SecurityKind;
import kelvo.time.DayTime;
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
 * @param close the official close in dollars; 0 for wherever the price goes
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
    @Nullable Story story,
    double close) {
  private static final double LEAP_PRINTS = 90;

  /**
   * The same stock on an earlier session, with another day before it.
   *
   * @param larger how many times as large its prints are
   */
  InventedStock on(
      double closeBefore,
      double closeThen,
      List<Story.Mark> priceThen,
      List<Story.Mark> activityThen,
      int larger,
      @Nullable Story storyThen) {
    int shares = larger * (storyThen == null ? printShares : storyThen.printShares());
    return with(closeBefore, 1, priceThen, activityThen, shares, storyThen, closeThen);
  }

  /** The same stock with a leap of its price within two minutes, and many prints around it. */
  InventedStock leaping(long at, double multiple) {
    List<Story.Mark> prices = new ArrayList<>();
    price.stream().filter(mark -> mark.at() < at).forEach(prices::add);
    double before = Story.between(price, at);
    prices.add(new Story.Mark(at, before));
    prices.add(new Story.Mark(at + 2 * DayTime.MINUTE, before * multiple));
    prices.add(new Story.Mark(DayTime.LAST, before * multiple));
    List<Story.Mark> prints = new ArrayList<>();
    activity.stream().filter(mark -> mark.at() < at).forEach(prints::add);
    prints.add(new Story.Mark(at, LEAP_PRINTS));
    prints.add(new Story.Mark(at + 30 * DayTime.MINUTE, LEAP_PRINTS / 6));
    prints.add(new Story.Mark(DayTime.of(16, 0), 0.1));
    return with(previousClose, splitRatio, prices, prints, printShares, story, close);
  }

  private InventedStock with(
      double otherClose,
      double otherRatio,
      List<Story.Mark> otherPrice,
      List<Story.Mark> otherActivity,
      int otherShares,
      @Nullable Story otherStory,
      double endsAt) {
    return new InventedStock(
        symbol,
        name,
        mic,
        kind,
        sector,
        sharesOutstanding,
        floatShares,
        floatAsOf,
        shortable,
        benchmark,
        otherClose,
        otherRatio,
        dailyVolatility,
        averageVolume,
        otherPrice,
        otherActivity,
        otherShares,
        otherStory,
        endsAt);
  }

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
