package kelvo.hit;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import kelvo.hit.Hit;

/**
 * Hits in their order, which only grow. Lists of the first so many stay as they are while it grows,
 * and may be handed to other threads.
 */
public final class HitLog {
  private static final int FIRST_SIZE = 256;

  private Hit[] hits = new Hit[FIRST_SIZE];
  private int size;

  public void add(Hit hit) {
    if (size == hits.length) {
      hits = Arrays.copyOf(hits, size * 2);
    }
    hits[size++] = hit;
  }

  public List<Hit> all() {
    return first(size);
  }

  public List<Hit> first(int count) {
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
