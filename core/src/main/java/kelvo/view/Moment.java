package kelvo.view;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kelvo.hit.Hit;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.state.Market;
import kelvo.state.SymbolState;

/**
 * The session at a moment, as views look at it. Valid only during the look, on the player's thread.
 */
public final class Moment {
  private final TapeReplay replay;
  private final List<Hit> hits;
  private final int program;
  private final Map<Object, Object> shared = new HashMap<>();

  /**
   * Where a replay stands.
   *
   * @param hits those so far
   * @param program which program found them, counted up at each change
   */
  public Moment(TapeReplay replay, List<Hit> hits, int program) {
    this.replay = replay;
    this.hits = hits;
    this.program = program;
  }

  /** Where a replay stands, with the hits of its only program. */
  public Moment(TapeReplay replay, List<Hit> hits) {
    this(replay, hits, 0);
  }

  /** The session. */
  public Session session() {
    return replay.session();
  }

  /** The clock, {@link kelvo.time.DayTime}. */
  public long now() {
    return replay.clock();
  }

  /** The phase of the clock, by its place. */
  public int phase() {
    return replay.phase();
  }

  /** How many events of the tape have been applied. */
  public int events() {
    return replay.events();
  }

  /** The state of a security, by its number. */
  public SymbolState state(int security) {
    return replay.state(security);
  }

  /** The market as a whole. */
  public Market market() {
    return replay.market();
  }

  /** All hits so far, oldest first; the list stays as it is. */
  public List<Hit> hits() {
    return hits;
  }

  /** Which program found the hits: of one program, as many hits are the same hits. */
  int program() {
    return program;
  }

  /** What several views look at, worked out by the first of them. */
  <T> T shared(Class<T> what, Function<Moment, T> look) {
    Object known = shared.get(what);
    if (known == null) {
      known = look.apply(this);
      shared.put(what, known);
    }
    return what.cast(known);
  }
}
