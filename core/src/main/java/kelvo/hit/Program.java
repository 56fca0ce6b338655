package kelvo.hit;

import java.util.List;
import kelvo.level.Level;
import kelvo.scan.Scan;

/**
 * What the engine looks for.
 *
 * @param scans at most {@link kelvo.hit.ScanBoard#MAX}
 * @param levels in the order in which they were set
 * @param alerts what the trader's alerts wait for, any number
 */
public record Program(List<Scan> scans, List<Level> levels, List<Scan> alerts) {
  public Program {
    scans = List.copyOf(scans);
    levels = List.copyOf(levels);
    alerts = List.copyOf(alerts);
  }

  /** Scans and levels alone. */
  public Program(List<Scan> scans, List<Level> levels) {
    this(scans, levels, List.of());
  }
}
