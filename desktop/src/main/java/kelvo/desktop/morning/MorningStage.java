package kelvo.desktop.morning;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.rules.ChecksEditor;
import kelvo.desktop.rules.PointedRules;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.StageKey;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.WindowState;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Field;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.rule.RuleCompletion;
import kelvo.rule.SessionWords;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.view.MatchesView;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;

/** The Morning stage: the gap field, the triage table, keep and drop with a reason, the Ten. */
public final class MorningStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Morning", 2, "fth-sunrise");

  /** Mark, symbol and spark stand before the columns of the scan. */
  private static final int FIRST_COLUMNS = TriageColumns.FIRST;

  /** Whom the plan keys act on, for lookups. */
  static final String PROMPT = "#plan-keys";

  private static final int KEYS_BEFORE_PROMPT = 4;
  private static final long SECOND_LOOK_UNTIL = DayTime.of(10, 0);
  private static final double DROPPED = 0.5;
  private static final double EDITOR_HEIGHT = 398;

  private final Workspace workspace;
  private final ReadOnlyStringWrapper nextStep = new ReadOnlyStringWrapper("");
  private final GapField field;
  private final Grid<TriageRow> table = new Grid<>("Triage", TriageRow::symbol);
  private final Label prompt = new Label();
  private final ReasonBar reasons = new ReasonBar();
  private final MorningBar bar;
  private final PlanKeys plan;
  private final ScanEditor editor;
  private final ChecksEditor checks;
  private final SecondLookView secondLook;
  private final ChartWall wall;
  private final TenPanel ten;
  private final Followed<MatchesView.MatchList> followed;
  private List<Field> columnsOf = List.of();
  private MatchesView.@Nullable MatchList listed;
  private boolean inFront;

  /** The stage of a window. */
  public MorningStage(Workspace workspace) {
    this.workspace = workspace;
    field = new GapField(workspace);
    followed = new Followed<>(workspace.clock(), this::list);
    ten = new TenPanel(workspace);
    plan = new PlanKeys(workspace, reasons, table::requestFocus);
    editor = new ScanEditor(workspace, this::closeEditor);
    editor.setPrefHeight(EDITOR_HEIGHT);
    checks =
        new ChecksEditor(
            workspace.desk().vocabulary(),
            new RuleCompletion(
                workspace.desk().vocabulary(), new SessionWords(workspace.session())),
            workspace.desk()::ask,
            this::closeEditor);
    checks.setPrefHeight(EDITOR_HEIGHT);
    wall = new ChartWall(workspace);
    wall.setPrefHeight(EDITOR_HEIGHT);
    secondLook = new SecondLookView(workspace, this::closeEditor);
    secondLook.setPrefHeight(EDITOR_HEIGHT);
    BorderPane middle = new BorderPane(table);
    bar = new MorningBar(workspace, this::put);
    topProperty().addListener((o, was, is) -> bar.shows(above -> is == node(above)));
    middle.setTop(bar);
    middle.setBottom(new VBox(reasons, keyLine()));
    setTop(field);
    setCenter(middle);
    table.strength(row -> row.isDropped() ? DROPPED : 1);
    table.onTold(workspace.window().action()::set);
    table.onSelect(row -> workspace.focus().on(row.symbol()));
    PointedRules pointed = new PointedRules(workspace);
    table.onCellMenu(
        (row, column, x, y) -> {
          int place = column - FIRST_COLUMNS;
          if (place >= 0 && place < columnsOf.size()) {
            Field field = columnsOf.get(place);
            pointed.offer(table, field, row.listed().match().text(place), x, y);
          }
        });
    workspace.window().workedRule().addListener((o, was, is) -> worked(is.intValue()));
    workspace.window().wall().addListener((o, was, is) -> setTop(is ? wall : field));
    workspace.book().addListener((o, was, is) -> show());
    workspace
        .shownScan()
        .addListener(
            (o, was, is) -> {
              if (inFront) {
                followed.follow(new MatchesView(workspace.session(), is));
              }
            });
    topProperty().addListener((o, was, is) -> serveTop());
    workspace
        .focus()
        .symbol()
        .addListener(
            (o, was, is) -> {
              table.select(is);
              planFor(null);
            });
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
    table.theme(workspace.window().theme().get());
  }

  private HBox keyLine() {
    HBox keys = new HBox(16);
    for (String key : List.of("J next", "K keep", "D drop", "W watch", "U undo", "? all keys")) {
      Label label = new Label(key);
      label.getStyleClass().addAll("faded", "small");
      label.setMinWidth(USE_PREF_SIZE);
      keys.getChildren().add(label);
    }
    prompt.setId(PROMPT.substring(1));
    prompt.getStyleClass().add("small");
    keys.getChildren().add(KEYS_BEFORE_PROMPT, prompt);
    planFor(null);
    keys.getStyleClass().addAll("card", "part", "divided-above");
    return keys;
  }

  private Node node(Above above) {
    return switch (above) {
      case FIELD -> field;
      case WALL -> wall;
      case SECOND_LOOK -> secondLook;
      case SCAN -> editor;
      case CHECKS -> checks;
    };
  }

  /** Puts something above the list, or the field when it stands there already. */
  private void put(Above above) {
    if (getTop() == node(above)) {
      closeEditor();
      return;
    }
    closeEditor();
    switch (above) {
      case FIELD -> {}
      case WALL -> workspace.window().wall().set(true);
      case SECOND_LOOK -> {
        setTop(secondLook);
        secondLook.look();
      }
      case SCAN -> openEditor();
      case CHECKS -> openChecks();
    }
  }

  private void openEditor() {
    workspace.window().workedRule().set(0);
  }

  private void openChecks() {
    closeEditor();
    checks.show(workspace.desk().checks().get());
    setTop(checks);
  }

  private void closeEditor() {
    setTop(field);
    workspace.window().wall().set(false);
    workspace.window().workedRule().set(WindowState.NO_RULE);
    table.requestFocus();
  }

  private void worked(int rule) {
    boolean editing = rule != WindowState.NO_RULE;
    if (editing != (getTop() == editor)) {
      setTop(editing ? editor : field);
    }
  }

  @Override
  public List<StageKey> keys() {
    return List.of(
        new StageKey("J, space", "the next one"),
        new StageKey("K", "keep, with a reason"),
        new StageKey("W", "watch only, with a reason"),
        new StageKey("D", "drop, with a reason"),
        new StageKey("U", "undo"),
        new StageKey("S", "turn the side of the plan"),
        new StageKey("B", "the next bucket of the plan"),
        new StageKey("N", "the line of the plan"),
        new StageKey("T", "a level that alerts"),
        new StageKey("E", "edit the scan"),
        new StageKey("R", "one more rule"),
        new StageKey("C", "what the checks ask"),
        new StageKey("V", "wall of small charts"),
        new StageKey("L", "second look"));
  }

  @Override
  public ObservableValue<String> nextStep() {
    return nextStep.getReadOnlyProperty();
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
  public Node below() {
    return ten;
  }

  @Override
  public void shown() {
    inFront = true;
    workspace.window().scanInFront().set(true);
    followed.follow(new MatchesView(workspace.session(), workspace.shownScan().get()));
    ten.shown();
    serveTop();
  }

  @Override
  public void hidden() {
    inFront = false;
    workspace.window().scanInFront().set(false);
    followed.stop();
    ten.hidden();
    serveTop();
  }

  /** Of what may stand above the table only what stands there follows the market. */
  private void serveTop() {
    field.follow(inFront && getTop() == field);
    wall.follow(inFront && getTop() == wall);
    editor.follow(inFront && getTop() == editor);
  }

  private void list(MatchesView.MatchList newest) {
    boolean another = listed == null || !listed.scan().equals(newest.scan());
    listed = newest;
    show(another);
  }

  private void show() {
    show(false);
  }

  private void show(boolean another) {
    MatchesView.MatchList shown = listed;
    if (shown == null) {
      return;
    }
    Scan scan = shown.scan();
    if (!columnsOf.equals(scan.columns())) {
      columnsOf = scan.columns();
      table.columns(TriageColumns.of(scan, workspace.clock()::now));
    }
    Map<String, Decision> decided = workspace.book().get().decidedAt(workspace.clock().now());
    List<TriageRow> rows = new ArrayList<>();
    for (MatchesView.Listed listed : shown.rows()) {
      String symbol = workspace.session().security(listed.match().security()).symbol();
      rows.add(new TriageRow(symbol, listed, decided.get(symbol)));
    }
    table.emptyText(whyEmpty(shown));
    if (another) {
      table.otherRows(rows);
    } else {
      table.rows(rows);
    }
    long kept = decided.values().stream().filter(one -> one.choice() == Choice.KEEP).count();
    nextStep.set(next(shown.fitting(), kept));
    bar.counts(shown.fitting() + " fit · " + decided.size() + " decided · " + kept + " kept");
  }

  private String next(int fitting, long kept) {
    long now = workspace.clock().now();
    if (kept > 0 && now >= SessionHours.OPEN && now < SECOND_LOOK_UNTIL) {
      return "The market is open, " + kept + " kept: L shows what has changed since the morning";
    }
    return fitting == 0
        ? "Nobody fits: E loosens a rule, or choose another scan above the list"
        : fitting + " fit, " + kept + " kept: walk with J, keep with K, drop with D";
  }

  private static String whyEmpty(MatchesView.MatchList shown) {
    var why = shown.whyEmpty();
    if (why == null) {
      return "";
    }
    StringBuilder text = new StringBuilder("Nobody fits. ").append(why.sentence());
    why.counts()
        .forEach(
            c ->
                text.append('\n')
                    .append(c.rule())
                    .append(": ")
                    .append(c.alone())
                    .append(" pass it alone, ")
                    .append(c.left())
                    .append(" left"));
    return text.toString();
  }

  @Override
  public boolean key(KeyEvent event) {
    String symbol = workspace.focus().symbol().get();
    switch (event.getCode()) {
      case K -> decide(Choice.KEEP, symbol);
      case D -> decide(Choice.DROP, symbol);
      case W -> decide(Choice.WATCH, symbol);
      case J, SPACE -> table.move(1);
      case E -> put(Above.SCAN);
      case R -> {
        openEditor();
        editor.addRule();
      }
      case C -> put(Above.CHECKS);
      case L -> put(Above.SECOND_LOOK);
      case V -> put(Above.WALL);
      case U -> workspace.undoStack().undo();
      default -> {
        return plan.key(event.getCode());
      }
    }
    return true;
  }

  private void decide(Choice choice, String symbol) {
    if (symbol.isEmpty()) {
      workspace.window().action().set("No symbol in focus: J takes the first");
      return;
    }
    if (choice == Choice.KEEP && workspace.trader().isTenFullFor(symbol)) {
      askWhichGoes(symbol);
      return;
    }
    reasons.askWhy(
        choice,
        symbol,
        reason -> {
          workspace.trader().decide(symbol, choice, reason);
          table.move(1);
          if (choice == Choice.KEEP) {
            planFor(symbol);
          }
        },
        table::requestFocus);
  }

  /** The plan keys belong to a symbol, which the prompt line says; null for the one in focus. */
  private void planFor(@Nullable String symbol) {
    plan.of(symbol);
    prompt.setText(
        symbol == null
            ? "S B N T side, bucket, plan, level"
            : symbol + ": S turn the side · B bucket · N plan · T level");
    prompt.getStyleClass().removeAll("faded", "tone-accent");
    prompt.getStyleClass().add(symbol == null ? "faded" : "tone-accent");
  }

  /** The Ten is full: one of them goes, then the newcomer is kept with a reason. */
  private void askWhichGoes(String newcomer) {
    List<String> kept = TheTen.at(workspace.book().get(), workspace.clock().now()).symbols();
    reasons.ask(
        "Who goes for " + newcomer + "?",
        kept,
        typed -> {
          String goes = typed.toUpperCase(Locale.ROOT);
          if (kept.contains(goes)) {
            workspace.trader().decide(goes, Choice.DROP, "made room for " + newcomer);
            // The bar's text field is still taking the answer; it can ask again after that.
            Platform.runLater(() -> decide(Choice.KEEP, newcomer));
          } else {
            workspace.window().action().set(typed + " is not one of the Ten; nobody went");
          }
        },
        table::requestFocus);
  }

  /** Puts the first row of the table in focus. */
  public void focusOnFirst() {
    table.rows().stream().findFirst().ifPresent(row -> workspace.focus().on(row.symbol()));
  }

  /** How many fit the scan that is listed, also beyond its limit. */
  public int fitting() {
    return listed == null ? 0 : listed.fitting();
  }

  /** How many small charts are on the wall. */
  public int chartsOnWall() {
    return wall.charts();
  }

  /** How many small charts the last painting drew. */
  public int chartsPaintedLast() {
    return wall.paintedLast();
  }

  /** How many triage rows there are. */
  public int rows() {
    return table.rows().size();
  }

  /** How many triage rows can be seen. */
  public int visibleRows() {
    return table.visibleRows();
  }
}
