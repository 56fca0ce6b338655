package kelvo.hit;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.state.HitCounts;
import org.jspecify.annotations.Nullable;

/** When scans have hit each security so far. Owned by one thread. */
final class HitTimes implements HitCounts {
  private final int securities;
  private final Map<String, @Nullable Times[]> byScan = new HashMap<>();

  private static final class Times {
    long[] at = new long[4];
    int count;
  }

  private HitTimes(Session session) {
    securities = session.securities().size();
  }

  /** Those of a replay, which all that make hits in it share. */
  static HitTimes of(TapeReplay replay) {
    if (replay.market().hitCounts() instanceof HitTimes known) {
      return known;
    }
    HitTimes times = new HitTimes(replay.session());
    replay.market().hitCounts(times);
    return times;
  }

  /** A scan has hit a security; moments must not go back. */
  void add(String scan, int security, long at) {
    @Nullable Times[] all = byScan.computeIfAbsent(scan, none -> new @Nullable Times[securities]);
    Times known = all[security];
    Times times = known == null ? new Times() : known;
    all[security] = times;
    if (times.count == times.at.length) {
      times.at = Arrays.copyOf(times.at, times.count * 2);
    }
    times.at[times.count++] = at;
  }

  @Override
  public int count(String scan, int security, long after, long until) {
    @Nullable Times[] all = byScan.get(scan);
    Times times = all == null ? null : all[security];
    if (times == null) {
      return 0;
    }
    int found = 0;
    for (int i = times.count - 1; i >= 0 && times.at[i] > after; i--) {
      found += times.at[i] <= until ? 1 : 0;
    }
    return found;
  }
}
