package kelvo.practice;

import java.util.List;
import kelvo.trade.Fill;

/**
 * What was done on paper in a session, as kept.
 *
 * @param instructions in their order
 * @param fills up to the latest moment that was played
 * @param calls of all drills, on whatever day, in the order in which they were made
 */
public record PracticeDay(List<Instruction> instructions, List<Fill> fills, List<KeptCall> calls) {
  /** Nothing was done. */
  public static final PracticeDay EMPTY = new PracticeDay(List.of(), List.of(), List.of());

  public PracticeDay {
    instructions = List.copyOf(instructions);
    fills = List.copyOf(fills);
    calls = List.copyOf(calls);
  }
}
