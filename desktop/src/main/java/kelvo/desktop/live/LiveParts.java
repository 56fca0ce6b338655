package kelvo.desktop.live;

import java.util.List;
import java.util.function.Function;
import kelvo.desktop.workspace.MarketPart;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.Workspace;

/** What stands on the Live stage, for windows of its own. */
public final class LiveParts {
  /** Watchlists. */
  public static final PartKind WATCH =
      part(
          "WATCH",
          "Watchlist",
          workspace -> {
            WatchPanel panel = new WatchPanel(workspace);
            return new MarketPart(panel, panel::seen);
          });

  /** The stream of hits. */
  public static final PartKind STREAM =
      part(
          "STREAM",
          "Stream",
          workspace -> {
            StreamPanel panel = new StreamPanel(workspace);
            return new MarketPart(panel, panel::seen);
          });

  /** Halts. */
  public static final PartKind HALTS =
      part(
          "HALTS",
          "Halts",
          workspace -> {
            HaltPanel panel = new HaltPanel(workspace);
            return new MarketPart(panel, panel::seen);
          });

  /** What rang, and the alerts. */
  public static final PartKind ALERTS =
      part(
          "ALERTS",
          "Alerts",
          workspace -> {
            RangPanel panel = new RangPanel(workspace);
            return new MarketPart(panel, panel::seen);
          });

  /** All of them. */
  public static final List<PartKind> ALL = List.of(WATCH, STREAM, HALTS, ALERTS);

  private LiveParts() {}

  private static PartKind part(String id, String title, Function<Workspace, MarketPart> maker) {
    return new PartKind(id, title, false, (workspace, choice) -> maker.apply(workspace));
  }
}
