/**
 * The loop over a tape and what listens to it. A {@link kelvo.replay.TapeReplay} owns the market's
 * state and applies events in order; a {@link kelvo.replay.TapeListener} hears what each event did;
 * {@link kelvo.replay.Checkpoints} reach any moment quickly without scanning.
 *
 * <pre>
 *   EventTape -> TapeReplay -> TapeListener (ScanEngine, LevelHits, WhyNot ..)
 *                    |
 *               Checkpoints -> seek
 * </pre>
 *
 * May touch the tape, the session and the state; knows nothing of scans, rules or the trader.
 */
package kelvo.replay;
