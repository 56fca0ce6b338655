package kelvo.player;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import kelvo.hit.Hit;
import kelvo.view.Moment;
import kelvo.view.View;

/**
 * The views that are being followed, and the one who is told of the player. A view that throws is
 * told once until it works again, and takes nothing from the others.
 */
final class Followers {
  private final PlayerListener listener;
  private final List<Followed<?>> followed = new CopyOnWriteArrayList<>();

  Followers(PlayerListener listener) {
    this.listener = listener;
  }

  private final class Followed<T> implements Player.Following {
    private final View<T> view;
    private final Consumer<T> to;
    private boolean failing;

    Followed(View<T> view, Consumer<T> to) {
      this.view = view;
      this.to = to;
    }

    void look(Moment moment) {
      try {
        to.accept(view.look(moment));
        failing = false;
      } catch (RuntimeException | StackOverflowError e) {
        if (!failing) {
          failing = true;
          trouble("showing " + view.getClass().getSimpleName(), e);
        }
      }
    }

    @Override
    public void close() {
      followed.remove(this);
    }
  }

  <T> Player.Following add(View<T> view, Consumer<T> to) {
    Followed<T> more = new Followed<>(view, to);
    followed.add(more);
    return more;
  }

  /** Answers all views of a moment. */
  void publish(Moment moment) {
    followed.forEach(one -> one.look(moment));
    guarded("telling what is shown", listener::published);
  }

  void hits(List<Hit> fresh) {
    fresh.forEach(hit -> guarded("telling of a hit", () -> listener.hit(hit)));
  }

  /** Does something and tells what it throws. */
  void guarded(String what, Runnable action) {
    try {
      action.run();
    } catch (RuntimeException | StackOverflowError e) {
      trouble(what, e);
    }
  }

  void played(long until) {
    guarded("telling how far the day is played", () -> listener.played(until));
  }

  void trouble(String what, Throwable cause) {
    listener.trouble(what, cause);
  }

  void stopped(Throwable cause) {
    listener.stopped(cause);
  }
}
