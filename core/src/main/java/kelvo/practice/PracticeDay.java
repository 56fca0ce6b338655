package kelvo.practice;

import java.util.List;
import kelvo.trade.Fill;

/**
 * What was done on paper in a session, as kept.
 *
 * @param instructions in their order
 * @param fills up to the latest moment that was played
 */
public record PracticeDay(List<Instruction> instructions, List<Fill> fills) {
  /** Nothing was done. */
  public static final PracticeDay EMPTY = new PracticeDay(List.of(), List.of());

  public PracticeDay {
    instructions = List.copyOf(instructions);
    fills = List.copyOf(fills);
  }
}
