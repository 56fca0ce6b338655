package kelvo.desktop.review;

import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.LatestAnswer;
import kelvo.job.Progress;

/**
 * Plays the session for a question behind the window, says how far it is and lets it be stopped. A
 * newer question takes the place of the one that runs. Only for the window's thread.
 */
final class Playing extends HBox {
  private static final int PER_CENT = 100;

  private final LatestAnswer answers;
  private final Label part = new Label();
  private final Button stop;

  /**
   * Nothing plays.
   *
   * @param what names the question in troubles
   */
  Playing(Workspace workspace, String what) {
    super(6);
    answers = workspace.answers().slow(what, this::over);
    stop = SmallButton.of("Stop", "", this::stop);
    part.getStyleClass().addAll("small", "faded");
    part.setMinWidth(USE_PREF_SIZE);
    setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(part, stop);
    over();
  }

  <T> void ask(LatestAnswer.Question<T> question, Consumer<T> answer) {
    tell(0);
    stop.setVisible(true);
    answers.askInstead(
        progress -> question.answer(told(progress)),
        found -> {
          over();
          answer.accept(found);
        });
  }

  /** Tells the window whenever another per cent is done. */
  private Progress told(Progress stopping) {
    int[] last = {0};
    return done -> {
      stopping.done(done);
      int now = (int) (PER_CENT * done);
      if (now != last[0]) {
        last[0] = now;
        Platform.runLater(() -> tell(now));
      }
    };
  }

  private void tell(int perCent) {
    if (answers.isBusy() || perCent == 0) {
      part.setText("playing, " + perCent + "%");
    }
  }

  /** Stops what plays; no answer comes. */
  void stop() {
    answers.stop();
    over();
  }

  private void over() {
    part.setText("");
    stop.setVisible(false);
  }
}
