package kelvo.practice;

import org.jspecify.annotations.Nullable;

/** An order that has arrived and is not done. Owned by its broker. */
final class WorkingOrder {
  /** Nobody has seen yet how many shares stand before it. */
  private static final long UNSEEN = -1;

  private final long id;
  private final int way;
  private final long since;
  private final @Nullable Bracket bracket;
  private Terms terms;
  private long left;
  private long ahead = UNSEEN;

  /**
   * An order that has just arrived.
   *
   * @param since when; prints of before it that are told late are none of its
   */
  WorkingOrder(long id, int way, long shares, Terms terms, long since, @Nullable Bracket bracket) {
    this.id = id;
    this.since = since;
    this.way = way;
    this.terms = terms;
    this.bracket = bracket;
    left = shares;
  }

  long id() {
    return id;
  }

  int way() {
    return way;
  }

  long since() {
    return since;
  }

  Terms terms() {
    return terms;
  }

  long left() {
    return left;
  }

  /** The bracket that it belongs to; null for an order alone. */
  @Nullable Bracket bracket() {
    return bracket;
  }

  boolean isDone() {
    return left == 0;
  }

  void take(long shares) {
    left -= shares;
  }

  void grow(long shares) {
    left += shares;
  }

  void cancel() {
    left = 0;
  }

  /** A print is at a stop or beyond it: from now on it is an order of these terms. */
  void become(Terms then) {
    terms = then;
  }

  /** What stands at its price when it comes to stand there; later ones stand behind it. */
  void behind(long shares) {
    ahead = ahead == UNSEEN ? shares : ahead;
  }

  /** How many shares of a print at its own price are left to it. */
  long reached(long shares) {
    long before = Math.min(Math.max(0, ahead), shares);
    ahead = Math.max(0, ahead) - before;
    return shares - before;
  }
}
