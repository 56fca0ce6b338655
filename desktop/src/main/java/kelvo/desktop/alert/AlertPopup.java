package kelvo.desktop.alert;

import javafx.animation.PauseTransition;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import javafx.stage.Window;
import javafx.util.Duration;
import kelvo.alert.AlertEvent;
import kelvo.alert.Ring;
import kelvo.session.KnownEvent;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * Shows an alert at the lower left of a window for some seconds, where it covers neither the chart
 * nor the checks; a click puts its symbol in focus.
 */
final class AlertPopup {
  private static final double WIDTH = 250;
  private static final double LEFT = 72;
  private static final double ABOVE_BOTTOM = 110;

  private AlertPopup() {}

  /** Shows what rings over a window. */
  static void show(Window owner, double seconds, Ring ring, Runnable clicked) {
    AlertEvent event = ring.event();
    show(
        owner,
        seconds,
        event.symbol() + "  " + event.words() + (ring.isFirst() ? ", first today" : ""),
        DayTime.seconds(event.at())
            + (event.price() == Price.NONE ? "" : "  at " + Price.text(event.price()))
            + "  "
            + event.source(),
        clicked);
  }

  /** Shows a known event that is about to come. */
  static void show(Window owner, double seconds, KnownEvent event) {
    show(owner, seconds, event.title(), "at " + DayTime.minutes(event.at()), () -> {});
  }

  private static void show(
      Window owner, double seconds, String title, String text, Runnable clicked) {
    Label head = new Label(title);
    head.getStyleClass().add("strong");
    Label body = new Label(text);
    body.getStyleClass().add("small");
    VBox box = new VBox(2, head, body);
    box.getStyleClass().add("popup-alert");
    box.setPrefWidth(WIDTH);
    box.getStylesheets().addAll(owner.getScene().getStylesheets());
    Popup popup = new Popup();
    popup.getContent().add(box);
    popup.setAutoFix(true);
    box.setOnMouseClicked(
        e -> {
          clicked.run();
          popup.hide();
        });
    popup.show(owner, owner.getX() + LEFT, owner.getY() + owner.getHeight() - ABOVE_BOTTOM);
    PauseTransition wait = new PauseTransition(Duration.seconds(seconds));
    wait.setOnFinished(e -> popup.hide());
    wait.play();
  }
}
