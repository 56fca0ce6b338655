package kelvo.desktop.workspace;

import java.util.List;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kelvo.hit.Hit;
import kelvo.job.LatestAnswer;
import kelvo.journal.DayBook;
import kelvo.review.DayReview;
import kelvo.review.ReviewSettings;
import kelvo.scan.Scan;
import kelvo.session.Session;
import org.jspecify.annotations.Nullable;

/**
 * The review of the moment shown, made behind the window one at a time; what is asked for meanwhile
 * is made afterwards. Only for the window's thread.
 */
public final class ReviewOfNow {
  private final Session session;
  private final Supplier<ReviewSettings> settings;
  private final LatestAnswer reviews;
  private final LongSupplier clock;
  private final ReadOnlyObjectWrapper<@Nullable DayReview> review = new ReadOnlyObjectWrapper<>();

  /**
   * No review yet.
   *
   * @param settings the numbers that verdicts go by, as they are set now
   * @param reviews answers behind the window
   * @param clock the moment shown
   */
  ReviewOfNow(
      Session session,
      Supplier<ReviewSettings> settings,
      LatestAnswer reviews,
      LongSupplier clock) {
    this.session = session;
    this.settings = settings;
    this.reviews = reviews;
    this.clock = clock;
  }

  /** The numbers that verdicts go by. */
  public ReviewSettings settings() {
    return settings.get();
  }

  /** The review at the newest moment for which it was made; null before the first. */
  public ReadOnlyObjectProperty<@Nullable DayReview> review() {
    return review.getReadOnlyProperty();
  }

  /** Makes it again from what there is now. */
  void refresh(List<Scan> scans, List<Hit> hits, DayBook book) {
    long moment = clock.getAsLong();
    DayReview before = review.get();
    if (before != null && before.until() > moment) {
      review.set(null);
    }
    ReviewSettings asked = settings.get();
    reviews.ask(stop -> DayReview.of(session, scans, hits, book, asked, moment), this::made);
  }

  /** A review of a later moment knows what is still to come. */
  private void made(DayReview newest) {
    review.set(newest.until() > clock.getAsLong() ? null : newest);
  }
}
