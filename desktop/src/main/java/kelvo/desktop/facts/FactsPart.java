package kelvo.desktop.facts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.check.Check;
import kelvo.check.CheckRule;
import kelvo.desktop.rules.PointedRules;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.rule.Vocabulary;
import kelvo.view.FactsView;

/** The numbers about a symbol, and the checks of the morning beside them. */
public final class FactsPart extends HBox implements SymbolPart {
  /** Its kind. */
  public static final PartKind KIND =
      new PartKind("FACTS", "Facts and checks", (workspace, choice) -> new FactsPart(workspace));

  private static final int FACT_ROWS = 11;
  private static final double DETAIL_WIDTH = 86;
  private static final String UNKNOWN = "unknown";
  private static final double WORDS_WIDTH = 94;
  private static final int FACT_LABELS = 2;
  private static final int CHECK_LABELS = 3;

  private final GridPane facts = new GridPane(4, 1);
  private final GridPane checks = new GridPane(4, 1);
  private final List<ToldLabel> factLabels = new ArrayList<>();
  private final List<ToldLabel> checkLabels = new ArrayList<>();
  private final ToldLabel others = new ToldLabel();
  private final Vocabulary vocabulary;
  private final PointedRules pointed;
  private final Workspace workspace;
  private final Followed<FactsView.FactList> followed;

  /** Held here, since the workspace outlives windows of their own. */
  private final ChangeListener<List<CheckRule>> asked = (o, was, is) -> askAgain();

  private String symbol = "";

  FactsPart(Workspace workspace) {
    super(6);
    this.workspace = workspace;
    followed = new Followed<>(workspace, this::tell);
    workspace.desk().checks().addListener(new WeakChangeListener<>(asked));
    // What it tells must not move the splitter beside it.
    setMinWidth(0);
    vocabulary = workspace.desk().vocabulary();
    pointed = new PointedRules(workspace);
    getStyleClass().add("part");
    getChildren().addAll(facts, checks);
    HBox.setHgrow(facts, Priority.ALWAYS);
    for (int i = 0; i < 2; i++) {
      ColumnConstraints words = new ColumnConstraints();
      words.setMinWidth(WORDS_WIDTH);
      ColumnConstraints value = new ColumnConstraints();
      value.setHalignment(HPos.RIGHT);
      value.setMinWidth(50);
      facts.getColumnConstraints().addAll(words, value);
    }
    checks.setMinWidth(USE_PREF_SIZE);
    for (int row = 0; row < FACT_ROWS; row++) {
      checks.addRow(row, check(), check(), detail());
    }
    checks.add(others, 0, FACT_ROWS - 1, CHECK_LABELS, 1);
  }

  private ToldLabel check() {
    ToldLabel label = new ToldLabel();
    checkLabels.add(label);
    return label;
  }

  private ToldLabel detail() {
    ToldLabel label = check();
    label.setMinWidth(0);
    label.setMaxWidth(DETAIL_WIDTH);
    return label;
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(String shown) {
    symbol = shown;
    hide();
    facts.setVisible(false);
    checks.setVisible(false);
    workspace
        .session()
        .numberOf(symbol)
        .ifPresent(
            security ->
                followed.follow(
                    new FactsView(workspace.session(), security, workspace.desk().checks().get())));
  }

  @Override
  public void hide() {
    followed.stop();
  }

  private void askAgain() {
    if (followed.isFollowing()) {
      show(symbol);
    }
  }

  private void tell(FactsView.FactList all) {
    facts.setVisible(true);
    checks.setVisible(true);
    facts(all.known());
    checks(all.checks());
  }

  private void facts(List<FactsView.Fact> known) {
    for (int i = factLabels.size() / FACT_LABELS; i < known.size(); i++) {
      ToldLabel words = new ToldLabel();
      ToldLabel value = new ToldLabel();
      for (ToldLabel label : List.of(words, value)) {
        label.setOnContextMenuRequested(e -> offer(words.getText(), value, e));
      }
      factLabels.addAll(List.of(words, value));
      facts.add(words, i / FACT_ROWS * FACT_LABELS, i % FACT_ROWS);
      facts.add(value, i / FACT_ROWS * FACT_LABELS + 1, i % FACT_ROWS);
    }
    for (int i = 0; i < known.size(); i++) {
      FactsView.Fact fact = known.get(i);
      boolean unknown = fact.value().isEmpty();
      factLabels.get(i * FACT_LABELS).tell(fact.words(), "faded", fact.meaning());
      factLabels
          .get(i * FACT_LABELS + 1)
          .tell(unknown ? UNKNOWN : fact.value(), unknown ? "faded" : "strong", "");
    }
  }

  /** The rules that a fact suggests. */
  private void offer(String field, ToldLabel value, ContextMenuEvent e) {
    vocabulary
        .find(field)
        .ifPresent(
            f ->
                pointed.offer(
                    value,
                    f,
                    value.getText().equals(UNKNOWN) ? "" : value.getText(),
                    e.getScreenX(),
                    e.getScreenY()));
  }

  /** The gravest first; those for which there is no room are counted in the last row. */
  private void checks(List<Check> all) {
    List<Check> gravestFirst =
        all.stream()
            .sorted(Comparator.comparing((Check c) -> c.result().ordinal()).reversed())
            .toList();
    int listed = gravestFirst.size() > FACT_ROWS ? FACT_ROWS - 1 : gravestFirst.size();
    for (int row = 0; row < FACT_ROWS; row++) {
      if (row < listed) {
        tell(row, gravestFirst.get(row));
      } else {
        checkLabels
            .subList(row * CHECK_LABELS, (row + 1) * CHECK_LABELS)
            .forEach(label -> label.tell("", "", ""));
      }
    }
    List<Check> rest = gravestFirst.subList(listed, gravestFirst.size());
    others.tell(
        OtherChecks.words(rest),
        "faded",
        rest.stream().map(c -> c.name() + ": " + c.detail()).collect(Collectors.joining("\n")));
  }

  private void tell(int row, Check check) {
    String tone =
        switch (check.result()) {
          case PASS -> "tone-up";
          case WARN -> "tone-catalyst";
          case FAIL -> "tone-down";
          case UNKNOWN -> "faded";
        };
    String sign =
        switch (check.result()) {
          case PASS -> "✓ ";
          case WARN -> "! ";
          case FAIL -> "✗ ";
          case UNKNOWN -> "? ";
        };
    checkLabels.get(row * CHECK_LABELS).tell(sign + check.result().word(), tone, "");
    checkLabels.get(row * CHECK_LABELS + 1).tell(check.name(), "faded", "");
    checkLabels.get(row * CHECK_LABELS + 2).tell(check.detail(), "", check.detail());
  }
}
