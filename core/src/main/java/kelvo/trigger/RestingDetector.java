package kelvo.trigger;

import kelvo.state.SymbolState;

/**
 * A detector of eligible prints that can tell at which prices it need not be asked, as most prints
 * of a day come within the prices of those before. It must be asked at every other event that it
 * listens to, and anew after a correction.
 */
public interface RestingDetector extends Detector {
  /** Narrows a rest to the prices at which this detector would neither fire nor change. */
  void rest(SymbolState state, long now, Rest rest);
}
