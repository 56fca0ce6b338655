package kelvo.trigger;

import kelvo.state.SymbolState;

/**
 * Watches for an occasion of which each scan has one hit, such as the open. {@link #fires} tells
 * that the occasion has come. A scan whose rules or window are shut then has its hit later, when
 * both are open and what made the occasion still holds.
 */
public interface OnceDetector extends Detector {
  /** Whether what made the occasion still holds. */
  boolean holds(SymbolState state, long now);
}
