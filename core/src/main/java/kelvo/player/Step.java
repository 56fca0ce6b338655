package kelvo.player;

import java.util.Arrays;
import java.util.OptionalInt;
import java.util.stream.LongStream;
import kelvo.hit.Hit;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;

/** By what one goes on through a recorded session. */
public enum Step {
  PRINT("print"),
  SECOND("second"),
  MINUTE("minute"),
  HIT("hit");

  private final String words;

  Step(String words) {
    this.words = words;
  }

  /** The word on screen. */
  public String words() {
    return words;
  }

  /**
   * The moment of the next one, or of the one before.
   *
   * @param symbol whose prints are meant
   * @param now {@link DayTime}
   * @param way 1 for the next, -1 for the one before
   * @return {@code now} when there is none
   */
  public long from(SessionRun run, String symbol, long now, int way) {
    return switch (this) {
      case SECOND -> whole(now, DayTime.SECOND, way);
      case MINUTE -> whole(now, DayTime.MINUTE, way);
      case HIT -> nearest(run.hits().stream().mapToLong(Hit::at), now, way);
      case PRINT -> nearest(prints(run, symbol), now, way);
    };
  }

  private static LongStream prints(SessionRun run, String symbol) {
    EventTape tape = run.session().tape();
    OptionalInt security = run.session().numberOf(symbol);
    return security.isEmpty()
        ? LongStream.empty()
        : Arrays.stream(tape.eventsOf(security.getAsInt(), tape.size()))
            .filter(event -> tape.kind(event) == EventKind.TRADE)
            .mapToLong(tape::time);
  }

  private static long nearest(LongStream moments, long now, int way) {
    return way > 0
        ? moments.filter(at -> at > now).min().orElse(now)
        : moments.filter(at -> at < now).max().orElse(now);
  }

  private static long whole(long now, long unit, int way) {
    long moment = way > 0 ? (now / unit + 1) * unit : (now - 1) / unit * unit;
    return Math.clamp(moment, DayTime.FIRST, DayTime.LAST);
  }
}
