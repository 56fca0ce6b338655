package kelvo.time;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import kelvo.refusal.RefusedException;

/** The phases of a day, in order and without gaps. */
public record Phases(List<Phase> all) {
  /** The phases that Kelvo starts with. */
  public static final Phases DEFAULT =
      new Phases(
          List.of(
              phase("early", 4, 0, 7, 0),
              phase("premarket", 7, 0, 9, 30),
              phase("opening", 9, 30, 10, 0),
              phase("morning", 10, 0, 11, 30),
              phase("midday", 11, 30, 13, 0),
              phase("afternoon", 13, 0, 15, 0),
              phase("close", 15, 0, 16, 0),
              phase("after hours", 16, 0, 20, 0)));

  public Phases {
    all = List.copyOf(all);
    for (int i = 1; i < all.size(); i++) {
      if (all.get(i).start() != all.get(i - 1).end()) {
        throw new RefusedException(
            "phase " + all.get(i).name() + " must start where " + all.get(i - 1).name() + " ends");
      }
    }
  }

  private static Phase phase(String name, int h1, int m1, int h2, int m2) {
    return new Phase(name, DayTime.of(h1, m1), DayTime.of(h2, m2));
  }

  /**
   * These with other starts of some phases; each ends where the next one begins.
   *
   * @param starts by the phase's name
   * @throws RefusedException when a phase would begin after the next one
   */
  public Phases starting(Map<String, Long> starts) {
    List<Phase> moved = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      Phase phase = all.get(i);
      long start = starts.getOrDefault(phase.name(), phase.start());
      Phase next = i + 1 < all.size() ? all.get(i + 1) : null;
      long end = next == null ? phase.end() : starts.getOrDefault(next.name(), next.start());
      if (start >= end) {
        throw new RefusedException(
            phase.name()
                + " must begin before "
                + (next == null ? "the day ends" : next.name() + " does")
                + " at "
                + DayTime.minutes(end));
      }
      moved.add(new Phase(phase.name(), start, end));
    }
    return new Phases(moved);
  }

  /**
   * The phases of a session: those of regular hours end with it, and what comes after the usual
   * close comes after the early one. A phase may then be empty.
   */
  public Phases in(SessionHours hours) {
    return new Phases(
        all.stream()
            .map(
                phase ->
                    new Phase(phase.name(), moved(phase.start(), hours), moved(phase.end(), hours)))
            .toList());
  }

  private static long moved(long moment, SessionHours hours) {
    return moment <= SessionHours.USUAL_CLOSE ? Math.min(moment, hours.close()) : moment;
  }

  /**
   * The index of the phase at a moment; the first before the day's start, the last after its end.
   */
  public int indexAt(long moment) {
    int index = 0;
    while (index < all.size() - 1 && moment >= all.get(index).end()) {
      index++;
    }
    return index;
  }

  /** The phase at a moment. */
  public Phase at(long moment) {
    return all.get(indexAt(moment));
  }

  /** The index of the phase with this name. */
  public OptionalInt indexOf(String name) {
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).name().equals(name)) {
        return OptionalInt.of(i);
      }
    }
    return OptionalInt.empty();
  }
}
