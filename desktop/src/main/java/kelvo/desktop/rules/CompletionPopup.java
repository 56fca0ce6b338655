package kelvo.desktop.rules;

import java.util.List;
import java.util.function.Function;
import javafx.geometry.Bounds;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Popup;
import kelvo.rule.RuleCompletion.Proposal;

/**
 * Proposes how to go on under a field in which a rule is typed. Tab takes the first proposal, the
 * arrows and Enter another, Escape closes.
 */
public final class CompletionPopup {
  private static final double ROW = 24;
  private static final double WIDTH = 300;

  private final TextInputControl field;
  private final Function<String, List<Proposal>> completion;
  private final Popup popup = new Popup();
  private final ListView<Proposal> list = new ListView<>();
  private boolean taking;

  /**
   * Proposals under a field.
   *
   * @param completion finds the ways to go on from a text
   */
  public CompletionPopup(TextInputControl field, Function<String, List<Proposal>> completion) {
    this.field = field;
    this.completion = completion;
    list.setCellFactory(view -> new Cell());
    list.setFocusTraversable(false);
    list.setPrefWidth(WIDTH);
    list.setFixedCellSize(ROW);
    list.getStyleClass().add("proposals");
    list.setOnMouseClicked(e -> take());
    popup.getContent().add(list);
    popup.setAutoHide(true);
    field.textProperty().addListener((o, was, is) -> propose());
    field.focusedProperty().addListener((o, was, is) -> popup.hide());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  private static final class Cell extends ListCell<Proposal> {
    @Override
    protected void updateItem(Proposal item, boolean empty) {
      super.updateItem(item, empty);
      setText(empty || item == null ? "" : item.sentence());
      boolean told = !empty && item != null && !item.meaning().isEmpty();
      setTooltip(told ? new Tooltip(item.meaning()) : null);
    }
  }

  private void propose() {
    if (taking || !field.isFocused() || field.getScene() == null) {
      return;
    }
    List<Proposal> proposals = completion.apply(field.getText());
    list.getItems().setAll(proposals);
    if (proposals.isEmpty()) {
      popup.hide();
      return;
    }
    list.setPrefHeight(proposals.size() * ROW + 4);
    Bounds place = field.localToScreen(field.getBoundsInLocal());
    if (place != null && !popup.isShowing()) {
      popup.show(field, place.getMinX(), place.getMaxY());
    }
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.DOWN && !popup.isShowing()) {
      propose();
      event.consume();
      return;
    }
    if (!popup.isShowing()) {
      return;
    }
    boolean used = true;
    switch (event.getCode()) {
      case DOWN -> list.getSelectionModel().selectNext();
      case UP -> list.getSelectionModel().selectPrevious();
      case ESCAPE -> popup.hide();
      case TAB -> take();
      case ENTER -> {
        used = list.getSelectionModel().getSelectedItem() != null;
        if (used) {
          take();
        }
      }
      default -> used = false;
    }
    if (used) {
      event.consume();
    }
  }

  private void take() {
    Proposal chosen = list.getSelectionModel().getSelectedItem();
    Proposal taken = chosen == null ? list.getItems().getFirst() : chosen;
    taking = true;
    field.setText(taken.sentence());
    field.positionCaret(taken.sentence().length());
    taking = false;
    popup.hide();
    propose();
  }
}
