package kelvo.desktop.alert;

import javafx.animation.PauseTransition;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import javafx.stage.Window;
import javafx.util.Duration;
import kelvo.hit.Hit;
import kelvo.session.KnownEvent;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * Shows an alert at the window's lower right corner for some seconds; a click puts its symbol in
 * focus.
 */
public final class AlertPopup {
  private static final Duration SHOWN_FOR = Duration.seconds(6);
  private static final double WIDTH = 250;

  private AlertPopup() {}

  /** Shows a hit over a window. */
  public static void show(Window owner, Hit hit, Runnable clicked) {
    show(
        owner,
        hit.symbol() + "  " + hit.trigger().words(),
        DayTime.seconds(hit.at()) + "  at " + Price.text(hit.price()) + "  " + hit.scan(),
        clicked);
  }

  /** Shows a known event that is about to come. */
  public static void show(Window owner, KnownEvent event) {
    show(owner, event.title(), "at " + DayTime.minutes(event.at()), () -> {});
  }

  private static void show(Window owner, String title, String text, Runnable clicked) {
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
    popup.show(
        owner,
        owner.getX() + owner.getWidth() - WIDTH - 24,
        owner.getY() + owner.getHeight() - 110);
    PauseTransition wait = new PauseTransition(SHOWN_FOR);
    wait.setOnFinished(e -> popup.hide());
    wait.play();
  }
}
