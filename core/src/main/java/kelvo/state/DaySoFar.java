package kelvo.state;

import java.util.concurrent.atomic.AtomicReferenceArray;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;

/**
 * What takes all events of one security to tell, followed from one asking to the next: whoever asks
 * in the order of the tape walks it once. Any thread may ask; answers depend on the question alone.
 */
final class DaySoFar {
  private final EventTape tape;
  private final FiveMinuteBars bars;
  private final LargestPrint largest;
  private Corrections corrections = Corrections.NONE;
  private int reached = EventTape.NONE;

  /** The answer at an event. */
  record Answer(double coil, double coilBars, long largestPrint, long largestMoney) {}

  private DaySoFar(Session session) {
    tape = session.tape();
    bars = new FiveMinuteBars(tape, session.hours());
    largest = new LargestPrint(tape);
  }

  /** That of a security in a session. */
  @SuppressWarnings("unchecked")
  static DaySoFar of(Session session, int security) {
    AtomicReferenceArray<DaySoFar> all =
        (AtomicReferenceArray<DaySoFar>)
            session.workedOut(
                "days so far", () -> new AtomicReferenceArray<>(session.securities().size()));
    DaySoFar known = all.get(security);
    if (known == null) {
      all.compareAndSet(security, null, new DaySoFar(session));
      known = all.get(security);
    }
    return known;
  }

  /** The answer at the last of a security's events, its prints corrected as was known then. */
  synchronized Answer at(int lastEvent, Corrections known) {
    if (reached > lastEvent || corrections != known) {
      bars.begin();
      largest.begin();
      reached = EventTape.NONE;
      corrections = known;
    }
    int event = reached == EventTape.NONE ? first(lastEvent) : after(reached, lastEvent);
    while (event != EventTape.NONE) {
      bars.take(event, known);
      largest.take(event, known);
      reached = event;
      event = after(event, lastEvent);
    }
    return new Answer(bars.now(), bars.since(), largest.shares(), largest.money());
  }

  private int first(int lastEvent) {
    int first = lastEvent;
    for (int i = lastEvent; i != EventTape.NONE; i = tape.earlierOfSymbol(i)) {
      first = i;
    }
    return first;
  }

  private int after(int event, int lastEvent) {
    return event == lastEvent ? EventTape.NONE : tape.laterOfSymbol(event);
  }
}
