package kelvo.desktop.facts;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.check.CheckRule;
import kelvo.desktop.rules.PointedRules;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.rule.Vocabulary;
import kelvo.view.FactsView;

/** The numbers about a symbol, and the checks of the morning beside them. */
public final class FactsPart extends ScrollPane implements SymbolPart {
  /** Its kind. */
  public static final PartKind KIND =
      new PartKind("FACTS", "Facts and checks", (workspace, choice) -> new FactsPart(workspace));

  private static final String UNKNOWN = "–";
  private static final int COLUMNS = 3;
  private static final int LABELS = 2;

  private final ChecksPane checks = new ChecksPane();
  private final GridPane facts = new GridPane(6, 1);
  private final VBox all;
  private final List<ToldLabel> factLabels = new ArrayList<>();
  private final Vocabulary vocabulary;
  private final PointedRules pointed;
  private final Workspace workspace;
  private final Followed<FactsView.FactList> followed;

  /** Held here, since the workspace outlives windows of their own. */
  private final ChangeListener<List<CheckRule>> asked = (o, was, is) -> askAgain();

  private String symbol = "";

  FactsPart(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::tell);
    workspace.desk().checks().addListener(new WeakChangeListener<>(asked));
    // What it tells must not move the splitter beside it.
    setMinSize(0, 0);
    vocabulary = workspace.desk().vocabulary();
    pointed = new PointedRules(workspace);
    Label title = new Label("Facts");
    title.getStyleClass().add("title");
    VBox.setMargin(title, new Insets(8, 0, 2, 0));
    all = new VBox(checks, title, facts);
    all.getStyleClass().add("part");
    setContent(all);
    setFitToWidth(true);
    setHbarPolicy(ScrollBarPolicy.NEVER);
    for (int i = 0; i < COLUMNS; i++) {
      ColumnConstraints words = new ColumnConstraints();
      words.setMinWidth(0);
      words.setHgrow(Priority.ALWAYS);
      ColumnConstraints value = new ColumnConstraints();
      value.setHalignment(HPos.RIGHT);
      value.setMinWidth(44);
      facts.getColumnConstraints().addAll(words, value);
    }
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(String shown) {
    symbol = shown;
    hide();
    all.setVisible(false);
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

  private void tell(FactsView.FactList told) {
    all.setVisible(true);
    facts(told.known());
    checks.tell(told.checks());
  }

  private void facts(List<FactsView.Fact> known) {
    for (int i = factLabels.size() / LABELS; i < known.size(); i++) {
      ToldLabel words = new ToldLabel();
      ToldLabel value = new ToldLabel();
      for (ToldLabel label : List.of(words, value)) {
        label.setOnContextMenuRequested(e -> offer(words.getText(), value, e));
      }
      factLabels.addAll(List.of(words, value));
      facts.add(words, i % COLUMNS * LABELS, i / COLUMNS);
      facts.add(value, i % COLUMNS * LABELS + 1, i / COLUMNS);
    }
    for (int i = 0; i < known.size(); i++) {
      FactsView.Fact fact = known.get(i);
      boolean unknown = fact.value().isEmpty();
      factLabels.get(i * LABELS).tell(fact.words(), "faded", fact.meaning());
      factLabels
          .get(i * LABELS + 1)
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
}
