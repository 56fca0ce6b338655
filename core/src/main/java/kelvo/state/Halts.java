package kelvo.state;

import java.util.ArrayList;
import java.util.List;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.HaltReason;
import kelvo.tape.TradingState;

/** The times at which one security did not trade. */
public record Halts(List<Halt> all) {
  /**
   * One halt.
   *
   * @param from when trading stopped
   * @param to when it began again; Long.MAX_VALUE while it has not
   * @param reason the exchange's code; may be empty
   */
  public record Halt(long from, long to, String reason) {}

  public Halts {
    all = List.copyOf(all);
  }

  /** The halts of a security begun up to a moment; one not over by then has no end. */
  public static Halts of(Session session, int security, long until) {
    EventTape tape = session.tape();
    List<Halt> halts = new ArrayList<>();
    boolean halted = false;
    boolean offering = false;
    for (int event : tape.statusEvents(tape.size())) {
      if (tape.symbol(event) != security || tape.time(event) > until) {
        continue;
      }
      boolean trades = tape.state(event) == TradingState.TRADING;
      String reason = tape.reason(event);
      offering = !trades && (HaltReason.isOffering(reason) || (offering && reason.isEmpty()));
      if (!trades && !halted && !offering) {
        halts.add(new Halt(tape.time(event), Long.MAX_VALUE, reason));
        halted = true;
      } else if (trades && halted) {
        Halt open = halts.removeLast();
        halts.add(new Halt(open.from(), tape.time(event), open.reason()));
        halted = false;
      }
    }
    return new Halts(halts);
  }

  /** Nanoseconds between two moments during which the security traded. */
  public long tradingTime(long from, long to) {
    long time = to - from;
    for (Halt halt : all) {
      time -= Math.max(0, Math.min(to, halt.to()) - Math.max(from, halt.from()));
    }
    return time;
  }
}
