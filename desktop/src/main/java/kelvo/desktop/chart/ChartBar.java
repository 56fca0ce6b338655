package kelvo.desktop.chart;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Chooses the bars' length and the hours of the intraday chart. */
public final class ChartBar extends HBox {
  /** From here on there is room for what the lines are. */
  private static final double WIDTH_WITH_KEYS = 450;

  private static final int[] MINUTES = {1, 5, 15};

  /** The choices of a focus side. */
  public ChartBar(ChartChoice choice) {
    super(6);
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().addAll("card", "part");
    for (int minutes : MINUTES) {
      ToggleButton button = button(minutes + " min", "Bars of " + minutes + " minutes");
      button.setSelected(choice.minutes().get() == minutes);
      choice.minutes().addListener((o, was, is) -> button.setSelected(is.intValue() == minutes));
      button.setOnAction(
          e -> {
            button.setSelected(true);
            choice.minutes().set(minutes);
          });
      getChildren().add(button);
    }
    ToggleButton extended =
        button("Extended hours", "Draws what was traded before and after the regular session too");
    extended.selectedProperty().bindBidirectional(choice.extended());
    ToggleButton draw =
        button(
            "Draw",
            "A click sets a level, a drag draws a trend line; both alert. The same with Ctrl held");
    draw.selectedProperty().bindBidirectional(choice.drawing());
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    getChildren().addAll(extended, draw, space, key("VWAP", "tone-accent"), key("EMA 9", "faded"));
  }

  /** What a line of the chart is, in its colour. */
  private Label key(String words, String tone) {
    Label label = new Label(words + " —");
    label.getStyleClass().addAll("small", tone);
    label.setMinWidth(0);
    label.visibleProperty().bind(widthProperty().greaterThan(WIDTH_WITH_KEYS));
    return label;
  }

  private static ToggleButton button(String words, String help) {
    ToggleButton button = new ToggleButton(words);
    button.getStyleClass().setAll("toggle-button", "small-button");
    button.setMinWidth(USE_PREF_SIZE);
    button.setFocusTraversable(false);
    button.setTooltip(new Tooltip(help));
    return button;
  }
}
