package kelvo.state;

import java.util.List;
import java.util.concurrent.atomic.AtomicReferenceArray;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import org.jspecify.annotations.Nullable;

/**
 * What takes all events of one security to tell, followed from one asking to the next: whoever asks
 * in the order of the tape walks it once. Any thread may ask; answers depend on the question alone.
 */
public final class DaySoFar {
  private final EventTape tape;
  private final FiveMinuteBars bars;
  private final LargestPrint largest;
  private final ExtremeTimes extremes;
  private final MinuteRuns runs;
  private final VolumeSince since;
  private final BandReference reference;
  private final List<TapeFollower.Made> all;
  private Corrections corrections = Corrections.NONE;
  private int reached = EventTape.NONE;

  /**
   * What the day had come to: the answers of {@link FiveMinuteBars}, {@link LargestPrint}, {@link
   * ExtremeTimes}, {@link MinuteRuns}, {@link VolumeSince} and {@link BandReference} at a moment.
   */
  public record Answer(
      double coil,
      double coilBars,
      long largestPrint,
      long largestMoney,
      long highAt,
      long lowAt,
      int risingMinutes,
      int minutesAbove,
      double volumeSinceNews,
      double volumeSinceResume,
      @Nullable VolatilityBand band,
      double distanceToBand) {
    /** Before a security's first event. */
    static final Answer NOTHING =
        new Answer(
            Double.NaN,
            Double.NaN,
            0,
            0,
            ExtremeTimes.NONE,
            ExtremeTimes.NONE,
            0,
            0,
            Double.NaN,
            Double.NaN,
            null,
            Double.NaN);
  }

  private DaySoFar(Session session) {
    tape = session.tape();
    bars = new FiveMinuteBars(session);
    largest = new LargestPrint(tape);
    extremes = new ExtremeTimes(session);
    runs = new MinuteRuns(session);
    since = new VolumeSince(session);
    reference = new BandReference(session);
    all = List.of(bars, largest, extremes, runs, since, reference);
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
  synchronized Answer at(int lastEvent, Corrections known, long now) {
    if (reached > lastEvent || corrections != known) {
      all.forEach(TapeFollower.Made::begin);
      reached = EventTape.NONE;
      corrections = known;
    }
    int event = reached == EventTape.NONE ? first(lastEvent) : after(reached, lastEvent);
    while (event != EventTape.NONE) {
      for (TapeFollower.Made made : all) {
        made.take(event, known);
      }
      reached = event;
      event = after(event, lastEvent);
    }
    return new Answer(
        bars.now(),
        bars.since(),
        largest.shares(),
        largest.money(),
        extremes.highAt(),
        extremes.lowAt(),
        runs.risingMinutes(now),
        runs.minutesAbove(now),
        since.volumeSinceNews(),
        since.volumeSinceResume(),
        reference.band(now),
        reference.distancePercent(now));
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
