package kelvo.desktop.rules;

import java.util.function.Consumer;
import java.util.function.IntConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.rule.Rule;
import kelvo.time.Phases;
import org.jspecify.annotations.Nullable;

/**
 * A small day rail under a rule's curve: the bound that holds in each phase. A click gives a phase
 * a bound of its own, or takes the one that it has to be dragged; a click with the other button
 * takes it away.
 */
final class PhaseBounds extends HBox {
  private static final double OWN_WIDTH = 38;
  private static final double REST_WIDTH = 10;

  private final Phases phases;
  private final Consumer<Rule> changed;
  private final IntConsumer chosen;
  private @Nullable Rule shownRule;
  private int shownDragged;

  /**
   * A rail.
   *
   * @param changed takes the rule with a bound more or less
   * @param chosen takes the place of the bound that is to be dragged
   */
  PhaseBounds(Phases phases, Consumer<Rule> changed, IntConsumer chosen) {
    super(1);
    this.phases = phases;
    this.changed = changed;
    this.chosen = chosen;
  }

  /** Shows a rule's schedule; {@code dragged} is the place of the bound that is dragged. */
  void show(Rule rule, int dragged) {
    if (rule.equals(shownRule) && dragged == shownDragged) {
      return;
    }
    shownRule = rule;
    shownDragged = dragged;
    getChildren().clear();
    for (int phase = 0; phase < phases.all().size(); phase++) {
      getChildren().add(cell(rule, phase, dragged));
    }
  }

  private Button cell(Rule rule, int phase, int dragged) {
    String name = phases.all().get(phase).name();
    int step = rule.stepIn(phase, phases);
    boolean own = step >= 0 && rule.steps().get(step).phase().equals(name);
    String bound = step < 0 ? "asks nothing" : rule.steps().get(step).bound().words();
    Button cell = new Button(own ? bound : step < 0 ? "–" : "·");
    cell.getStyleClass().setAll("button", "phase-cell");
    if (step == dragged) {
      cell.getStyleClass().add("chosen");
    }
    cell.setFocusTraversable(false);
    cell.setMaxWidth(Double.MAX_VALUE);
    cell.setMinWidth(0);
    cell.setPrefWidth(own ? OWN_WIDTH : REST_WIDTH);
    HBox.setHgrow(cell, Priority.ALWAYS);
    cell.setTooltip(
        new Tooltip(
            name
                + ": "
                + bound
                + (own ? "" : ". Click for a bound of its own from " + name + " on.")));
    cell.setAccessibleText(name + " " + bound);
    cell.setOnMouseClicked(
        e -> {
          if (e.getButton() == MouseButton.SECONDARY) {
            changed.accept(rule.withoutStepFrom(phase, phases));
          } else if (own) {
            chosen.accept(step);
          } else {
            Rule scheduled = rule.withStepFrom(phase, phases);
            changed.accept(scheduled);
            chosen.accept(scheduled.stepIn(phase, phases));
          }
        });
    return cell;
  }
}
