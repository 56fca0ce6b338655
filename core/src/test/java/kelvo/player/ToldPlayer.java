package kelvo.player;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import kelvo.hit.Hit;

/** Keeps all that a player tells. */
final class ToldPlayer implements PlayerListener {
  final List<Hit> hits = new CopyOnWriteArrayList<>();
  final LinkedBlockingQueue<String> troubles = new LinkedBlockingQueue<>();
  final LinkedBlockingQueue<Long> played = new LinkedBlockingQueue<>();
  final LinkedBlockingQueue<Throwable> ends = new LinkedBlockingQueue<>();
  volatile Consumer<Hit> onHit = hit -> {};

  @Override
  public void hit(Hit hit) {
    hits.add(hit);
    onHit.accept(hit);
  }

  @Override
  public void played(long until) {
    played.add(until);
  }

  @Override
  public void published() {}

  @Override
  public void trouble(String what, Throwable cause) {
    troubles.add(what + ": " + cause.getMessage());
  }

  @Override
  public void stopped(Throwable cause) {
    ends.add(cause);
  }

  /** The next one of a queue, which comes within a minute. */
  static <T> T next(LinkedBlockingQueue<T> queue) throws InterruptedException {
    T found = queue.poll(60, TimeUnit.SECONDS);
    if (found == null) {
      throw new AssertionError("nothing came within a minute");
    }
    return found;
  }
}
