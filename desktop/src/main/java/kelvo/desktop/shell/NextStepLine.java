package kelvo.desktop.shell;

import java.util.HashSet;
import java.util.Set;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.Workspace;
import kelvo.setting.SettingCatalogue;

/**
 * One line that says what to do next on a stage, until it is sent away there. Switching the setting
 * off and on brings all of them back.
 */
final class NextStepLine extends HBox {
  private final Workspace workspace;
  private final Label words = new Label();
  private final Set<String> sentAway = new HashSet<>();
  private String stage = "";

  NextStepLine(Workspace workspace) {
    super(8);
    this.workspace = workspace;
    setId("next-step");
    getStyleClass().addAll("part", "divided", "next-step");
    setAlignment(Pos.CENTER_LEFT);
    words.getStyleClass().add("small");
    words.setMinWidth(0);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    Button away =
        SmallButton.of(
            "×", "Not on this stage any more (Settings brings it back)", () -> sendAway());
    getChildren().addAll(words, away);
    words.textProperty().addListener((o, was, is) -> show());
    workspace
        .settings()
        .onOff(SettingCatalogue.NEXT_STEPS)
        .addListener(
            (o, was, is) -> {
              if (!is) {
                sentAway.clear();
              }
              show();
            });
    show();
  }

  /** Says the next step of a stage from now on. */
  void of(DayStage shown) {
    stage = shown.kind().title();
    ObservableValue<String> next = shown.nextStep();
    words.textProperty().bind(next);
    show();
  }

  private void sendAway() {
    sentAway.add(stage);
    show();
  }

  private void show() {
    boolean wanted =
        workspace.settings().now().isOn(SettingCatalogue.NEXT_STEPS)
            && !sentAway.contains(stage)
            && !words.getText().isEmpty();
    setVisible(wanted);
    setManaged(wanted);
  }

  /** The stages on which it was sent away, by their titles. */
  Set<String> sentAway() {
    return Set.copyOf(sentAway);
  }

  /** Sends it away as it was the last time. */
  void sendAwayOn(Set<String> stages) {
    sentAway.addAll(stages);
    show();
  }
}
