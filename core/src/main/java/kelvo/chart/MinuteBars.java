package kelvo.chart;

import java.util.ArrayList;
import java.util.List;
import kelvo.history.MinuteBar;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;

/**
 * The 1-minute bars of one security from 04:00 on, made by playing its own events. Minutes without
 * a print that counts carry no bar. Follows the tape while it grows; owned by the thread that
 * appends to it, if there is one.
 */
public final class MinuteBars {
  private final Session session;
  private final int security;
  private SymbolState state;
  private final double blocksFrom;
  private final List<MinuteBar> closed = new ArrayList<>();
  private final List<Block> blocks = new ArrayList<>();
  private int newest = EventTape.NONE;
  private long minute = -1;
  private long open;
  private long high;
  private long low;
  private long close;
  private long volume;
  private double vwap;
  private double ema9;

  /** No bars yet, and no blocks. */
  public MinuteBars(Session session, int security) {
    this(session, security, Double.POSITIVE_INFINITY);
  }

  /**
   * No bars yet.
   *
   * @param blocksFrom from how many dollars on a print is a block
   */
  public MinuteBars(Session session, int security, double blocksFrom) {
    this.session = session;
    this.security = security;
    this.blocksFrom = blocksFrom;
    state = SymbolState.fresh(session, security);
  }

  /** Takes the events up to a moment, which must not go back, and returns the bars so far. */
  public List<MinuteBar> advanceTo(long moment) {
    EventTape tape = session.tape();
    int next = next(tape);
    // A late print is not known before it comes, however early its own time is.
    int told = tape.countUntil(moment);
    while (next != EventTape.NONE && next < told) {
      newest = next;
      take(tape, next);
      next = next(tape);
    }
    List<MinuteBar> bars = new ArrayList<>(closed);
    if (open != Price.NONE) {
      bars.add(bar());
    }
    return bars;
  }

  private int next(EventTape tape) {
    return newest == EventTape.NONE ? tape.firstOfSymbol(security) : tape.laterOfSymbol(newest);
  }

  private void take(EventTape tape, int event) {
    if (tape.kind(event) == EventKind.CORRECTION) {
      closed.clear();
      blocks.clear();
      minute = -1;
      open = Price.NONE;
      state = state.replayed(event, this::after);
    } else {
      after(state, state.apply(event), event);
    }
  }

  private void after(SymbolState then, int effect, int event) {
    if ((effect & (Effect.PRINT | Effect.EXTREME)) == 0) {
      return;
    }
    EventTape tape = session.tape();
    long at = tape.time(event);
    if (at / DayTime.MINUTE > minute) {
      if (open != Price.NONE) {
        closed.add(bar());
      }
      minute = at / DayTime.MINUTE;
      open = Price.NONE;
      volume = 0;
    }
    int flags = TapeRules.flags(tape.conditions(event), session.hours().regular(at));
    price(then.correctedPrice(event), flags);
    if ((effect & Effect.PRINT) != 0) {
      block(then, event);
    }
    volume += (effect & Effect.PRINT) != 0 ? then.correctedShares(event) : 0;
    vwap = then.vwapAt(minute * DayTime.MINUTE);
    ema9 = then.ema9();
  }

  private void block(SymbolState then, int event) {
    int conditions = session.tape().conditions(event);
    Block block =
        new Block(
            session.tape().time(event), then.correctedPrice(event), then.correctedShares(event));
    if (block.dollars() >= blocksFrom
        && TapeRules.isOfTheMoment(conditions)
        && !TapeRules.isCross(conditions)) {
      blocks.add(block);
    }
  }

  /** The blocks of the bars so far, oldest first; those of auctions are none. */
  public List<Block> blocks() {
    return List.copyOf(blocks);
  }

  private void price(long price, int flags) {
    if ((flags & TapeRules.HIGH_LOW) == 0) {
      return;
    }
    if (open == Price.NONE) {
      open = price;
      high = price;
      low = price;
      close = price;
    }
    high = Math.max(high, price);
    low = Math.min(low, price);
    close = (flags & TapeRules.LAST) != 0 ? price : close;
  }

  private MinuteBar bar() {
    return new MinuteBar(minute * DayTime.MINUTE, open, high, low, close, volume, vwap, ema9);
  }
}
