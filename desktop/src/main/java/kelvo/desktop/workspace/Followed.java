package kelvo.desktop.workspace;

import java.util.Objects;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import kelvo.player.Player;
import kelvo.view.View;
import org.jspecify.annotations.Nullable;

/**
 * The one view that a part follows at a time. After {@link #stop}, or once another view is
 * followed, no answer of the one before comes any more. Only for the window's thread.
 *
 * @param <T> what the view shows
 */
public final class Followed<T> {
  private final DayClock clock;
  private final Consumer<T> show;
  private Player.@Nullable Following following;
  private int generation;

  /**
   * Nothing is followed yet.
   *
   * @param show takes each answer, on the window's thread
   */
  public Followed(DayClock clock, Consumer<T> show) {
    this.clock = clock;
    this.show = show;
  }

  /** Looks once: takes one answer and follows no longer. */
  public static <T> void once(DayClock clock, View<T> view, Consumer<T> taker) {
    AtomicReference<Followed<T>> self = new AtomicReference<>();
    Followed<T> followed =
        new Followed<>(
            clock,
            answer -> {
              Objects.requireNonNull(self.get()).stop();
              taker.accept(answer);
            });
    self.set(followed);
    followed.follow(view);
  }

  /** Follows a view in place of the one before. */
  public void follow(View<T> view) {
    stop();
    int mine = generation;
    following =
        clock.follow(
            view,
            shown -> {
              if (mine == generation) {
                show.accept(shown);
              }
            });
  }

  /** Follows nothing. */
  public void stop() {
    generation++;
    if (following != null) {
      following.close();
      following = null;
    }
  }

  /** Whether a view is being followed. */
  public boolean isFollowing() {
    return following != null;
  }
}
