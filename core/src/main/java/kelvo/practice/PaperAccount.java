package kelvo.practice;

import java.util.List;
import kelvo.trade.Fill;

/**
 * What has come of a trader's instructions by a moment.
 *
 * @param fills oldest first
 * @param working what is not done
 * @param onTheirWay what has been sent and has not arrived
 */
public record PaperAccount(
    List<Fill> fills, List<PaperBroker.Working> working, List<Instruction> onTheirWay) {
  /** Nothing was sent. */
  public static final PaperAccount EMPTY = new PaperAccount(List.of(), List.of(), List.of());

  public PaperAccount {
    fills = List.copyOf(fills);
    working = List.copyOf(working);
    onTheirWay = List.copyOf(onTheirWay);
  }

  /** The account while nothing that was sent by a moment arrives. */
  public static PaperAccount waiting(List<Instruction> instructions, long moment) {
    return new PaperAccount(
        List.of(), List.of(), instructions.stream().filter(one -> one.at() <= moment).toList());
  }

  /** The account at a broker. */
  public static PaperAccount of(PaperBroker broker, long moment) {
    return new PaperAccount(broker.fills(), broker.working(), broker.onTheirWay(moment));
  }

  /** Shares held of a symbol, below 0 when sold short. */
  public long position(String symbol) {
    return fills.stream()
        .filter(fill -> fill.symbol().equals(symbol))
        .mapToLong(fill -> fill.side().sign() * fill.quantity().longValueExact())
        .sum();
  }
}
