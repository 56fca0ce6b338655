package kelvo.desktop.shell;

import javafx.animation.AnimationTimer;
import kelvo.view.MarketSnapshot;

/**
 * Proves in a real window that the demo works: waits until 30 triage rows are seen and the chart of
 * the symbol in focus is drawn, says so and exits; after a minute without that it fails.
 */
final class SmokeRun extends AnimationTimer {
  private static final int ROWS_WANTED = 30;
  private static final long PATIENCE_NANOS = 60_000_000_000L;

  private final Workspace workspace;
  private final MainWindow window;
  private final long begun = System.nanoTime();

  SmokeRun(Workspace workspace, MainWindow window) {
    this.workspace = workspace;
    this.window = window;
  }

  @Override
  public void handle(long now) {
    MarketSnapshot shown = workspace.snapshot().get();
    if (shown != null && workspace.focus().get().isEmpty() && !shown.gaps().isEmpty()) {
      workspace.focusOn(
          shown.gaps().stream()
              .max(java.util.Comparator.comparingDouble(MarketSnapshot.Gap::dollarVolume))
              .orElseThrow()
              .symbol());
    }
    boolean drawn = window.triageRowsSeen() >= ROWS_WANTED && window.minuteBarsDrawn() > 0;
    if (drawn || System.nanoTime() - begun > PATIENCE_NANOS) {
      stop();
      System.out.println(
          "window: "
              + window.triageRowsSeen()
              + " triage rows seen, "
              + window.minuteBarsDrawn()
              + " minute bars drawn for "
              + workspace.focus().get());
      KelvoWindow.exit(drawn ? 0 : 1);
    }
  }
}
