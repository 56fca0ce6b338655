package kelvo.hit;

import java.util.Arrays;

/**
 * Securities by the whole second at which something of theirs runs out. Each stands in at most one
 * second. Adding and taking are constant in time and allocate nothing.
 */
final class ExpiryWheel {
  private static final int SECONDS = 24 * 60 * 60 + 1;
  private static final int NONE = -1;

  private final int[] heads = new int[SECONDS];
  private final int[] next;
  private final int[] dueAt;

  ExpiryWheel(int securities) {
    next = new int[securities];
    dueAt = new int[securities];
    clear();
  }

  void clear() {
    Arrays.fill(heads, NONE);
    Arrays.fill(next, NONE);
    Arrays.fill(dueAt, NONE);
  }

  /** Puts a security at a second, unless it is due at that second or an earlier one. */
  void schedule(int security, int second) {
    int due = dueAt[security];
    if (second >= SECONDS || (due != NONE && due <= second)) {
      return;
    }
    if (due != NONE) {
      unlink(security, due);
    }
    dueAt[security] = second;
    next[security] = heads[second];
    heads[second] = security;
  }

  private void unlink(int security, int second) {
    if (heads[second] == security) {
      heads[second] = next[security];
      return;
    }
    int before = heads[second];
    while (next[before] != security) {
      before = next[before];
    }
    next[before] = next[security];
  }

  /** Takes one security due at a second; -1 when there is none. */
  int poll(int second) {
    int security = heads[second];
    if (security != NONE) {
      heads[second] = next[security];
      dueAt[security] = NONE;
    }
    return security;
  }
}
