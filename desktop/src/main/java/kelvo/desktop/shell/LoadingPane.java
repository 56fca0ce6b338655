package kelvo.desktop.shell;

import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.VBox;
import kelvo.job.Progress;

/** What the window shows while a day is read: how far it is, and a way to stop it. */
final class LoadingPane extends VBox implements Progress {
  private final Label text = new Label("Reading the day");
  private final ProgressBar bar = new ProgressBar(0);
  private final AtomicBoolean cancelled = new AtomicBoolean();

  LoadingPane() {
    super(12);
    setAlignment(Pos.CENTER);
    text.setWrapText(true);
    text.setMaxWidth(560);
    bar.setPrefWidth(320);
    Button cancel = new Button("Cancel");
    cancel.setOnAction(e -> cancelled.set(true));
    getChildren().addAll(text, bar, cancel);
  }

  @Override
  public void done(double part) {
    if (cancelled.get()) {
      throw new CancellationException("cancelled");
    }
    Platform.runLater(() -> bar.setProgress(part));
  }

  void fail(String message) {
    text.setText("The day could not be opened. " + message);
    bar.setProgress(0);
  }
}
