package kelvo.practice;

import kelvo.refusal.RefusedException;
import kelvo.tape.Price;

/** At which prices an order may be filled. Prices are {@link Price} units, above 0. */
public sealed interface Terms {
  /** As in "buy 100 at most 4.20". */
  String words();

  /** At whatever price there is. */
  record Market() implements Terms {
    @Override
    public String words() {
      return "at the market";
    }
  }

  /** At a price or a better one. */
  record Limit(long price) implements Terms {
    public Limit {
      check(price);
    }

    @Override
    public String words() {
      return "limit " + Price.text(price);
    }
  }

  /** At the market, once a print is at a price or beyond it. */
  record Stop(long price) implements Terms {
    public Stop {
      check(price);
    }

    @Override
    public String words() {
      return "stop " + Price.text(price);
    }
  }

  /** At a price or a better one, once a print is at another price or beyond it. */
  record StopLimit(long stop, long limit) implements Terms {
    public StopLimit {
      check(stop);
      check(limit);
    }

    @Override
    public String words() {
      return "stop " + Price.text(stop) + " limit " + Price.text(limit);
    }
  }

  private static void check(long price) {
    if (price <= 0) {
      throw new RefusedException("a price must be above 0, found " + price);
    }
  }
}
