package kelvo.market;

import java.util.ArrayList;
import java.util.List;

/**
 * A price that everybody looks at: a high, a low, a close or a VWAP of earlier.
 *
 * @param price {@link Price} units
 * @param name what it is
 */
public record ReferenceLevel(long price, String name) {
  /** What a daily swing high above the price is called. */
  public static final String SWING_HIGH = "swing high";

  private static final int SWING_SESSIONS = 250;
  private static final int OVERHEAD = 3;

  /** Those of a security at the moment of its state. */
  public static List<ReferenceLevel> of(SecurityFacts facts, SymbolState state) {
    List<ReferenceLevel> levels = new ArrayList<>();
    add(levels, state.premarketHigh(), "premarket high");
    add(levels, state.premarketLow(), "premarket low");
    DailyHistory history = facts.history();
    if (history.size() > 0) {
      add(levels, history.last().high(), "prior-day high");
      add(levels, history.last().low(), "prior-day low");
      add(levels, history.last().close(), "previous close");
      Swings swings = Swings.of(history.lastOnes(SWING_SESSIONS));
      swings.overhead(state.price(), OVERHEAD).forEach(high -> add(levels, high, SWING_HIGH));
      add(levels, swings.below(state.price()), "swing low");
    }
    state
        .market()
        .session()
        .earlierVwaps(state.id())
        .forEach(vwap -> add(levels, vwap.price, vwap.name));
    return List.copyOf(levels);
  }

  /** Its name and price. */
  public String words() {
    return name + " " + Price.text(price);
  }

  private static void add(List<ReferenceLevel> levels, long price, String name) {
    if (price != Price.NONE && levels.stream().noneMatch(level -> level.price == price)) {
      levels.add(new ReferenceLevel(price, name));
    }
  }
}
