package kelvo.practice;

import java.util.Arrays;
import java.util.List;
import kelvo.research.UsualSpreads;
import kelvo.session.Session;
import kelvo.tape.EventTape;

/**
 * The paper broker of a session as it stood at any moment, told only of the securities in which
 * there are orders. It goes on from the moment that was asked before where it can. Owned by one
 * thread.
 */
public final class PaperRun {
  private final Session session;
  private final UsualSpreads usual;
  private final EventTape tape;
  private final long latency;
  private List<Instruction> instructions = List.of();
  private PaperBroker broker;
  private int[] events = {};
  private long[] clocks = {};
  private int next;
  private long clock;

  /** No instructions yet. */
  public PaperRun(Session session, UsualSpreads usual, long latency) {
    this.session = session;
    this.usual = usual;
    this.latency = latency;
    tape = session.tape();
    broker = new PaperBroker(session, usual, instructions, latency);
  }

  /**
   * The broker at a moment.
   *
   * @param wanted the instructions of the whole session; those of later are on their way
   * @param moment {@link kelvo.time.DayTime}
   */
  public PaperBroker at(List<Instruction> wanted, long moment) {
    if (!wanted.equals(instructions) || moment < clock) {
      instructions = List.copyOf(wanted);
      broker = new PaperBroker(session, usual, instructions, latency);
      events = events(instructions);
      clocks = clocks(events);
      next = 0;
      clock = 0;
    }
    while (next < events.length && tape.time(events[next]) <= moment) {
      clock = clocks[next];
      broker.told(tape.symbol(events[next]), events[next], clock);
      next++;
    }
    clock = Math.max(clock, moment);
    broker.second(clock);
    return broker;
  }

  private int[] events(List<Instruction> of) {
    return of.stream()
        .filter(Instruction.Place.class::isInstance)
        .map(one -> ((Instruction.Place) one).order().symbol())
        .distinct()
        .flatMapToInt(symbol -> session.numberOf(symbol).stream())
        .mapToObj(security -> tape.eventsOf(security, tape.size()))
        .flatMapToInt(Arrays::stream)
        .sorted()
        .toArray();
  }

  /** The clock of a replay of the whole tape at some events: it never goes back for a late one. */
  private long[] clocks(int[] some) {
    if (tape.mostLateness() == 0) {
      return Arrays.stream(some).mapToLong(tape::time).toArray();
    }
    long[] clocks = new long[some.length];
    long greatest = 0;
    int event = 0;
    for (int i = 0; i < some.length; i++) {
      while (event <= some[i]) {
        greatest = Math.max(greatest, tape.time(event++));
      }
      clocks[i] = greatest;
    }
    return clocks;
  }
}
