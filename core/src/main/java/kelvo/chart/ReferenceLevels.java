package kelvo.chart;

import java.util.ArrayList;
import java.util.List;
import kelvo.history.DailyHistory;
import kelvo.history.Swings;
import kelvo.session.ReferenceLevel;
import kelvo.session.SecurityFacts;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** The prices that everybody looks at on one security, for a chart to draw. */
public final class ReferenceLevels {
  private static final int SWING_SESSIONS = 250;
  private static final int OVERHEAD = 3;

  private ReferenceLevels() {}

  /** Those of a security at the moment of its state, each price once. */
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
      swings
          .overhead(state.price(), OVERHEAD)
          .forEach(high -> add(levels, high, ReferenceLevel.SWING_HIGH));
      add(levels, swings.below(state.price()), "swing low");
    }
    state
        .market()
        .session()
        .earlier()
        .vwaps()
        .getOrDefault(state.id(), List.of())
        .forEach(vwap -> add(levels, vwap.price(), vwap.name()));
    return List.copyOf(levels);
  }

  private static void add(List<ReferenceLevel> levels, long price, String name) {
    if (price != Price.NONE && levels.stream().noneMatch(level -> level.price() == price)) {
      levels.add(new ReferenceLevel(price, name));
    }
  }
}
