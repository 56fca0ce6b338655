package kelvo.desktop.research;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.hit.Hit;
import kelvo.job.LatestAnswer;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Echoes;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.view.NewestHitView;

/**
 * The echoes of the newest hit of the symbol in focus: how earlier hits of its scan went. Since the
 * sessions before must be asked for that, which takes a while, it is done once the trader wants it.
 * It keeps its place without a hit, so that nothing below moves under the pointer.
 */
public final class EchoLine extends HBox {
  private static final Held UNTIL = Held.HALF_HOUR;
  private static final int SCANS_KEPT = 8;

  private final Workspace workspace;
  private final ToggleButton wanted = new ToggleButton("Echoes");
  private final Label line = new Label();
  private final Followed<Optional<Hit>> followed;
  private final LatestAnswer answers;

  /** By question, the one that was asked longest ago first. */
  private final Map<Question, List<ResearchCase>> known = new LinkedHashMap<>();

  private String symbol = "";
  private String scan = "";

  /** Shows nothing yet. */
  public EchoLine(Workspace workspace) {
    super(8);
    this.workspace = workspace;
    answers =
        workspace
            .answers()
            .slow("looking for echoes", () -> line.setText("Earlier sessions could not be asked"));
    followed = new Followed<>(workspace.clock(), this::take);
    setId("echo-line");
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().addAll("card", "part");
    wanted.getStyleClass().setAll("toggle-button", "small-button");
    wanted.setMinWidth(USE_PREF_SIZE);
    wanted.setTooltip(
        new Tooltip(
            "How earlier hits of the scan that found it went; asks the sessions before, until it is pressed again"));
    wanted.setOnAction(
        e -> {
          if (!wanted.isSelected()) {
            answers.stop();
          }
          refresh();
        });
    workspace
        .window()
        .pastSessions()
        .addListener(
            (o, was, is) -> {
              known.clear();
              refresh();
            });
    line.setId("echoes");
    line.getStyleClass().add("small");
    line.setMinWidth(0);
    line.setMaxWidth(Double.MAX_VALUE);
    line.setTooltip(
        new Tooltip(
            "Who bought at the print after the first hits of earlier sessions, costs taken off; a click"
                + " opens the cases on the Research stage"));
    line.setOnMouseClicked(e -> open());
    HBox.setHgrow(line, Priority.ALWAYS);
    getChildren().addAll(wanted, line);
  }

  /** Shows those of another symbol. */
  public void show(String other) {
    symbol = other;
    tell("");
    followed.follow(
        new NewestHitView(
            other, workspace.desk().scans().stream().map(Scan::name).collect(Collectors.toSet())));
  }

  private void take(Optional<Hit> newest) {
    String found = newest.map(Hit::scan).orElse("");
    // Another hit of the same scan has the same echoes.
    if (!found.equals(scan)) {
      tell(found);
    }
  }

  private void tell(String found) {
    scan = found;
    refresh();
  }

  private Optional<Question> question() {
    return workspace.desk().scans().stream()
        .filter(one -> one.name().equals(scan))
        .findFirst()
        .map(
            one ->
                workspace
                    .research()
                    .question(one, new CaseMoment.FirstHit(DayTime.FIRST), Direction.LONG));
  }

  private void refresh() {
    if (!wanted.isSelected() || scan.isEmpty()) {
      line.setText(
          scan.isEmpty()
              ? "no scan has found it yet"
              : "tells how earlier hits of " + scan + " went");
      return;
    }
    question()
        .ifPresent(
            question -> {
              List<ResearchCase> cases = known.get(question);
              if (cases == null) {
                ask(question);
              } else {
                line.setText(Echoes.of(scan, symbol, cases, UNTIL).words());
              }
            });
  }

  private void ask(Question question) {
    line.setText("Asking earlier sessions about " + scan);
    LocalDate today = workspace.day();
    answers.ask(
        progress -> {
          List<LocalDate> dates =
              workspace.past().asked(question).only(date -> date.isBefore(today)).dates();
          int[] done = {0};
          return workspace
              .past()
              .cases(
                  dates.reversed(),
                  question,
                  today,
                  some -> Platform.runLater(() -> asking(question, ++done[0], dates.size())),
                  progress);
        },
        cases -> {
          if (known.size() == SCANS_KEPT) {
            known.remove(known.keySet().iterator().next());
          }
          known.put(question, cases);
          refresh();
        });
  }

  private void asking(Question question, int done, int of) {
    if (wanted.isSelected()
        && question.scan().name().equals(scan)
        && !known.containsKey(question)) {
      line.setText("Asking earlier sessions about " + scan + ": " + done + " of " + of);
    }
  }

  private void open() {
    if (!scan.isEmpty()) {
      workspace.research().want(scan);
      workspace.window().stage().set(ResearchStage.KIND);
    }
  }
}
