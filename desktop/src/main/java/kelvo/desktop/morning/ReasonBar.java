package kelvo.desktop.morning;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.journal.Choice;

/**
 * Asks why a symbol is kept or dropped, or which one goes: a digit takes a usual answer (0 the
 * tenth), any other text is an answer too.
 */
final class ReasonBar extends HBox {
  private static final List<String> KEEP =
      List.of("fresh news", "theme", "clear sky", "thin, stepping up", "clean levels");
  private static final List<String> WATCH =
      List.of("later", "waits for news", "too far gone", "needs a base", "only with the group");
  private static final List<String> DROP =
      List.of("thin", "wide spread", "no catalyst", "offering", "only a split", "no room");

  private final Label question = new Label();
  private final FlowPane usual = new FlowPane(4, 4);
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
    question.setMinWidth(USE_PREF_SIZE);
    own.setMinWidth(90);
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
              if (is.matches("[0-9]") && place(is) < reasons.size()) {
                finish(reasons.get(place(is)));
              }
            });
    setVisible(false);
    setManaged(false);
  }

  /** The place of the answer that a digit takes: 1 the first, 0 the tenth. */
  private static int place(String digit) {
    return (Integer.parseInt(digit) + 9) % 10;
  }

  /** Asks why a symbol is kept, watched or dropped. */
  void askWhy(Choice choice, String symbol, Consumer<String> then, Runnable closed) {
    List<String> usualOnes =
        switch (choice) {
          case KEEP -> KEEP;
          case WATCH -> WATCH;
          case DROP, UNDECIDED -> DROP;
        };
    String word = choice.word();
    ask(
        word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1) + " " + symbol + ":",
        usualOnes,
        then,
        closed);
  }

  /** Asks anything that has usual answers. */
  void ask(String words, List<String> answers, Consumer<String> then, Runnable closed) {
    reasons = answers;
    answer = then;
    done = closed;
    question.setText(words);
    usual.getChildren().clear();
    for (int i = 0; i < reasons.size(); i++) {
      String reason = reasons.get(i);
      Button button = new Button((i + 1) % 10 + " " + reason);
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
    close();
    answer.accept(reason);
  }

  private void close() {
    setVisible(false);
    setManaged(false);
    done.run();
  }
}
