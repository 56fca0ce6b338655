package kelvo.practice;

import java.math.BigDecimal;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kelvo.replay.TapeListener;
import kelvo.research.UsualSpreads;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.tape.TapeRules;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;

/**
 * Fills orders on paper with what a recorded session traded and showed, event by event: a listener
 * of a replay. The same instructions give the same fills, whenever and however often the replay is
 * paused. Nothing is filled that was not shown or traded, and nothing in a halt. Owned by the
 * replay's thread.
 *
 * <p>Each instruction arrives a while after it was sent. A market order takes the other side of the
 * quote in force then, at most the shares shown, and the rest from the quotes after it; in a
 * security without quotes it takes the next eligible prints, half of the usual spread worse. A
 * limit order is filled by prints beyond its price, and by those at its price once more has traded
 * there than stood before it. A stop becomes a market order at the first eligible print at its
 * price or beyond.
 */
public final class PaperBroker implements TapeListener {
  /** The account of fills on paper. */
  public static final String ACCOUNT = "practice";

  private final Session session;
  private final EventTape tape;
  private final long latency;
  private final Deque<Instruction> onTheirWay;
  private final Map<String, PaperBook> books = new TreeMap<>();
  private final Map<Integer, PaperBook> byNumber = new HashMap<>();
  private final Map<String, Long> positions = new TreeMap<>();
  private final List<Fill> fills = new ArrayList<>();

  /**
   * A broker before the session.
   *
   * @param usual of a security without quotes
   * @param instructions those of the whole session, in any order
   * @param latency how long each takes to arrive, nanoseconds, 0 or more
   */
  public PaperBroker(
      Session session, UsualSpreads usual, List<Instruction> instructions, long latency) {
    this.session = session;
    this.latency = latency;
    tape = session.tape();
    onTheirWay =
        new ArrayDeque<>(
            instructions.stream().sorted(Comparator.comparingLong(Instruction::at)).toList());
    for (Instruction one : instructions) {
      if (one instanceof Instruction.Place place) {
        String symbol = place.order().symbol();
        PaperBook book =
            books.computeIfAbsent(
                symbol,
                s ->
                    new PaperBook(
                        s,
                        usual,
                        (order, shares, price, at) -> fill(symbol, order, shares, price, at)));
        session.numberOf(symbol).ifPresent(number -> byNumber.put(number, book));
      }
    }
  }

  @Override
  public void applied(SymbolState state, int effects, int event, long now) {
    told(state.id(), event, now);
  }

  /** An event of a security has been told by now. */
  void told(int security, int event, long now) {
    arrive(now);
    PaperBook book = byNumber.get(security);
    if (book == null) {
      return;
    }
    switch (tape.kind(event)) {
      case TRADE -> print(book, event, now);
      case QUOTE ->
          book.quote(
              tape.bid(event), tape.bidShares(event), tape.ask(event), tape.askShares(event), now);
      case STATUS -> book.status(tape.state(event));
      case CORRECTION, IMBALANCE, MENTION, NEWS -> {}
    }
  }

  private void print(PaperBook book, int event, long now) {
    long at = tape.time(event);
    boolean regular = session.hours().regular(at);
    if ((TapeRules.flags(tape.conditions(event), regular) & TapeRules.LAST) != 0) {
      book.print(tape.price(event), tape.shares(event), at, now);
    }
  }

  @Override
  public void second(long moment) {
    arrive(moment);
  }

  /** What has arrived by now meets the quotes as they stood before whatever happens now. */
  private void arrive(long now) {
    while (!onTheirWay.isEmpty() && onTheirWay.getFirst().at() + latency <= now) {
      Instruction one = onTheirWay.removeFirst();
      long at = one.at() + latency;
      switch (one) {
        case Instruction.Place place -> place(place.order(), at);
        case Instruction.Cancel cancel ->
            books.values().forEach(book -> book.cancel(cancel.order()));
      }
    }
  }

  private void place(PaperOrder order, long at) {
    Bracket bracket = order.exits() == null ? null : new Bracket(order);
    bookOf(order.symbol())
        .add(
            new WorkingOrder(order.id(), order.way(), order.shares(), order.terms(), at, bracket),
            at);
  }

  private PaperBook bookOf(String symbol) {
    PaperBook book = books.get(symbol);
    if (book == null) {
      throw new IllegalStateException("no orders in " + symbol);
    }
    return book;
  }

  /** A sale ends what is held before it sells short, a purchase the other way round. */
  private void fill(String symbol, WorkingOrder order, long shares, BigDecimal price, long at) {
    long held = positions.getOrDefault(symbol, 0L);
    long ending = Math.min(shares, Math.max(0, -order.way() * held));
    boolean buys = order.way() > 0;
    add(symbol, order, buys ? FillSide.COVER : FillSide.SELL, ending, price, at);
    add(symbol, order, buys ? FillSide.BUY : FillSide.SHORT, shares - ending, price, at);
    positions.put(symbol, held + order.way() * shares);
  }

  private void add(
      String symbol, WorkingOrder order, FillSide side, long shares, BigDecimal price, long at) {
    if (shares > 0) {
      fills.add(
          new Fill(
              at,
              symbol,
              side,
              BigDecimal.valueOf(shares),
              price,
              BigDecimal.ZERO,
              ACCOUNT,
              Long.toString(order.id())));
    }
  }

  /** The fills so far, oldest first. */
  public List<Fill> fills() {
    return List.copyOf(fills);
  }

  /** Shares held of a security, below 0 when sold short. */
  public long position(String symbol) {
    return positions.getOrDefault(symbol, 0L);
  }

  /** What has been sent by a moment and has not arrived, in its order. */
  public List<Instruction> onTheirWay(long moment) {
    return onTheirWay.stream().filter(one -> one.at() <= moment).toList();
  }

  /**
   * An order that has arrived and is not done; of a bracket its entry, and its exits once it has
   * had a fill.
   *
   * @param id of the order that was placed
   */
  public record Working(long id, String symbol, int way, long left, Terms terms, boolean isExit) {}

  /** What is not done yet, by symbol and then in the order in which it came. */
  public List<Working> working() {
    List<Working> all = new ArrayList<>();
    books.forEach(
        (symbol, book) ->
            book.working()
                .forEach(
                    order ->
                        all.add(
                            new Working(
                                order.id(),
                                symbol,
                                order.way(),
                                order.left(),
                                order.terms(),
                                order.bracket() != null && order.bracket().isExit(order)))));
    return all;
  }
}
