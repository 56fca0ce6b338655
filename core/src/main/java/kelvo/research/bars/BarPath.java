package kelvo.research.bars;

import kelvo.research.CasePath;
import kelvo.research.TimeTo;
import kelvo.research.UsualSpreads;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * A security's minute bars as prices to get in and out at: in at the open of a bar, out at the
 * close of the last that had ended. Bars tell no quotes, and no halts: where no bar ended, the
 * close before it stands. Valid while the rows stay with the security.
 */
final class BarPath implements CasePath {
  private final BarRows bars;
  private final String symbol;
  private final UsualSpreads usual;

  BarPath(BarRows bars, String symbol, UsualSpreads usual) {
    this.bars = bars;
    this.symbol = symbol;
    this.usual = usual;
  }

  @Override
  public @Nullable Entry entryAfter(long moment, int direction) {
    int row = bars.firstFrom((int) (moment / DayTime.MINUTE));
    if (row == bars.size()) {
      return null;
    }
    long at = bars.minute(row) * DayTime.MINUTE;
    long open = bars.open(row);
    return Entry.beyond(at, open, direction, usual.assumed(symbol, at, open), true);
  }

  @Override
  public long exitTime(long moment) {
    return moment;
  }

  @Override
  public double priceAt(long moment) {
    int row = endedBy(moment) - 1;
    return row < 0 ? Double.NaN : Price.dollars(bars.close(row));
  }

  /** How many bars had ended by a moment. */
  private int endedBy(long moment) {
    return bars.firstFrom((int) (moment / DayTime.MINUTE));
  }

  @Override
  public double furthest(Entry entry, long until, int way) {
    long furthest = Price.NONE;
    int end = endedBy(until);
    for (int row = bars.firstFrom((int) (entry.at() / DayTime.MINUTE)); row < end; row++) {
      long reached = way > 0 ? bars.high(row) : bars.low(row);
      if (furthest == Price.NONE || way * (reached - furthest) > 0) {
        furthest = reached;
      }
    }
    return Price.dollars(furthest);
  }

  /** The end of the bar that reached it, since within a bar it cannot be told. */
  @Override
  public long firstAt(Entry entry, double price, int way) {
    for (int row = bars.firstFrom((int) (entry.at() / DayTime.MINUTE)); row < bars.size(); row++) {
      double reached = Price.dollars(way > 0 ? bars.high(row) : bars.low(row));
      if (way * (reached - price) >= 0) {
        return (bars.minute(row) + 1) * DayTime.MINUTE;
      }
    }
    return TimeTo.NEVER;
  }

  @Override
  public double last() {
    return priceAt(DayTime.LAST);
  }
}
