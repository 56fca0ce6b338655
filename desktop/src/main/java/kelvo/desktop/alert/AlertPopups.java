package kelvo.desktop.alert;

import java.util.List;
import java.util.function.LongPredicate;
import javafx.animation.PauseTransition;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import javafx.stage.Window;
import javafx.util.Duration;
import kelvo.desktop.theme.SmallButton;
import org.jspecify.annotations.Nullable;

/**
 * The alerts that have just popped up, at most three, the newest on top, at the lower left of a
 * window, where they cover neither the chart nor the checks. They never take the keyboard, go after
 * some seconds, and stay while they are pointed at, unless the day stands where they are still to
 * come or past.
 */
final class AlertPopups {
  private static final int MOST = 3;
  private static final double WIDTH = 270;
  private static final double LEFT = 72;
  private static final double ABOVE_BOTTOM = 40;

  private final VBox stack = new VBox(6);
  private final Popup popup = new Popup();

  AlertPopups() {
    popup.getContent().add(stack);
    popup.setAutoFix(true);
    popup.setConsumeAutoHidingEvents(false);
  }

  /**
   * Shows an alert.
   *
   * @param seconds how long it stays
   * @param stands at which moments of the day it may stand there; see {@link #at}
   * @param clicked when it is clicked
   * @param snoozed when it is to be silent for a while; null when there is nothing to silence
   */
  void show(
      Window owner,
      double seconds,
      String title,
      String text,
      LongPredicate stands,
      Runnable clicked,
      @Nullable Runnable snoozed) {
    stack.getStylesheets().setAll(owner.getScene().getStylesheets());
    Box box = new Box(title, text, stands);
    PauseTransition wait = new PauseTransition(Duration.seconds(seconds));
    wait.setOnFinished(e -> remove(box));
    box.setOnMouseClicked(
        e -> {
          clicked.run();
          remove(box);
        });
    box.setOnMouseEntered(e -> wait.stop());
    box.setOnMouseExited(e -> wait.playFromStart());
    if (snoozed != null) {
      HBox line =
          new HBox(
              SmallButton.of(
                  "Silent for 10 min",
                  "",
                  () -> {
                    snoozed.run();
                    remove(box);
                  }));
      box.getChildren().add(line);
    }
    stack.getChildren().addFirst(box);
    while (stack.getChildren().size() > MOST) {
      stack.getChildren().removeLast();
    }
    place(owner);
    wait.play();
  }

  /** The day stands at a moment: what does not stand there any more goes. */
  void at(long now) {
    for (Node node : List.copyOf(stack.getChildren())) {
      if (node instanceof Box box && !box.stands.test(now)) {
        remove(box);
      }
    }
  }

  /** One alert. */
  private static final class Box extends VBox {
    private final LongPredicate stands;

    Box(String title, String text, LongPredicate stands) {
      super(2);
      this.stands = stands;
      Label head = new Label(title);
      head.getStyleClass().add("strong");
      head.setWrapText(true);
      Label body = new Label(text);
      body.getStyleClass().add("small");
      getChildren().addAll(head, body);
      getStyleClass().add("popup-alert");
      setPrefWidth(WIDTH);
      VBox.setVgrow(this, Priority.NEVER);
    }
  }

  private void remove(VBox box) {
    stack.getChildren().remove(box);
    if (stack.getChildren().isEmpty()) {
      popup.hide();
    }
  }

  /** They grow upward from the lower edge. */
  private void place(Window owner) {
    if (!popup.isShowing()) {
      popup.show(owner, owner.getX() + LEFT, owner.getY());
    }
    stack.applyCss();
    double height = stack.prefHeight(WIDTH);
    popup.setX(owner.getX() + LEFT);
    popup.setY(owner.getY() + owner.getHeight() - height - ABOVE_BOTTOM);
  }

  /** How many stand there. */
  int shown() {
    return stack.getChildren().size();
  }
}
