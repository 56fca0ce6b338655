package kelvo.state;

/** How often scans have hit securities, as far as a market has been played. */
@FunctionalInterface
public interface HitCounts {
  /** The hits of a scan on a security in (after, until], {@link kelvo.time.DayTime}. */
  int count(String scan, int security, long after, long until);
}
