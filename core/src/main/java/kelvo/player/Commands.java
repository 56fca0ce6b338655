package kelvo.player;

import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;

/** What a player has been asked to do, in order. Any thread adds, the player's thread works. */
final class Commands {
  private record Command(String what, Runnable action) {}

  private final BlockingQueue<Command> waiting = new LinkedBlockingQueue<>();
  private final Followers told;

  Commands(Followers told) {
    this.told = told;
  }

  /** Adds a command; {@code what} completes "went wrong while ..". */
  void add(String what, Runnable action) {
    waiting.add(new Command(what, action));
  }

  /** Wakes the player's thread. */
  void wake() {
    add("waking", () -> {});
  }

  /** Waits for a command, then does all that are there. */
  void work() throws InterruptedException {
    work(waiting.take());
  }

  /** Waits a while for a command, then does all that are there; returns whether there was one. */
  boolean work(long millis) throws InterruptedException {
    return work(waiting.poll(millis, TimeUnit.MILLISECONDS));
  }

  private boolean work(@Nullable Command first) {
    for (Command command = first; command != null; command = waiting.poll()) {
      told.guarded(command.what(), command.action());
    }
    return first != null;
  }
}
