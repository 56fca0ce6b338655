package kelvo.alert;

import java.util.ArrayDeque;
import java.util.Deque;
import kelvo.time.DayTime;

/** How often one scan has rung lately, and how strongly. */
final class ScanBudget {
  private record Rung(long at, double strength) {}

  private final Deque<Rung> minute = new ArrayDeque<>();
  private int phase = -1;
  private int inPhase;

  /**
   * Whether a hit may ring: within the budget, or stronger than all that rang in the last minute.
   *
   * @param now the index of the phase
   */
  boolean allows(long at, int now, double strength, AlertLimits limits) {
    if (now != phase) {
      phase = now;
      inPhase = 0;
    }
    while (!minute.isEmpty() && at - minute.getFirst().at() >= DayTime.MINUTE) {
      minute.removeFirst();
    }
    boolean within = minute.size() < limits.aMinute() && inPhase < limits.aPhase();
    boolean strongest =
        !minute.isEmpty() && minute.stream().allMatch(rung -> strength > rung.strength());
    if (within || strongest) {
      minute.addLast(new Rung(at, strength));
      inPhase++;
      return true;
    }
    return false;
  }
}
