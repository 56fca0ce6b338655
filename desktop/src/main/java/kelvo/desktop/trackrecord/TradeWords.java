package kelvo.desktop.trackrecord;

import kelvo.desktop.theme.Numbers;
import kelvo.review.ReviewedTrade;
import kelvo.time.DayTime;
import kelvo.trade.Trade;

/** A trade of some session in one line. */
final class TradeWords {
  private TradeWords() {}

  static String of(ReviewedTrade reviewed) {
    Trade trade = reviewed.trade();
    return reviewed.context().date()
        + ", "
        + (trade.entryAt() < 0 ? "held overnight" : DayTime.minutes(trade.entryAt()))
        + ": "
        + trade.symbol()
        + " "
        + trade.side().word()
        + ", "
        + reviewed.verdict().words()
        + ", "
        + Numbers.money(reviewed.result());
  }
}
