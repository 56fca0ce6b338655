package kelvo.desktop.focus;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.engine.MarketSnapshot;
import kelvo.watch.Check;

/** The numbers about a symbol, and the checks of the morning beside them. */
final class FactsPart extends HBox implements FocusPart {
  private static final int FACT_ROWS = 11;
  private static final double DETAIL_WIDTH = 86;

  private final GridPane facts = new GridPane(4, 1);
  private final GridPane checks = new GridPane(4, 1);

  FactsPart() {
    super(8);
    getStyleClass().add("part");
    getChildren().addAll(facts, checks);
    HBox.setHgrow(facts, Priority.ALWAYS);
    for (int i = 0; i < 2; i++) {
      ColumnConstraints words = new ColumnConstraints();
      words.setMinWidth(100);
      ColumnConstraints value = new ColumnConstraints();
      value.setHalignment(HPos.RIGHT);
      value.setMinWidth(50);
      facts.getColumnConstraints().addAll(words, value);
    }
    checks.setMinWidth(USE_PREF_SIZE);
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(ShownSymbol shown) {
    MarketSnapshot.Focus focus = shown.focus();
    facts.getChildren().clear();
    checks.getChildren().clear();
    if (focus == null) {
      return;
    }
    for (int i = 0; i < focus.known().size(); i++) {
      fact(focus.known().get(i), i % FACT_ROWS, i / FACT_ROWS * 2);
    }
    List<Check> gravestFirst =
        focus.checks().stream()
            .sorted(Comparator.comparing((Check c) -> c.result().ordinal()).reversed())
            .toList();
    int listed = gravestFirst.size() > FACT_ROWS ? FACT_ROWS - 1 : gravestFirst.size();
    for (int i = 0; i < listed; i++) {
      check(gravestFirst.get(i), i);
    }
    if (listed < gravestFirst.size()) {
      Label others =
          label("and " + (gravestFirst.size() - listed) + " that pass", "small", "faded");
      others.setTooltip(
          new Tooltip(
              gravestFirst.subList(listed, gravestFirst.size()).stream()
                  .map(c -> c.name() + ": " + c.detail())
                  .collect(Collectors.joining("\n"))));
      checks.add(others, 0, listed, 3, 1);
    }
  }

  private void fact(MarketSnapshot.Fact fact, int row, int column) {
    Label words = label(fact.words(), "faded", "small");
    words.setTooltip(new Tooltip(fact.meaning()));
    Label value =
        label(
            fact.value().isEmpty() ? "unknown" : fact.value(),
            "small",
            fact.value().isEmpty() ? "faded" : "strong");
    facts.add(words, column, row);
    facts.add(value, column + 1, row);
  }

  private void check(Check check, int row) {
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
    checks.add(label(sign + check.result().word(), "small", tone), 0, row);
    checks.add(label(check.name(), "small", "faded"), 1, row);
    Label detail = label(check.detail(), "small");
    detail.setMinWidth(0);
    detail.setMaxWidth(DETAIL_WIDTH);
    detail.setTooltip(new Tooltip(check.detail()));
    checks.add(detail, 2, row);
  }

  private static Label label(String text, String... styles) {
    Label label = new Label(text);
    label.getStyleClass().addAll(List.of(styles));
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }
}
