package kelvo.hit;

import java.util.List;
import kelvo.level.Level;
import kelvo.scan.Scan;

/**
 * What the engine looks for.
 *
 * @param scans at most {@link kelvo.hit.ScanBoard#MAX}
 * @param levels in the order in which they were set
 */
public record Program(List<Scan> scans, List<Level> levels) {
  public Program {
    scans = List.copyOf(scans);
    levels = List.copyOf(levels);
  }
}
