package kelvo.desktop.rules;

import java.util.OptionalLong;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.control.skin.TextAreaSkin;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import kelvo.desktop.theme.SmallButton;
import kelvo.refusal.RefusedException;
import kelvo.rule.Rule;
import kelvo.rule.RuleCompletion;
import kelvo.rule.RuleSentence;
import kelvo.rule.RuleSyntaxException;
import kelvo.rule.Vocabulary;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * One rule as a sentence, applied as it is typed: while it is no rule the last one that was one
 * holds, and what was expected stands in its tooltip and beside it.
 */
final class RuleLine extends HBox {
  static final double FOCUS_WIDTH = 92;
  private static final String OF_FOCUS = "What it says of the symbol in focus";
  private static final String WRONG = "wrong";
  static final double COUNT_WIDTH = 34;
  private static final double POINTER = 2;

  private final RuleField sentence = new RuleField();
  private final Region pointer = new Region();
  private final Label alone = new Label();
  private final Label left = new Label();
  private final Label ofFocus = new Label();
  private final Vocabulary vocabulary;
  private final Consumer<String> wrong;
  private boolean setting;

  /** The rule that holds, also while what is typed is none. */
  private @Nullable Rule applied;

  private String answer = "";
  private boolean answerPasses;
  private OptionalLong lastHeld = OptionalLong.empty();

  /**
   * A line.
   *
   * @param typed takes the rule whenever the text is one
   * @param wrong takes what was expected when it is none, and an empty text when it is one again
   */
  RuleLine(
      Vocabulary vocabulary,
      RuleCompletion completion,
      Consumer<Rule> typed,
      Consumer<String> wrong,
      Runnable removed) {
    super(4);
    this.vocabulary = vocabulary;
    this.wrong = wrong;
    setAlignment(Pos.CENTER_LEFT);
    sentence.setPromptText("a rule, such as: gap at least 4%");
    sentence.setAccessibleText("Rule");
    pointer.getStyleClass().add("wrong-word");
    pointer.setManaged(false);
    pointer.setMouseTransparent(true);
    pointer.setVisible(false);
    StackPane field = new StackPane(sentence, pointer);
    field.setMinWidth(0);
    HBox.setHgrow(field, Priority.ALWAYS);
    new CompletionPopup(sentence, completion::after);
    sentence
        .textProperty()
        .addListener(
            (o, was, is) -> {
              if (!setting) {
                read(is, typed);
              }
            });
    for (Label count : new Label[] {alone, left}) {
      count.setMinWidth(COUNT_WIDTH);
      count.setAlignment(Pos.CENTER_RIGHT);
      count.getStyleClass().add("small");
    }
    alone.getStyleClass().add("faded");
    ofFocus.setMinWidth(FOCUS_WIDTH);
    ofFocus.setMaxWidth(FOCUS_WIDTH);
    ofFocus.getStyleClass().add("small");
    ofFocus.setTooltip(new Tooltip(OF_FOCUS));
    alone.setTooltip(new Tooltip("How many pass this rule alone"));
    left.setTooltip(new Tooltip("How many are left after it"));
    Button remove = SmallButton.of("×", "", removed);
    remove.setAccessibleText("Remove this rule");
    getChildren().addAll(field, ofFocus, alone, left, remove);
  }

  /** Leaves out who passes it. */
  void hideCounts() {
    getChildren().removeAll(ofFocus, alone, left);
  }

  private void read(String text, Consumer<Rule> typed) {
    sentence.getStyleClass().remove(WRONG);
    pointer.setVisible(false);
    try {
      Rule rule = RuleSentence.parse(text.strip(), vocabulary);
      applied = rule;
      wrong.accept("");
      typed.accept(rule);
    } catch (RefusedException e) {
      if (!text.isBlank()) {
        sentence.getStyleClass().add(WRONG);
        wrong.accept(words(e));
        Platform.runLater(() -> point(e));
      }
    }
  }

  private static String words(RefusedException e) {
    return e instanceof RuleSyntaxException wrong && !wrong.word().isEmpty()
        ? "\"" + wrong.word() + "\": " + wrong.expected()
        : e instanceof RuleSyntaxException wrong
            ? wrong.expected()
            : String.valueOf(e.getMessage());
  }

  /** Underlines the word that is wrong, once the text has been laid out. */
  private void point(RefusedException e) {
    if (!(e instanceof RuleSyntaxException wrong)
        || wrong.word().isEmpty()
        || !sentence.getStyleClass().contains(WRONG)
        || !(sentence.getSkin() instanceof TextAreaSkin skin)) {
      return;
    }
    int from = sentence.getText().indexOf(wrong.word(), Math.max(0, wrong.position()));
    int last = from + wrong.word().length() - 1;
    if (from < 0 || last >= sentence.getText().length()) {
      return;
    }
    Rectangle2D first = skin.getCharacterBounds(from);
    Rectangle2D end = skin.getCharacterBounds(last);
    double right = end.getMinY() > first.getMinY() ? sentence.getWidth() : end.getMaxX();
    pointer.resizeRelocate(
        first.getMinX(), first.getMaxY() - POINTER, right - first.getMinX(), POINTER);
    pointer.setVisible(true);
  }

  /**
   * Shows a rule. What is being typed stays as it is until another hand, such as the curve's, makes
   * another rule of it.
   */
  void show(Rule rule) {
    if (rule.equals(applied)) {
      return;
    }
    applied = rule;
    if (!means(rule)) {
      setting = true;
      sentence.setTooltip(new Tooltip(rule.sentence()));
      sentence.setText(rule.sentence());
      setting = false;
    }
    pointer.setVisible(false);
    if (sentence.getStyleClass().remove(WRONG)) {
      wrong.accept("");
    }
  }

  /** Lets go of what was typed: the line is to show a rule of another scan. */
  void forget() {
    applied = null;
  }

  private boolean means(Rule rule) {
    try {
      return RuleSentence.parse(sentence.getText().strip(), vocabulary).equals(rule);
    } catch (RefusedException e) {
      return false;
    }
  }

  /** Shows what the rule says of the symbol in focus. */
  void answer(String value, boolean passes) {
    String text = (passes ? "✓ " : "✗ ") + (value.isEmpty() ? "unknown" : value);
    if (text.equals(answer) && passes == answerPasses) {
      return;
    }
    answer = text;
    answerPasses = passes;
    ofFocus.getStyleClass().removeAll("tone-good", "tone-bad");
    ofFocus.getStyleClass().add(passes ? "tone-good" : "tone-bad");
    showOfFocus();
  }

  /** Shows no more when the rule last held. */
  void forgetLastHeld() {
    lastHeld = OptionalLong.empty();
    showOfFocus();
  }

  /** Shows when the rule last held for the symbol in focus, while it does not; -1 for never. */
  void lastHeld(long moment) {
    lastHeld = OptionalLong.of(moment);
    showOfFocus();
  }

  /** The answer and the time at which the rule last held come in any order. */
  private void showOfFocus() {
    if (answerPasses || lastHeld.isEmpty()) {
      ofFocus.setText(answer);
      ofFocus.setTooltip(new Tooltip(OF_FOCUS));
      return;
    }
    long moment = lastHeld.getAsLong();
    ofFocus.setText(answer + ", " + (moment < 0 ? "never" : DayTime.minutes(moment)));
    ofFocus.setTooltip(
        new Tooltip(
            moment < 0
                ? "It has not held for the symbol in focus today"
                : "It last held for the symbol in focus at " + DayTime.seconds(moment)));
  }

  void counts(int passing, int remaining) {
    alone.setText(Integer.toString(passing));
    left.setText(Integer.toString(remaining));
  }

  RuleField field() {
    return sentence;
  }
}
