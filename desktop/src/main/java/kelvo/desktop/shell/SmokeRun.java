package kelvo.desktop.shell;

import javafx.animation.AnimationTimer;
import kelvo.data.timing.Timeline;
import kelvo.desktop.morning.MorningStage;
import kelvo.desktop.workspace.Workspace;

/**
 * Proves in a real window that the demo works: waits until the triage table has 30 rows, however
 * many of them the screen has room for, and the chart of the symbol in focus is drawn, says so and
 * exits; after a minute without that it fails.
 */
final class SmokeRun extends AnimationTimer {
  private static final int ROWS_WANTED = 30;
  private static final long TIMEOUT_NANOS = 60_000_000_000L;

  private final Workspace workspace;
  private final MainWindow window;
  private final Timeline timeline;
  private final long begun = System.nanoTime();

  SmokeRun(Workspace workspace, MainWindow window, Timeline timeline) {
    this.workspace = workspace;
    this.window = window;
    this.timeline = timeline;
  }

  @Override
  public void handle(long now) {
    int rows = window.shown() instanceof MorningStage morning ? morning.rows() : 0;
    if (rows > 0
        && workspace.focus().symbol().get().isEmpty()
        && window.shown() instanceof MorningStage m) {
      m.focusOnFirst();
    }
    boolean drawn = rows >= ROWS_WANTED && window.minuteBarsDrawn() > 0;
    if (drawn || System.nanoTime() - begun > TIMEOUT_NANOS) {
      stop();
      timeline.done("playing to the moment and drawing");
      System.out.println(
          "window: "
              + rows
              + " triage rows, "
              + window.minuteBarsDrawn()
              + " minute bars drawn for "
              + workspace.focus().symbol().get());
      KelvoWindow.exit(drawn ? 0 : 1);
    }
  }
}
