package kelvo.desktop.research;

import java.util.List;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import kelvo.desktop.theme.SmallButton;
import kelvo.research.AnswersBeside;
import kelvo.research.ResearchCase;
import org.jspecify.annotations.Nullable;

/** How the answer stands to that of a kept question; each count lists its cases. */
final class BesideRow extends FlowPane {
  private final Label words = new Label();
  private final Button both =
      SmallButton.inTabOrder("", "Cases of both questions", () -> list(Which.BOTH));
  private final Button here =
      SmallButton.inTabOrder("", "Cases of this question alone", () -> list(Which.HERE));
  private final Button there =
      SmallButton.inTabOrder("", "Cases of the kept question alone", () -> list(Which.THERE));
  private final BiConsumer<List<ResearchCase>, String> onPick;
  private String name = "";
  private @Nullable AnswersBeside shown;

  private enum Which {
    BOTH,
    HERE,
    THERE
  }

  /**
   * Nothing is held against the answer.
   *
   * @param onPick takes the cases of a count, and what they are
   */
  BesideRow(BiConsumer<List<ResearchCase>, String> onPick) {
    super(6, 4);
    this.onPick = onPick;
    setId("beside-row");
    setAlignment(Pos.CENTER_LEFT);
    words.setId("beside-words");
    words.getStyleClass().add("small");
    for (Button button : List.of(both, here, there)) {
      button.managedProperty().bind(button.visibleProperty());
    }
    getChildren().addAll(words, both, here, there);
    managedProperty().bind(visibleProperty());
    tell("");
  }

  /** Says something in place of an answer; nothing hides it. */
  void tell(String text) {
    shown = null;
    words.setText(text);
    List.of(both, here, there).forEach(button -> button.setVisible(false));
    setVisible(!text.isEmpty());
  }

  /** Shows how it stands to the kept question of a name. */
  void show(String kept, AnswersBeside beside) {
    tell("Beside \"" + kept + "\": " + beside.words());
    name = kept;
    shown = beside;
    both.setText("in both: " + beside.both().size());
    here.setText("only here: " + beside.onlyFirst().size());
    there.setText("only there: " + beside.onlySecond().size());
    List.of(both, here, there).forEach(button -> button.setVisible(true));
  }

  private void list(Which which) {
    AnswersBeside beside = shown;
    if (beside != null) {
      switch (which) {
        case BOTH -> onPick.accept(beside.both(), "in \"" + name + "\" too");
        case HERE -> onPick.accept(beside.onlyFirst(), "not in \"" + name + "\"");
        case THERE -> onPick.accept(beside.onlySecond(), "in \"" + name + "\" only");
      }
    }
  }
}
