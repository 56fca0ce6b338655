package kelvo.desktop.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.SmallButton;
import kelvo.rule.Rule;
import kelvo.rule.RuleCompletion;
import kelvo.rule.Vocabulary;

/**
 * Rules that must all hold, a line each, with how many pass each alone and how many are left after
 * it. Every change is told at once.
 */
public final class RulesEditor extends VBox {
  private static final double REMOVE_WIDTH = 28;

  private final Vocabulary vocabulary;
  private final RuleCompletion completion;
  private final Consumer<List<Rule>> changed;
  private final IntConsumer chosen;
  private final VBox lines = new VBox(1);
  private final Label wrong = new Label();
  private List<Rule> rules = List.of();
  private boolean counts = true;

  /** Whether the last line is one that is no rule yet. */
  private boolean adding;

  /**
   * An editor.
   *
   * @param changed takes the rules after every change that leaves them readable
   * @param chosen takes the place of the rule that is being worked on
   */
  public RulesEditor(
      Vocabulary vocabulary,
      RuleCompletion completion,
      Consumer<List<Rule>> changed,
      IntConsumer chosen) {
    super(2);
    this.vocabulary = vocabulary;
    this.completion = completion;
    this.changed = changed;
    this.chosen = chosen;
    Button add = SmallButton.of("+ rule", "R", this::add);
    add.setId("add-rule");
    // On the line of the heads, so that it never pushes a rule out of sight.
    wrong.getStyleClass().addAll("small", "tone-bad");
    wrong.setMinWidth(0);
    wrong.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(wrong, Priority.ALWAYS);
    Region overRemove = new Region();
    overRemove.setMinWidth(REMOVE_WIDTH);
    HBox top =
        new HBox(
            4,
            add,
            wrong,
            head("in focus", RuleLine.FOCUS_WIDTH, Pos.CENTER_LEFT),
            head("alone", RuleLine.COUNT_WIDTH, Pos.CENTER_RIGHT),
            head("left", RuleLine.COUNT_WIDTH, Pos.CENTER_RIGHT),
            overRemove);
    top.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(top, lines);
  }

  /** An editor of rules alone: nobody counts who passes them. */
  public static RulesEditor alone(
      Vocabulary vocabulary, RuleCompletion completion, Consumer<List<Rule>> changed) {
    RulesEditor editor = new RulesEditor(vocabulary, completion, changed, rule -> {});
    editor.counts = false;
    HBox top = (HBox) editor.getChildren().getFirst();
    top.getChildren().remove(2, top.getChildren().size());
    return editor;
  }

  private static Label head(String words, double width, Pos side) {
    Label head = new Label(words);
    head.getStyleClass().addAll("small", "faded");
    head.setMinWidth(width);
    head.setMaxWidth(width);
    head.setAlignment(side);
    return head;
  }

  /** Says what is wrong, of a rule or of what belongs to it; an empty text when nothing is. */
  public void says(String words) {
    wrong.setText(words);
    wrong.setTooltip(words.isEmpty() ? null : new Tooltip(words));
  }

  /** Shows rules of something else: what was being typed goes. */
  public void showOthers(List<Rule> shown) {
    adding = false;
    says("");
    lines.getChildren().forEach(line -> ((RuleLine) line).forget());
    show(shown);
  }

  /** Shows rules; what is being typed stays as it is. */
  public void show(List<Rule> shown) {
    rules = List.copyOf(shown);
    int wanted = rules.size() + (adding ? 1 : 0);
    while (lines.getChildren().size() > wanted) {
      lines.getChildren().removeLast();
    }
    while (lines.getChildren().size() < wanted) {
      addLine();
    }
    for (int i = 0; i < rules.size(); i++) {
      line(i).show(rules.get(i));
    }
  }

  /** Shows how many pass the rule at a place alone, and how many are left after it. */
  public void counts(int rule, int alone, int left) {
    if (rule < lines.getChildren().size()) {
      line(rule).counts(alone, left);
    }
  }

  /** Shows what the rule at a place says of the symbol in focus. */
  public void answer(int rule, String value, boolean passes) {
    if (rule < lines.getChildren().size()) {
      line(rule).answer(value, passes);
    }
  }

  /** Shows when the rule at a place last held for the symbol in focus; -1 for never. */
  public void lastHeld(int rule, long moment) {
    if (rule < lines.getChildren().size()) {
      line(rule).lastHeld(moment);
    }
  }

  /** Shows no more when rules last held. */
  public void forgetLastHeld() {
    lines.getChildren().forEach(line -> ((RuleLine) line).forgetLastHeld());
  }

  private RuleLine line(int place) {
    return (RuleLine) lines.getChildren().get(place);
  }

  /** Begins a new rule. */
  public void add() {
    if (!adding) {
      adding = true;
      addLine();
    }
    line(lines.getChildren().size() - 1).field().requestFocus();
  }

  private void addLine() {
    RuleLine[] made = new RuleLine[1];
    RuleLine line =
        new RuleLine(
            vocabulary,
            completion,
            rule -> typed(lines.getChildren().indexOf(made[0]), rule),
            this::says,
            () -> remove(lines.getChildren().indexOf(made[0])));
    made[0] = line;
    if (!counts) {
      line.hideCounts();
    }
    line.field()
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                chosen.accept(lines.getChildren().indexOf(line));
              }
            });
    lines.getChildren().add(line);
  }

  private void typed(int place, Rule rule) {
    List<Rule> edited = new ArrayList<>(rules);
    if (place >= 0 && place < edited.size()) {
      edited.set(place, rule);
    } else {
      edited.add(rule);
      adding = false;
    }
    tell(edited);
  }

  private void remove(int place) {
    says("");
    lines.getChildren().remove(place);
    if (place < rules.size()) {
      List<Rule> edited = new ArrayList<>(rules);
      edited.remove(place);
      tell(edited);
    } else {
      adding = false;
    }
  }

  private void tell(List<Rule> edited) {
    if (!edited.equals(rules)) {
      rules = List.copyOf(edited);
      changed.accept(rules);
    }
  }
}
