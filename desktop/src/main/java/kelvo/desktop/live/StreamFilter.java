package kelvo.desktop.live;

import java.util.Set;
import java.util.function.Predicate;
import kelvo.hit.Hit;
import kelvo.scan.Side;
import kelvo.trigger.Trigger;
import kelvo.view.StreamView.Streamed;
import org.jspecify.annotations.Nullable;

/**
 * Which rows of the stream are shown.
 *
 * @param symbols only these; null for everyone
 * @param side which way the newest hit looks; {@link Side#BOTH} for either
 * @param scan the name of the scan whose hits are shown; empty for any
 * @param kind what the newest hit is
 */
record StreamFilter(@Nullable Set<String> symbols, Side side, String scan, Kind kind)
    implements Predicate<Streamed> {
  /** Everything. */
  static final StreamFilter ALL = new StreamFilter(null, Side.BOTH, "", Kind.ANY);

  /** What a hit may be. */
  enum Kind {
    ANY("any kind"),
    SCANS("scans"),
    LEVELS("levels"),
    HALTS("halts"),
    NEWS("news");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** It on screen. */
    String words() {
      return words;
    }

    private boolean holds(Hit hit) {
      Trigger trigger = hit.trigger();
      boolean isHalt = trigger.equals(Trigger.HALT) || trigger.equals(Trigger.RESUME);
      boolean isNews = trigger.words().startsWith("news");
      return switch (this) {
        case ANY -> true;
        case LEVELS -> hit.version().isEmpty();
        case HALTS -> isHalt;
        case NEWS -> isNews;
        case SCANS -> !hit.version().isEmpty() && !isHalt && !isNews;
      };
    }
  }

  @Override
  public boolean test(Streamed row) {
    Hit newest = row.hits().newest();
    return (symbols == null || symbols.contains(row.now().symbol()))
        && (side == Side.BOTH || newest.side() == side)
        && (scan.isEmpty() || newest.scan().equals(scan))
        && kind.holds(newest);
  }

  /** Of these symbols alone. */
  StreamFilter of(@Nullable Set<String> only) {
    return new StreamFilter(only, side, scan, kind);
  }

  /** Of hits that look this way. */
  StreamFilter looking(Side way) {
    return new StreamFilter(symbols, way, scan, kind);
  }

  /** Of one scan. */
  StreamFilter ofScan(String name) {
    return new StreamFilter(symbols, side, name, kind);
  }

  /** Of one kind. */
  StreamFilter ofKind(Kind one) {
    return new StreamFilter(symbols, side, scan, one);
  }

  /** How many of side, scan and kind leave rows out. */
  int narrows() {
    return (side == Side.BOTH ? 0 : 1) + (scan.isEmpty() ? 0 : 1) + (kind == Kind.ANY ? 0 : 1);
  }
}
