package kelvo.desktop.research;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.data.past.SessionsAsked;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.practice.DrillPane;
import kelvo.desktop.theme.FirstChoice;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.OtherDay;
import kelvo.desktop.workspace.StageKey;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.LatestAnswer;
import kelvo.practice.Drill;
import kelvo.research.Answer;
import kelvo.research.AnswersBeside;
import kelvo.research.Cut;
import kelvo.research.Held;
import kelvo.research.KeptQuestion;
import kelvo.research.ListedCases;
import kelvo.research.Question;
import kelvo.research.Reach;
import kelvo.research.ReachFigures;
import kelvo.research.RecordSheet;
import kelvo.research.ResearchCase;
import kelvo.research.ResultBars;
import org.jspecify.annotations.Nullable;

/**
 * The Research stage: a question about a scan's finds in the sessions before the one that is open,
 * and its answer, which grows as sessions are played behind the window.
 */
public final class ResearchStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Research", 6, "fth-bar-chart-2");

  /** Where it says how many sessions are still to be played; empty when none is. */
  public static final String WORKING = "#playing-sessions";

  private static final String NEXT =
      "J walks through the cases, B and W: best and worst, Enter opens one, D: ten of them blind,"
          + " C: the question";

  private final Workspace workspace;
  private final ReadOnlyStringWrapper nextStep = new ReadOnlyStringWrapper("");
  private final LatestAnswer found;
  private final LatestAnswer answers;
  private final LatestAnswer besides;
  private final QuestionSentence sentence;
  private final AnswerFigures figures = new AnswerFigures(this::list);
  private final Label edge = new Label();

  private final BesideRow beside = new BesideRow(this::list);

  /** Which sessions of minute bars are left out and why. */
  private final Label leftOut = new Label();

  private final ReachRow reaches = new ReachRow(this::list);
  private final ResultsByHorizon distributions;
  private final CutPane leftCut;
  private final CutPane rightCut;
  private final Grid<ResearchCase> cases = new Grid<>("Cases", ResearchStage::key);
  private final Label listed = new Label();
  private final Button drillButton =
      SmallButton.of("Ten blind (D)", "Practise ten of these without their names", this::drill);
  private final ToggleButton record = new ToggleButton("Record");
  private final Button all = SmallButton.of("All cases", "Escape", this::listAll);
  private final Label working = new Label();
  private final Button stop = SmallButton.of("Stop", "What has been played is kept", this::stop);
  private final Button goOn = SmallButton.of("Go on", "The other sessions", this::goOn);
  private final VBox asking;
  private final SplitPane answered;
  private @Nullable DrillPane drill;
  private Map<LocalDate, List<ResearchCase>> bySession = new TreeMap<>();
  private Map<ResearchCase, RecordSheet> sheets = Map.of();
  private @Nullable Answer answer;
  private ListedCases list = new ListedCases(List.of(), "");
  private @Nullable Question asked;
  private int askedSessions;
  private boolean seen;

  /** What is worked out behind the window. */
  private record Shown(
      Answer answer,
      List<ResultBars> bars,
      List<ReachFigures> reaches,
      Map<ResearchCase, RecordSheet> sheets) {}

  /** Nothing is asked before it is seen. */
  public ResearchStage(Workspace workspace) {
    this.workspace = workspace;
    found = workspace.answers().slow("playing sessions for research", this::over);
    answers = workspace.answers().latest("answering a question of research");
    besides = workspace.answers().slow("answering the question beside it", () -> {});
    sentence = new QuestionSentence(workspace, this::ask);
    distributions = new ResultsByHorizon(workspace.window().theme(), this::list);
    leftCut = new CutPane("left-cells", Cut.FLOAT, workspace.window().theme(), this::list);
    rightCut = new CutPane("right-cells", Cut.WEEKDAY, workspace.window().theme(), this::list);
    setId("research");
    edge.setId("edge");
    edge.setWrapText(true);
    edge.setMinHeight(USE_PREF_SIZE);
    edge.setTooltip(new Tooltip("A click lists the cases where the edge lies"));
    edge.setOnMouseClicked(e -> listEdge());
    leftOut.setId("left-out");
    leftOut.setWrapText(true);
    leftOut.getStyleClass().addAll("small", "faded");
    leftOut.setVisible(false);
    leftOut.managedProperty().bind(leftOut.visibleProperty());
    VBox said = new VBox(4, edge, reaches, beside, leftOut);
    said.getStyleClass().addAll("card", "part");
    cases.columns(CaseColumns.all());
    record.getStyleClass().setAll("toggle-button", "small-button");
    record.setTooltip(
        new Tooltip("Day one and day two by the daily bars, in place of the results"));
    record.setFocusTraversable(false);
    record
        .selectedProperty()
        .addListener(
            (o, was, is) -> {
              List<ResearchCase> rows = cases.rows();
              cases.columns(
                  is
                      ? CaseColumns.record(
                          one -> sheets.getOrDefault(one, new RecordSheet(List.of())))
                      : CaseColumns.all());
              cases.rows(rows);
              cases.selected().ifPresent(one -> cases.move(0));
            });
    cases.emptyText("No cases yet.");
    cases.onSelect(one -> {});
    BorderPane table = new BorderPane(cases);
    table.setTop(listHead());
    SplitPane cells = new SplitPane(leftCut, rightCut);
    SplitPane lower = new SplitPane(cells, table);
    lower.setOrientation(Orientation.VERTICAL);
    lower.setDividerPositions(0.4);
    asking = new VBox(sentence, figures, said, distributions);
    answered = lower;
    showQuestion();
    workspace
        .window()
        .pastSessions()
        .addListener(
            (o, was, is) -> {
              asked = null;
              ask();
            });
    workspace.window().theme().addListener((o, was, is) -> cases.theme(is));
    cases.theme(workspace.window().theme().get());
  }

  private HBox listHead() {
    listed.setId("listed-cases");
    listed.getStyleClass().addAll("small");
    listed.setMaxWidth(Double.MAX_VALUE);
    listed.setMinWidth(0);
    HBox.setHgrow(listed, Priority.ALWAYS);
    working.setId(WORKING.substring(1));
    working.getStyleClass().addAll("small", "faded");
    working.setMinWidth(USE_PREF_SIZE);
    for (Button button : List.of(all, stop, goOn)) {
      button.setVisible(false);
      button.managedProperty().bind(button.visibleProperty());
    }
    HBox head = new HBox(8, listed, record, drillButton, all, working, stop, goOn);
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().addAll("card", "part");
    return head;
  }

  @Override
  public StageKind kind() {
    return KIND;
  }

  @Override
  public Parent node() {
    return this;
  }

  @Override
  public ObservableValue<String> nextStep() {
    return nextStep.getReadOnlyProperty();
  }

  @Override
  public List<StageKey> keys() {
    return List.of(
        new StageKey("J, space", "the next case; with Shift the one before"),
        new StageKey("B, W", "the best and the worst case"),
        new StageKey("Enter", "open the case at its moment"),
        new StageKey("R", "day one and day two of the cases, or their results"),
        new StageKey("D", "practise ten of the cases blind"),
        new StageKey("Escape", "all cases again"),
        new StageKey("C", "the words of the question: Up and Down choose, Tab goes on"));
  }

  @Override
  public boolean key(KeyEvent event) {
    DrillPane going = drill;
    if (going != null) {
      return going.key(event);
    }
    switch (event.getCode()) {
      case D -> drill();
      case R -> record.fire();
      case J, SPACE -> cases.move(event.isShiftDown() ? -1 : 1);
      case B -> selectExtreme(1);
      case W -> selectExtreme(-1);
      case ENTER -> cases.selected().ifPresent(this::open);
      case ESCAPE -> {
        if (!all.isVisible()) {
          return false;
        }
        listAll();
      }
      case C -> {
        return FirstChoice.focus(this);
      }
      default -> {
        return false;
      }
    }
    return true;
  }

  @Override
  public void shown() {
    seen = true;
    // Fees or bounds may be others than when it was seen last.
    ask();
  }

  /** Plays the sessions that have not been asked the question yet, and answers meanwhile. */
  private void ask() {
    Question question = sentence.question();
    if (question == null || !seen) {
      return;
    }
    boolean same = question.equals(asked) && sentence.last() == askedSessions;
    asked = question;
    askedSessions = sentence.last();
    if (same) {
      answer();
      return;
    }
    Map<LocalDate, List<ResearchCase>> into = new TreeMap<>();
    bySession = into;
    // What is being worked out answers the question before.
    answers.stop();
    list(List.of(), "");
    working.setText("reading");
    edge.setText("The newest sessions are played first; the answer grows with each.");
    leftOut.setVisible(false);
    goOn.setVisible(false);
    stop.setVisible(true);
    LocalDate today = workspace.day();
    int last = sentence.last();
    int[] done = {0};
    found.askInstead(
        progress -> {
          SessionsAsked sessions =
              workspace.past().asked(question).only(date -> date.isBefore(today)).newest(last);
          List<LocalDate> dates = sessions.dates();
          workspace
              .past()
              .cases(
                  dates.reversed(),
                  question,
                  today,
                  some -> Platform.runLater(() -> came(into, some, ++done[0], dates.size())),
                  progress);
          return sessions;
        },
        sessions -> {
          over();
          leftOut.setText(wrong(sessions));
          leftOut.setVisible(!leftOut.getText().isEmpty());
          if (sessions.dates().isEmpty()) {
            edge.setText("No session before this one was recorded.");
          }
          answer();
        });
  }

  /** Which sessions are left out, and what is wrong with those that were read. */
  private String wrong(SessionsAsked sessions) {
    List<String> faults = workspace.past().faults(sessions.dates());
    if (faults.isEmpty()) {
      return sessions.words();
    }
    String others =
        faults.size() == 1 ? "" : " There are " + faults.size() + " such; kelvo check names all.";
    return (sessions.words() + " Not all could be read. " + faults.getFirst() + others).strip();
  }

  private void came(
      Map<LocalDate, List<ResearchCase>> into, List<ResearchCase> some, int done, int of) {
    if (!some.isEmpty()) {
      into.put(some.getFirst().date(), some);
    }
    if (into == bySession && stop.isVisible()) {
      working.setText("session " + Math.min(done + 1, of) + " of " + of);
      if (!answers.isBusy()) {
        answer();
      }
    }
  }

  private void stop() {
    found.stop();
    over();
    goOn.setVisible(true);
    answer();
  }

  /** Sessions that have been played are not played again. */
  private void goOn() {
    asked = null;
    ask();
  }

  private void over() {
    working.setText("");
    stop.setVisible(false);
  }

  /** Answers by the sessions that have been played. */
  private void answer() {
    Question question = asked;
    Held until = sentence.held();
    if (question == null) {
      return;
    }
    List<ResearchCase> known = bySession.values().stream().flatMap(List::stream).toList();
    answers.ask(
        progress -> {
          Answer made = Answer.of(question, until, known);
          return new Shown(
              made,
              ResultsByHorizon.SHOWN.stream()
                  .map(held -> ResultBars.of(made.cases(), held))
                  .toList(),
              made.cases().isEmpty()
                  ? List.of()
                  : Arrays.stream(Reach.values()).map(made::reach).toList(),
              sheets(made.cases()));
        },
        this::show);
  }

  private Map<ResearchCase, RecordSheet> sheets(List<ResearchCase> known) {
    List<RecordSheet> found = workspace.past().sheets(known, workspace.day());
    Map<ResearchCase, RecordSheet> sheets = new IdentityHashMap<>();
    for (int i = 0; i < known.size(); i++) {
      sheets.put(known.get(i), found.get(i));
    }
    return sheets;
  }

  private void show(Shown shown) {
    Answer now = shown.answer();
    answer = now;
    sheets = shown.sheets();
    figures.show(now);
    if (!now.cases().isEmpty()) {
      edge.setText(now.words());
    } else if (!stop.isVisible()) {
      edge.setText(
          goOn.isVisible()
              ? "Stopped before anything was found; \"Go on\" plays the other sessions."
              : "Nothing was found in these sessions; ask about another scan or moment.");
    }
    distributions.show(shown.bars());
    reaches.show(shown.reaches());
    leftCut.show(now);
    rightCut.show(now);
    // Who looks at some of the cases goes on with them while others come.
    if (list.name().isEmpty()) {
      listAll();
    }
    if (drill == null) {
      nextStep.set(NEXT);
    }
    if (!stop.isVisible()) {
      holdAgainst(now);
    }
  }

  /** Asks the kept question beside this one, once this one is answered. */
  private void holdAgainst(Answer now) {
    KeptQuestion kept = sentence.beside();
    Question other = kept == null ? null : sentence.of(kept);
    if (kept == null || other == null) {
      besides.stop();
      beside.tell(kept == null ? "" : "There is no scan \"" + kept.scan() + "\" any more.");
      return;
    }
    beside.tell("Asking \"" + kept.name() + "\" too.");
    LocalDate today = workspace.day();
    int last = kept.last() == 0 ? Integer.MAX_VALUE : kept.last();
    besides.askInstead(
        progress -> {
          List<LocalDate> dates =
              workspace.past().asked(other).only(date -> date.isBefore(today)).newest(last).dates();
          List<ResearchCase> cases =
              workspace.past().cases(dates.reversed(), other, today, some -> {}, progress);
          return AnswersBeside.of(now, Answer.of(other, kept.until(), cases));
        },
        held -> beside.show(kept.name(), held));
  }

  private void listEdge() {
    Answer now = answer;
    if (now != null) {
      now.edge()
          .ifPresentOrElse(
              cell -> list(now.of(cell), cell.cut().words() + " " + cell.name()), this::listAll);
    }
  }

  private void listAll() {
    Answer now = answer;
    if (now != null) {
      list(now.cases(), "");
    }
  }

  /** Lists some of the cases, or all of them when {@code name} is empty. */
  private void list(List<ResearchCase> some, String name) {
    list = ListedCases.of(some, name);
    cases.rows(list.cases());
    all.setVisible(!name.isEmpty());
    listed.setText(list.words());
  }

  private void selectExtreme(int way) {
    Answer now = answer;
    if (now != null) {
      list.extreme(now.until(), way).ifPresent(this::select);
    }
  }

  private void select(ResearchCase one) {
    cases.select(key(one));
  }

  private static String key(ResearchCase one) {
    return one.date() + " " + one.symbol() + " " + one.at();
  }

  /** Shows some of the listed cases blind, others each time. */
  private void drill() {
    Answer now = answer;
    if (now == null) {
      return;
    }
    List<ResearchCase> some = Drill.of(list.cases(), now.until(), Drill.USUAL, System.nanoTime());
    if (some.isEmpty()) {
      workspace.window().action().set("No case listed here can be decided on its own day");
      return;
    }
    drill = new DrillPane(workspace, now.question(), now.until(), some, this::showQuestion);
    setTop(null);
    setCenter(drill);
    nextStep.set(
        "L, S and N call what you see, Up and Down move the stop, Enter goes on, Escape ends it");
  }

  private void showQuestion() {
    drill = null;
    setTop(asking);
    setCenter(answered);
    nextStep.set(NEXT);
  }

  private void open(ResearchCase one) {
    workspace.navigation().open(OtherDay.of(one.date(), one.at(), one.symbol()));
  }
}
