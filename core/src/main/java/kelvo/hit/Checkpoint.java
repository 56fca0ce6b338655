package kelvo.hit;

import kelvo.level.LevelProgress;

import java.util.List;
import kelvo.state.SymbolState;

/**
 * The engine's whole state between two events, kept so that any later moment can be reached
 * quickly.
 *
 * @param events how many events of the tape had been applied
 * @param second the last whole second that had been worked
 * @param hits how many hits there had been
 * @param detectors what the triggers' detectors remembered
 * @param tops who stood where in the scans that are watched for it
 */
public record Checkpoint(
    int events,
    int second,
    long clock,
    int hits,
    SymbolState[] states,
    long[] inside,
    LevelProgress[] levels,
    List<Object> detectors,
    List<Object> tops) {}
