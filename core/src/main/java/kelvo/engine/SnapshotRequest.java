package kelvo.engine;

import java.util.List;
import kelvo.scan.CatalystFilter;
import kelvo.scan.Scan;

/**
 * What a window wants to see.
 *
 * @param scan whose matches to list
 * @param focus the symbol in focus; empty for none
 * @param followed symbols with cards
 * @param news which items to list
 */
public record SnapshotRequest(Scan scan, String focus, List<String> followed, CatalystFilter news) {
  /** With all news. */
  public SnapshotRequest(Scan scan, String focus, List<String> followed) {
    this(scan, focus, followed, CatalystFilter.ALL);
  }

  public SnapshotRequest {
    followed = List.copyOf(followed);
  }
}
