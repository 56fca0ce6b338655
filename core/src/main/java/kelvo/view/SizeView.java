package kelvo.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.trade.BuyingPower;
import kelvo.trade.Fees;
import kelvo.trade.PositionSize;

/**
 * Shows how many shares of one security a trade may have: from its price now, or a planned one, to
 * the stop that is set; without one, to its day's extreme and to a part of its average true range.
 */
public final class SizeView implements View<Optional<SizeView.Sizes>> {
  /**
   * What is asked.
   *
   * @param direction 1 for long, -1 for short
   * @param entry the price to enter at, {@link Price} units; {@link Price#NONE} for that of now
   * @param stop likewise; none for the day's extreme and the average true range
   * @param atrs how many average true ranges away the stop is where none is set
   * @param account dollars
   * @param risk dollars that may be lost
   */
  public record Asked(
      int direction,
      long entry,
      long stop,
      double atrs,
      double account,
      double risk,
      Fees fees,
      BuyingPower power) {}

  /**
   * The sizes at a moment.
   *
   * @param entry the price they are reckoned from, {@link Price} units
   * @param all one a stop
   */
  public record Sizes(long entry, List<Size> all) {
    public Sizes {
      all = List.copyOf(all);
    }
  }

  /**
   * The size of a trade.
   *
   * @param from what the stop is, in words
   * @param stop {@link Price} units
   * @param isCut whether the account affords no more, though the risk would allow it
   * @param ofFiveMinutes share of the shares traded in the last five minutes, per cent; NaN when
   *     unknown
   * @param ofFloat share of the float, per cent; NaN when unknown
   * @param cost dollars that it takes
   */
  public record Size(
      String from,
      long stop,
      PositionSize position,
      boolean isCut,
      double ofFiveMinutes,
      double ofFloat,
      double cost) {}

  private final int security;
  private final Asked asked;
  private final Field.Reading atr;
  private final Field.Reading volume;
  private final double floatShares;

  /**
   * The size of a trade.
   *
   * @param security its number
   */
  public SizeView(Session session, int security, Asked asked) {
    this.security = security;
    this.asked = asked;
    atr = FieldCatalogue.number("atr 14d").bind(session);
    volume = FieldCatalogue.number("volume 5m").bind(session);
    floatShares = session.security(security).floatShares();
  }

  @Override
  public Optional<Sizes> look(Moment moment) {
    SymbolState state = moment.state(security);
    long entry = asked.entry() == Price.NONE ? state.price() : asked.entry();
    if (entry == Price.NONE) {
      return Optional.empty();
    }
    List<Size> all = new ArrayList<>();
    if (asked.stop() != Price.NONE) {
      all.add(size("the stop", entry, asked.stop(), state, moment.now()));
    } else {
      // Before the open there is no regular day yet.
      boolean opened = state.dayLow() != Price.NONE;
      long low = opened ? state.dayLow() : state.sessionLow();
      long high = opened ? state.dayHigh() : state.sessionHigh();
      long extreme = asked.direction() > 0 ? low : high;
      String words = asked.direction() > 0 ? "the day's low" : "the day's high";
      addBeyond(all, words, entry, extreme, state, moment.now());
      double range = atr.at(state, moment.now());
      if (!Double.isNaN(range)) {
        long away = Math.round(asked.atrs() * range * Price.DOLLAR);
        String times = asked.atrs() + " ATR";
        addBeyond(all, times, entry, entry - asked.direction() * away, state, moment.now());
      }
    }
    return Optional.of(new Sizes(entry, all));
  }

  /** Only a stop on the losing side of the entry is one. */
  private void addBeyond(
      List<Size> all, String from, long entry, long stop, SymbolState state, long now) {
    if (stop != Price.NONE && stop > 0 && asked.direction() * (entry - stop) > 0) {
      all.add(size(from, entry, stop, state, now));
    }
  }

  private Size size(String from, long entry, long stop, SymbolState state, long now) {
    boolean quoted = state.bid() > 0 && state.ask() > state.bid();
    long spread = quoted ? state.ask() - state.bid() : 0;
    PositionSize wanted = PositionSize.of(asked.risk(), entry, stop, spread, asked.fees());
    long affordable =
        asked.power().shares(asked.account(), asked.direction(), Price.dollars(entry));
    boolean cut = wanted.shares() > affordable;
    PositionSize size =
        cut ? PositionSize.ofShares(affordable, entry, stop, spread, asked.fees()) : wanted;
    return new Size(
        from,
        stop,
        size,
        cut,
        percent(size.shares(), volume.at(state, now)),
        percent(size.shares(), floatShares),
        size.shares() * Price.dollars(entry));
  }

  private static double percent(double part, double whole) {
    return whole > 0 ? 100 * part / whole : Double.NaN;
  }
}
