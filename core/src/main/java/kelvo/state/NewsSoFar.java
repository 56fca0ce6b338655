package kelvo.state;

import kelvo.news.Catalyst;
import kelvo.news.CatalystRule;
import kelvo.session.Security;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import org.jspecify.annotations.Nullable;

/**
 * What has been reported of one security so far. Times are {@link kelvo.time.DayTime}, negative on
 * an earlier day. Owned by one thread.
 */
public final class NewsSoFar {
  private static final int[] NONE = {};

  private final Session session;
  private final int security;
  private int[] events = NONE;
  private long price;

  NewsSoFar(Session session, int security) {
    this.session = session;
    this.security = security;
  }

  /**
   * An item has come.
   *
   * @param priceThen the price when it was published, which counts unless a later item is known
   */
  void add(int event, long priceThen) {
    if (publishedAt(event) >= at()) {
      price = priceThen;
    }
    events = SeldomState.append(events, event);
  }

  void copyFrom(NewsSoFar other) {
    events = other.events;
    price = other.price;
  }

  /** When an item was published. */
  long publishedAt(int event) {
    return session.catalystOf(event).at();
  }

  /** When the newest item was published; Long.MIN_VALUE before any. */
  public long at() {
    int newest = newestEvent();
    return newest == EventTape.NONE ? Long.MIN_VALUE : publishedAt(newest);
  }

  private int newestEvent() {
    int newest = EventTape.NONE;
    for (int event : events) {
      if (newest == EventTape.NONE || publishedAt(event) >= publishedAt(newest)) {
        newest = event;
      }
    }
    return newest;
  }

  /** The newest item that names the security; null before any. */
  public @Nullable Catalyst newest() {
    int newest = newestEvent();
    return newest == EventTape.NONE ? null : session.catalystOf(newest);
  }

  /** The price at the newest item; {@link Price#NONE} without one. */
  public long price() {
    return price;
  }

  /** Items so far. */
  public int items() {
    return events.length;
  }

  /** Items in (now - span, now]. */
  public int items(long span, long now) {
    int count = 0;
    for (int event : events) {
      count += isWithin(event, span, now) ? 1 : 0;
    }
    return count;
  }

  /** Whether an item in (now - span, now] is what a rule asks for. */
  public boolean has(CatalystRule rule, long span, long now) {
    Security named = session.security(security).security();
    for (int event : events) {
      if (isWithin(event, span, now)
          && rule.fits(session.catalystOf(event), named.symbol(), named.name())) {
        return true;
      }
    }
    return false;
  }

  private boolean isWithin(int event, long span, long now) {
    long at = publishedAt(event);
    return at > now - span && at <= now;
  }
}
