package kelvo.desktop.shell;

import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kelvo.session.Session;
import kelvo.review.DayReview;
import kelvo.review.ReviewSettings;
import kelvo.hit.Hit;
import kelvo.scan.Scan;
import kelvo.journal.DayBook;
import org.jspecify.annotations.Nullable;

/**
 * The review of the moment shown, made behind the window one at a time; what is asked for meanwhile
 * is made afterwards. Only for the window's thread.
 */
final class ReviewOfNow {
  private final Session session;
  private final Executor background;
  private final LongSupplier clock;
  private final ReadOnlyObjectWrapper<@Nullable DayReview> review = new ReadOnlyObjectWrapper<>();
  private boolean making;
  private boolean stale;

  /** What a review is made of. */
  record Asked(List<Scan> scans, List<Hit> hits, DayBook book) {}

  /**
   * No review yet.
   *
   * @param clock the moment shown
   */
  ReviewOfNow(Session session, Executor background, LongSupplier clock) {
    this.session = session;
    this.background = background;
    this.clock = clock;
  }

  /** The review at the newest moment for which it was made; null before the first. */
  ReadOnlyObjectProperty<@Nullable DayReview> review() {
    return review.getReadOnlyProperty();
  }

  /** Makes it anew of what there is now. */
  void refresh(Supplier<Asked> of) {
    dropThatOfLater();
    stale = true;
    if (!making) {
      making = true;
      stale = false;
      Asked asked = of.get();
      long moment = clock.getAsLong();
      background.execute(
          () -> {
            DayReview made =
                DayReview.of(
                    session,
                    asked.scans(),
                    asked.hits(),
                    asked.book(),
                    ReviewSettings.USUAL,
                    moment);
            Platform.runLater(() -> made(made, of));
          });
    }
  }

  /** A review of a later moment knows what is still to come. */
  private void dropThatOfLater() {
    DayReview before = review.get();
    if (before != null && before.until() > clock.getAsLong()) {
      review.set(null);
    }
  }

  private void made(DayReview newest, Supplier<Asked> of) {
    review.set(newest.until() > clock.getAsLong() ? null : newest);
    making = false;
    if (stale && newest.until() != clock.getAsLong()) {
      refresh(of);
    }
  }
}
