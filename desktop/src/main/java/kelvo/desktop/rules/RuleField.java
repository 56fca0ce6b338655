package kelvo.desktop.rules;

import javafx.application.Platform;
import javafx.scene.TraversalDirection;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextFormatter;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;

/** A field for one sentence, which takes more lines, three at most, when it is longer than one. */
final class RuleField extends TextArea {
  private static final double ONE_LINE = 24;
  private static final double MORE_LINE = 18;
  private static final int MOST_MORE = 2;

  /** A line that is broken between words is not filled to its end. */
  private static final double FILLED = 0.85;

  /** What the field's own edges take of its width. */
  private static final double EDGES = 30;

  private static final double TEXT_SIZE = 13;

  RuleField() {
    getStyleClass().add("rule-field");
    setWrapText(true);
    setMinWidth(0);
    setTextFormatter(
        new TextFormatter<>(
            change -> {
              change.setText(change.getText().replaceAll("[\\n\\t]+", " "));
              return change;
            }));
    textProperty().addListener((o, was, is) -> fit());
    // Its height must not change while the width is being laid out.
    widthProperty().addListener((o, was, is) -> Platform.runLater(this::fit));
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    fit();
  }

  private void fit() {
    double room = getWidth() - EDGES;
    double width = TextWidth.of(getText(), Theme.font(TEXT_SIZE));
    int more =
        room <= 0 || width <= room
            ? 0
            : Math.clamp((int) Math.ceil(width / (room * FILLED)) - 1, 1, MOST_MORE);
    double height = ONE_LINE + more * MORE_LINE;
    // As a style of its own, since what is only set is set back whenever styles are applied again.
    setStyle(
        "-fx-min-height: %1$s; -fx-pref-height: %1$s; -fx-max-height: %1$s;".formatted(height));
  }

  /** It is one sentence: Tab leaves it, and Enter adds no line. */
  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.TAB) {
      requestFocusTraversal(
          event.isShiftDown() ? TraversalDirection.PREVIOUS : TraversalDirection.NEXT);
      event.consume();
    } else if (event.getCode() == KeyCode.ENTER) {
      event.consume();
    }
  }
}
