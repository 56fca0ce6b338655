package kelvo.view;

import java.util.List;
import java.util.OptionalInt;
import kelvo.view.CatalystFilter;
import kelvo.scan.Scan;
import kelvo.check.CheckRule;

/**
 * What a window wants to see.
 *
 * @param scan whose matches to list
 * @param focus the symbol in focus; empty for none
 * @param pinned symbols that are shown beside it whatever is in focus
 * @param followed symbols with cards
 * @param news which items to list
 * @param checks what the checks of the symbol in focus ask
 * @param wall whether small charts of the movers are wanted
 * @param worked the place of the rule whose cut curve is wanted; empty while no scan is worked on
 */
public record SnapshotRequest(
    Scan scan,
    String focus,
    List<String> pinned,
    List<String> followed,
    CatalystFilter news,
    OptionalInt worked,
    List<CheckRule> checks,
    boolean wall) {
  /** With nothing pinned, all news and the usual checks, and no scan worked on. */
  public SnapshotRequest(Scan scan, String focus, List<String> followed) {
    this(
        scan,
        focus,
        List.of(),
        followed,
        CatalystFilter.ALL,
        OptionalInt.empty(),
        CheckRule.USUAL,
        false);
  }

  public SnapshotRequest {
    pinned = List.copyOf(pinned);
    followed = List.copyOf(followed);
    checks = List.copyOf(checks);
  }
}
