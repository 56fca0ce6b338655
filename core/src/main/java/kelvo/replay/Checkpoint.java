package kelvo.replay;

import kelvo.state.SymbolState;

/**
 * The whole market between two events, kept so that any later moment can be reached quickly. It
 * knows nothing of scans: a seek does not scan.
 *
 * @param events how many events of the tape had been applied
 * @param second the last whole second that had begun
 * @param clock the greatest time seen
 * @param states every security's state then
 */
record Checkpoint(int events, int second, long clock, SymbolState[] states) {}
