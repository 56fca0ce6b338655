/**
 * Hits: what finds them, event by event, and how repeats are folded and told.
 *
 * <pre>
 *   TapeReplay -> ScanEngine -> Hit -> HitLog -> HitFolding -> SymbolStream
 *             \-> LevelHits  -/
 * </pre>
 *
 * Engines listen to a replay; they own no market state.
 */
package kelvo.hit;
