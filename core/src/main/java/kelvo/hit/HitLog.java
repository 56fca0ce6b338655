package kelvo.hit;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * Hits in their order, which only grow; each is numbered by its place. Lists of the first so many
 * stay as they are while it grows, and may be handed to other threads.
 */
public final class HitLog {
  private static final int FIRST_SIZE = 256;

  private Hit[] hits = new Hit[FIRST_SIZE];

  /** How many events of the tape had been applied when each was made. */
  private int[] afterEvents = new int[FIRST_SIZE];

  private int size;

  /**
   * Adds the next hit.
   *
   * @param events how many events of the tape have been applied
   */
  public void add(Hit hit, int events) {
    if (size == hits.length) {
      hits = Arrays.copyOf(hits, size * 2);
      afterEvents = Arrays.copyOf(afterEvents, size * 2);
    }
    afterEvents[size] = events;
    hits[size] = hit.numbered(size);
    size++;
  }

  /**
   * The hits of several logs of one session as one, in the order of the tape; of one event those of
   * the first log come first.
   */
  public static HitLog merged(List<HitLog> logs) {
    HitLog merged = new HitLog();
    int[] next = new int[logs.size()];
    for (int log = nextOf(logs, next); log >= 0; log = nextOf(logs, next)) {
      int place = next[log]++;
      merged.add(logs.get(log).hits[place], logs.get(log).afterEvents[place]);
    }
    return merged;
  }

  /** The log with the earliest of the hits that have not been taken; -1 when all have been. */
  private static int nextOf(List<HitLog> logs, int[] next) {
    int first = -1;
    for (int i = 0; i < next.length; i++) {
      if (next[i] < logs.get(i).size
          && (first < 0 || logs.get(i).isBefore(next[i], logs.get(first), next[first]))) {
        first = i;
      }
    }
    return first;
  }

  private boolean isBefore(int place, HitLog other, int otherPlace) {
    long at = hits[place].at();
    long otherAt = other.hits[otherPlace].at();
    return at == otherAt ? afterEvents[place] < other.afterEvents[otherPlace] : at < otherAt;
  }

  /** All hits. */
  public List<Hit> all() {
    return first(size);
  }

  private List<Hit> first(int count) {
    return Collections.unmodifiableList(Arrays.asList(hits).subList(0, count));
  }

  /** The hits up to and including a moment. */
  public List<Hit> until(long moment) {
    int low = 0;
    int high = size;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (hits[middle].at() <= moment) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return first(low);
  }
}
