package kelvo.desktop.shell;

import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import kelvo.job.Progress;

/**
 * What the window shows while a day is read or saved: what it is, the step, how far it is and a way
 * to stop it; and when saving fails, why, and what can be done instead.
 */
final class LoadingPane extends VBox implements Progress {
  private static final double WIDTH = 560;

  private final Label text = new Label();
  private final Label step = new Label(" ");
  private final ProgressBar bar = new ProgressBar(0);
  private final HBox choices = new HBox(8);
  private final AtomicBoolean cancelled = new AtomicBoolean();

  private LoadingPane(String words) {
    super(12);
    setAlignment(Pos.CENTER);
    Label name = new Label("Kelvo");
    name.getStyleClass().add("symbol");
    text.setText(words);
    text.setWrapText(true);
    text.setMaxWidth(WIDTH);
    text.setAlignment(Pos.CENTER);
    text.setTextAlignment(TextAlignment.CENTER);
    step.getStyleClass().addAll("faded", "small");
    bar.setPrefWidth(320);
    choices.setAlignment(Pos.CENTER);
    getChildren().addAll(name, text, bar, step, choices);
  }

  /** Something is being read, which can be cancelled. */
  static LoadingPane reading(String what) {
    LoadingPane pane = new LoadingPane("Reading " + what);
    pane.choice("Cancel", () -> pane.cancelled.set(true));
    return pane;
  }

  /** The day is being saved, which is only waited for. */
  static LoadingPane saving() {
    LoadingPane pane = new LoadingPane("Saving the day");
    pane.bar.setProgress(ProgressBar.INDETERMINATE_PROGRESS);
    return pane;
  }

  @Override
  public void done(double part) {
    if (cancelled.get()) {
      throw new CancellationException("cancelled");
    }
    Platform.runLater(() -> bar.setProgress(part));
  }

  @Override
  public void step(String words) {
    Platform.runLater(() -> step.setText(words));
  }

  /** Says what went wrong; nothing but the choices that follow can be done now. */
  void fail(String message) {
    text.setText(message);
    bar.setVisible(false);
    step.setText(" ");
    choices.getChildren().clear();
  }

  /** Offers something to do. */
  void choice(String words, Runnable action) {
    Button button = new Button(words);
    button.setOnAction(e -> action.run());
    choices.getChildren().add(button);
  }
}
