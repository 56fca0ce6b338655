package kelvo.practice;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An entry with its two exits, of which one is always as large as the other. Owned by its broker.
 */
final class Bracket {
  private final PaperOrder order;
  private @Nullable WorkingOrder stop;
  private @Nullable WorkingOrder target;

  Bracket(PaperOrder order) {
    this.order = order;
  }

  /** The exits; none before the entry has had a fill. */
  List<WorkingOrder> exits() {
    return stop == null || target == null ? List.of() : List.of(stop, target);
  }

  /** Whether an order is one of its exits. */
  boolean isExit(WorkingOrder working) {
    return working == stop || working == target;
  }

  /** The entry had a fill: the exits are for so many shares more. Returns those that are new. */
  List<WorkingOrder> entered(long shares, long now) {
    PaperOrder.Exits exits = order.exits();
    if (exits == null) {
      return List.of();
    }
    if (stop != null && target != null && !stop.isDone()) {
      stop.grow(shares);
      target.grow(shares);
      return List.of();
    }
    stop = exit(shares, new Terms.Stop(exits.stop()), now);
    target = exit(shares, new Terms.Limit(exits.target()), now);
    return List.of(stop, target);
  }

  private WorkingOrder exit(long shares, Terms terms, long now) {
    return new WorkingOrder(order.id(), -order.way(), shares, terms, now, this);
  }

  /** One exit had a fill: the other is for so many shares less. */
  void left(WorkingOrder exit, long shares) {
    WorkingOrder other = exit == stop ? target : stop;
    if (other != null) {
      other.take(shares);
    }
  }
}
