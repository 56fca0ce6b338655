package kelvo.desktop.chart;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** Chooses the bars' length and the hours of the intraday chart. */
public final class ChartBar extends HBox {
  private static final int[] MINUTES = {1, 5, 15};
  private static final String HELP =
      "wheel zooms, drag moves, Shift-drag measures, double click resets";

  /** The choices of a focus side. */
  public ChartBar(ChartChoice choice) {
    super(4);
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().addAll("card", "chart-bar");
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
    Label help = new Label(HELP);
    help.setTooltip(new Tooltip(HELP));
    help.getStyleClass().addAll("small", "faded");
    help.setMinWidth(0);
    help.setPrefWidth(60);
    help.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(help, Priority.ALWAYS);
    getChildren().addAll(extended, draw, help);
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
