package kelvo.desktop.morning;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.watch.Choice;

/**
 * Asks why a symbol is kept or dropped: a digit takes a usual reason, any other text is a reason
 * too.
 */
final class ReasonBar extends HBox {
  private static final List<String> KEEP =
      List.of("fresh news", "theme", "clear sky", "thin, stepping up", "clean levels");
  private static final List<String> DROP =
      List.of("thin", "wide spread", "no catalyst", "offering", "only a split", "no room");

  private final Label question = new Label();
  private final HBox usual = new HBox(4);
  private final TextField own = new TextField();
  private List<String> reasons = KEEP;
  private Consumer<String> answer = reason -> {};
  private Runnable done = () -> {};

  ReasonBar() {
    super(6);
    getStyleClass().add("part");
    setAlignment(Pos.CENTER_LEFT);
    own.setPromptText("or type, Enter");
    HBox.setHgrow(own, Priority.ALWAYS);
    question.getStyleClass().add("strong");
    getChildren().addAll(question, usual, own);
    own.setOnAction(e -> finish(own.getText().strip()));
    own.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            close();
            e.consume();
          }
        });
    own.textProperty()
        .addListener(
            (o, was, is) -> {
              if (is.matches("[1-9]") && Integer.parseInt(is) <= reasons.size()) {
                finish(reasons.get(Integer.parseInt(is) - 1));
              }
            });
    setVisible(false);
    setManaged(false);
  }

  void ask(Choice choice, String symbol, Consumer<String> then, Runnable closed) {
    reasons = choice == Choice.KEEP ? KEEP : DROP;
    answer = then;
    done = closed;
    question.setText((choice == Choice.KEEP ? "Keep " : "Drop ") + symbol + ":");
    usual.getChildren().clear();
    for (int i = 0; i < reasons.size(); i++) {
      String reason = reasons.get(i);
      Button button = new Button((i + 1) + " " + reason);
      button.getStyleClass().setAll("button", "small-button");
      button.setFocusTraversable(false);
      button.setMinWidth(USE_PREF_SIZE);
      button.setOnAction(e -> finish(reason));
      usual.getChildren().add(button);
    }
    own.clear();
    setVisible(true);
    setManaged(true);
    own.requestFocus();
  }

  private void finish(String reason) {
    answer.accept(reason);
    close();
  }

  private void close() {
    setVisible(false);
    setManaged(false);
    done.run();
  }
}
