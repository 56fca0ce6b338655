package kelvo.desktop.workspace;

import java.util.ArrayDeque;
import java.util.Deque;

/**
 * What an opening has opened so far. When it fails or is cancelled all of it is closed again, the
 * last one first: a ledger or a recorder that stays open keeps its folder, and the process, from
 * ending. For one thread.
 */
final class Opening {
  private final Deque<AutoCloseable> opened = new ArrayDeque<>();

  /** Something was opened. */
  <T extends AutoCloseable> T opens(T one) {
    opened.push(one);
    return one;
  }

  /** Closes everything; what that throws is added to why the opening has ended. */
  void fail(Throwable why) {
    while (!opened.isEmpty()) {
      try {
        opened.pop().close();
      } catch (Exception e) {
        why.addSuppressed(e);
      }
    }
  }
}
