package kelvo.chart;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.history.MinuteBar;
import kelvo.session.Session;

/**
 * The minute bars of the securities that a window draws, kept from one snapshot to the next. Used
 * on the engine's thread.
 */
public final class SecurityBars {
  private final Session session;
  private final Map<Integer, MinuteBars> bars = new HashMap<>();
  private long lastMoment = -1;

  public SecurityBars(Session session) {
    this.session = session;
  }

  /** The bars of a security from 04:00 to a moment, oldest first. */
  public List<MinuteBar> at(int security, long moment) {
    if (moment < lastMoment) {
      bars.clear();
    }
    lastMoment = moment;
    return bars.computeIfAbsent(security, s -> new MinuteBars(session, s)).advanceTo(moment);
  }
}
