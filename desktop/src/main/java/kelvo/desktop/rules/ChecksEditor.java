package kelvo.desktop.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kelvo.check.CheckRule;
import kelvo.desktop.theme.SmallButton;
import kelvo.refusal.RefusedException;
import kelvo.rule.ListCompletion;
import kelvo.rule.RuleCompletion;
import kelvo.rule.Vocabulary;

/** The checks of the morning, a line each: what passes, and what fails; all else warns. */
public final class ChecksEditor extends BorderPane {
  private final Vocabulary vocabulary;
  private final RuleCompletion completion;
  private final Consumer<List<CheckRule>> changed;
  private final VBox lines = new VBox(1);
  private final Label wrong = new Label();

  private final class Line extends HBox {
    private final TextField name = new TextField();
    private final TextField pass = new TextField();
    private final TextField fail = new TextField();

    Line(String named, String passes, String fails) {
      super(4);
      name.setText(named);
      pass.setText(passes);
      fail.setText(fails);
      name.setPrefWidth(116);
      name.setMinWidth(90);
      name.setPromptText("name");
      pass.setPromptText("passes when");
      fail.setPromptText("fails when; else it warns");
      name.setAccessibleText("Name of the check");
      pass.setAccessibleText("Passes when");
      fail.setAccessibleText("Fails when");
      HBox.setHgrow(pass, Priority.ALWAYS);
      HBox.setHgrow(fail, Priority.ALWAYS);
      for (TextField rule : List.of(pass, fail)) {
        new CompletionPopup(
            rule, typed -> ListCompletion.after(typed, ListCompletion.OR, completion::after));
      }
      for (TextField field : List.of(name, pass, fail)) {
        field.textProperty().addListener((o, was, is) -> tell());
      }
      Button remove = SmallButton.of("×", "", this::remove);
      remove.setAccessibleText("Remove the check " + named);
      setAlignment(Pos.CENTER_LEFT);
      getChildren().addAll(name, pass, fail, remove);
    }

    private void remove() {
      lines.getChildren().remove(this);
      tell();
    }

    CheckRule read() {
      return CheckRule.of(name.getText(), pass.getText(), fail.getText(), vocabulary);
    }
  }

  /**
   * An editor.
   *
   * @param changed takes the checks after every change that leaves them readable
   * @param close closes the editor
   */
  public ChecksEditor(
      Vocabulary vocabulary,
      RuleCompletion completion,
      Consumer<List<CheckRule>> changed,
      Runnable close) {
    this.vocabulary = vocabulary;
    this.completion = completion;
    this.changed = changed;
    getStyleClass().addAll("card", "part");
    Label title = new Label("Checks of the morning");
    title.getStyleClass().add("title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head =
        new HBox(
            6,
            title,
            gap,
            SmallButton.of("+ check", "", () -> lines.getChildren().add(new Line("", "", ""))),
            SmallButton.of(
                "The usual ones",
                "Puts the checks that Kelvo starts with in place of these",
                this::usual),
            SmallButton.of("Close", "C", close));
    head.setAlignment(Pos.CENTER_LEFT);
    ScrollPane scroll = new ScrollPane(lines);
    scroll.setFitToWidth(true);
    wrong.getStyleClass().addAll("small", "tone-bad");
    wrong.setWrapText(true);
    setTop(head);
    setCenter(scroll);
    setBottom(wrong);
  }

  private void usual() {
    show(CheckRule.DEFAULT);
    tell();
  }

  /** Shows checks. */
  public void show(List<CheckRule> checks) {
    lines.getChildren().clear();
    for (CheckRule check : checks) {
      lines.getChildren().add(new Line(check.name(), check.passSentence(), check.failSentence()));
    }
    wrong.setText("");
  }

  private void tell() {
    List<CheckRule> read = new ArrayList<>();
    try {
      for (var line : lines.getChildren()) {
        read.add(((Line) line).read());
      }
      wrong.setText("");
      changed.accept(read);
    } catch (RefusedException e) {
      wrong.setText(e.getMessage() + "; until then the checks stay as they were");
    }
  }
}
