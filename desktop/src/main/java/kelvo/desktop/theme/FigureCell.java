package kelvo.desktop.theme;

import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * A figure with what it is called above it and what it is made of below, one of several in a row.
 */
public final class FigureCell extends VBox {
  private static final double WIDTH = 90;
  private static final String TONE = "tone-";

  private final Label label = new Label();
  private final Label value = new Label();
  private final Label detail = new Label();
  private final Tooltip help = new Tooltip();

  /** An empty one. */
  public FigureCell() {
    label.getStyleClass().addAll("tiny", "faded");
    value.getStyleClass().add("clock");
    detail.getStyleClass().addAll("tiny", "faded");
    getChildren().addAll(label, value, detail);
    setMinWidth(0);
    setPrefWidth(WIDTH);
    HBox.setHgrow(this, Priority.ALWAYS);
    Tooltip.install(this, help);
  }

  /**
   * Shows a figure.
   *
   * @param meaning what stands in the tooltip; empty for none
   */
  public void tell(String name, String figure, String madeOf, String meaning) {
    label.setText(name);
    value.setText(figure);
    detail.setText(madeOf);
    help.setText(meaning.isEmpty() ? "" : name + ": " + madeOf + "\n" + meaning);
  }

  /** Colours the figure. */
  public void tone(Tone tone) {
    value.getStyleClass().removeIf(style -> style.startsWith(TONE));
    value.getStyleClass().add(TONE + tone.token());
  }

  /** The figure itself, for what is offered on it. */
  public Label figure() {
    return value;
  }
}
