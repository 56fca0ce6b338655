package kelvo.desktop.rules;

import javafx.application.Platform;
import javafx.scene.TraversalDirection;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextFormatter;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;

/** A field for one sentence, which takes a second line when the sentence is longer than one. */
final class RuleField extends TextArea {
  private static final double ONE_LINE = 24;
  private static final double TWO_LINES = 42;

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
    boolean isLong = room > 0 && TextWidth.of(getText(), Theme.font(TEXT_SIZE)) > room;
    double height = isLong ? TWO_LINES : ONE_LINE;
    setMinHeight(height);
    setPrefHeight(height);
    setMaxHeight(height);
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
