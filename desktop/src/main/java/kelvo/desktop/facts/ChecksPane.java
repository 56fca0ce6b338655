package kelvo.desktop.facts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.check.Check;

/** All checks of a symbol in two columns, the gravest first, with how many there are of each. */
final class ChecksPane extends VBox {
  private static final int COLUMNS = 2;
  private static final int LABELS = 3;
  private static final double SIGN_WIDTH = 12;
  private static final double NAME_WIDTH = 74;

  private final ToldLabel summary = new ToldLabel();
  private final GridPane grid = new GridPane(6, 1);
  private final List<ToldLabel> labels = new ArrayList<>();

  ChecksPane() {
    super(4);
    Label title = new Label("Checks");
    title.getStyleClass().add("title");
    title.setTooltip(
        new Tooltip("Rules of yours that a candidate should pass before the open; C on Morning"));
    HBox heading = new HBox(8, title, summary);
    heading.setAlignment(javafx.geometry.Pos.BASELINE_LEFT);
    for (int column = 0; column < COLUMNS; column++) {
      ColumnConstraints sign = new ColumnConstraints(SIGN_WIDTH);
      ColumnConstraints name = new ColumnConstraints(NAME_WIDTH);
      ColumnConstraints detail = new ColumnConstraints();
      detail.setHgrow(Priority.ALWAYS);
      detail.setPercentWidth(-1);
      grid.getColumnConstraints().addAll(sign, name, detail);
    }
    getChildren().addAll(heading, grid);
  }

  void tell(List<Check> all) {
    List<Check> gravestFirst =
        all.stream()
            .sorted(Comparator.comparing((Check c) -> c.result().ordinal()).reversed())
            .toList();
    summary.tell(counted(all), "faded", "");
    for (int i = labels.size() / LABELS; i < gravestFirst.size(); i++) {
      addRow(i);
    }
    for (int i = 0; i < labels.size() / LABELS; i++) {
      tell(labels.subList(i * LABELS, (i + 1) * LABELS), i, gravestFirst);
    }
  }

  /** Row by row, so that the gravest stand on top of both columns. */
  private void addRow(int place) {
    for (int i = 0; i < LABELS; i++) {
      ToldLabel label = new ToldLabel();
      label.setMinWidth(0);
      labels.add(label);
      grid.add(label, place % COLUMNS * LABELS + i, place / COLUMNS);
    }
  }

  private static void tell(List<ToldLabel> row, int place, List<Check> checks) {
    if (place >= checks.size()) {
      row.forEach(label -> label.tell("", "", ""));
      return;
    }
    Check check = checks.get(place);
    boolean passes = check.result() == Check.Result.PASS;
    row.get(0).tell(sign(check), tone(check), check.result().word());
    row.get(1).tell(check.name(), passes ? "faded" : "strong", check.name());
    row.get(2).tell(check.detail(), passes ? "faded" : "", check.detail());
  }

  private static String counted(List<Check> all) {
    Map<Check.Result, Long> counts =
        all.stream()
            .collect(
                Collectors.groupingBy(
                    Check::result, () -> new EnumMap<>(Check.Result.class), Collectors.counting()));
    List<String> words = new ArrayList<>();
    counts.forEach((result, count) -> words.addFirst(count + " " + result.word()));
    return String.join(" · ", words);
  }

  private static String sign(Check check) {
    return switch (check.result()) {
      case PASS -> "✓";
      case WARN -> "!";
      case FAIL -> "✗";
      case UNKNOWN -> "?";
    };
  }

  private static String tone(Check check) {
    return switch (check.result()) {
      case PASS -> "tone-good";
      case WARN, FAIL -> "tone-bad";
      case UNKNOWN -> "faded";
    };
  }
}
