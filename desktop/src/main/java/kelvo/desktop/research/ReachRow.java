package kelvo.desktop.research;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import kelvo.desktop.theme.SmallButton;
import kelvo.research.Reach;
import kelvo.research.ReachFigures;
import kelvo.research.ResearchCase;
import kelvo.research.TimeTo;

/** How soon the cases were so far ahead or behind; each count lists its cases. */
final class ReachRow extends FlowPane {
  private static final Map<TimeTo.First, String> HELP =
      Map.of(
          TimeTo.First.GAIN,
          "Ahead of the entry by so much before they were behind by as much, in their own session;"
              + " the time is the median of all that were ever so far ahead",
          TimeTo.First.LOSS,
          "Behind the entry by so much before they were ahead by as much, in their own session; the"
              + " time is the median of all that were ever so far behind",
          TimeTo.First.TOGETHER,
          "Both within one minute bar, which does not tell which came first",
          TimeTo.First.NEITHER,
          "Neither so far ahead nor so far behind by the end of their session");

  private final ComboBox<String> reach = new ComboBox<>();
  private final Map<TimeTo.First, Button> counts = new EnumMap<>(TimeTo.First.class);
  private final BiConsumer<List<ResearchCase>, String> onPick;
  private List<ReachFigures> figures = List.of();

  /**
   * No counts yet.
   *
   * @param onPick takes the cases of a count, and what they are
   */
  ReachRow(BiConsumer<List<ResearchCase>, String> onPick) {
    super(6, 4);
    this.onPick = onPick;
    setId("reach-row");
    setAlignment(Pos.CENTER_LEFT);
    Label within = new Label("How soon");
    within.getStyleClass().addAll("small", "faded");
    reach.getItems().setAll(Arrays.stream(Reach.values()).map(Reach::words).toList());
    reach.setValue(Reach.FIVE.words());
    reach.setAccessibleText("How far ahead or behind");
    reach.setOnAction(e -> show());
    getChildren().addAll(within, reach);
    for (TimeTo.First first : TimeTo.First.values()) {
      Button count = SmallButton.inTabOrder("", HELP.getOrDefault(first, ""), () -> list(first));
      count.managedProperty().bind(count.visibleProperty());
      counts.put(first, count);
      getChildren().add(count);
    }
    setVisible(false);
    managedProperty().bind(visibleProperty());
  }

  /** By {@link Reach}. */
  void show(List<ReachFigures> all) {
    figures = all;
    setVisible(!all.isEmpty());
    show();
  }

  private void show() {
    if (isVisible()) {
      ReachFigures chosen = chosen();
      counts.forEach(
          (first, count) -> {
            count.setText(chosen.name(first) + ": " + chosen.words(first));
            count.setVisible(!chosen.of(first).isEmpty());
          });
    }
  }

  private ReachFigures chosen() {
    return figures.get(reach.getSelectionModel().getSelectedIndex());
  }

  private void list(TimeTo.First first) {
    onPick.accept(chosen().of(first), chosen().name(first));
  }
}
