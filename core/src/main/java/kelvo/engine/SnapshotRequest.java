package kelvo.engine;

import java.util.List;
import kelvo.scan.Scan;

/**
 * What a window wants to see.
 *
 * @param scan whose matches to list
 * @param focus the symbol in focus; empty for none
 * @param followed symbols with cards
 */
public record SnapshotRequest(Scan scan, String focus, List<String> followed) {
  public SnapshotRequest {
    followed = List.copyOf(followed);
  }
}
