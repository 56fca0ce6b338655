package kelvo.desktop.morning;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.application.Platform;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Parent;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.rules.ChecksEditor;
import kelvo.desktop.rules.PointedRules;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Field;
import kelvo.field.Unit;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.rule.RuleCompletion;
import kelvo.rule.SessionWords;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.view.MatchesView;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;

/** The Morning stage: the gap field, the triage table, keep and drop with a reason, the Ten. */
public final class MorningStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Morning", 2);

  private static final double EDITOR_HEIGHT = 398;

  private final Workspace workspace;
  private final GapField field;
  private final Grid<TriageRow> table = new Grid<>("Triage", TriageRow::symbol);
  private final Label count = new Label();
  private final ReasonBar reasons = new ReasonBar();
  private final ComboBox<String> scans = new ComboBox<>();
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
    followed = new Followed<>(workspace, this::list);
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
    middle.setTop(new VBox(chooser()));
    middle.setBottom(reasons);
    setTop(field);
    setCenter(middle);
    setRight(ten);
    table.onTold(workspace.action()::set);
    table.onSelect(row -> workspace.focusOn(row.symbol()));
    PointedRules pointed = new PointedRules(workspace);
    table.onCellMenu(
        (row, column, x, y) -> {
          if (column > 0) {
            Field field = columnsOf.get(column - 1);
            pointed.offer(table, field, row.match().text(column - 1), x, y);
          }
        });
    workspace.workedRule().addListener((o, was, is) -> worked(is.intValue()));
    workspace.wall().addListener((o, was, is) -> setTop(is ? wall : field));
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
    workspace.focus().addListener((o, was, is) -> table.select(is));
    workspace.theme().addListener((o, was, is) -> table.theme(is));
    table.theme(workspace.theme().get());
  }

  private HBox chooser() {
    nameScans();
    workspace.desk().scans().addListener((ListChangeListener<Scan>) change -> nameScans());
    workspace.shownScan().addListener((o, was, is) -> scans.setValue(is.name()));
    scans.setFocusTraversable(false);
    scans.setAccessibleText("Scan");
    scans.setOnAction(
        e ->
            workspace.scans().stream()
                .filter(s -> s.name().equals(scans.getValue()))
                .findFirst()
                .ifPresent(workspace.shownScan()::set));
    Label keys = new Label("K keep  D drop  W watch  E scan  C checks  V wall  L again");
    keys.getStyleClass().addAll("faded", "small");
    count.getStyleClass().add("small");
    count.setMinWidth(USE_PREF_SIZE);
    HBox line = new HBox(10, scans, count, keys);
    line.setAlignment(Pos.CENTER_LEFT);
    line.getStyleClass().add("part");
    return line;
  }

  private void nameScans() {
    scans.getItems().setAll(workspace.scans().stream().map(Scan::name).toList());
    scans.setValue(workspace.shownScan().get().name());
  }

  private void openEditor() {
    workspace.workedRule().set(0);
  }

  private void openChecks() {
    closeEditor();
    checks.show(workspace.desk().checks().get());
    setTop(checks);
  }

  private void closeEditor() {
    setTop(field);
    workspace.wall().set(false);
    workspace.workedRule().set(Workspace.NO_RULE);
    table.requestFocus();
  }

  private void worked(int rule) {
    boolean editing = rule != Workspace.NO_RULE;
    if (editing != (getTop() == editor)) {
      setTop(editing ? editor : field);
    }
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
  public void shown() {
    inFront = true;
    workspace.scanInFront().set(true);
    followed.follow(new MatchesView(workspace.session(), workspace.shownScan().get()));
    ten.shown();
    serveTop();
  }

  @Override
  public void hidden() {
    inFront = false;
    workspace.scanInFront().set(false);
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
      table.columns(columns(scan));
    }
    Map<String, Decision> decided = workspace.book().get().decidedAt(workspace.now());
    List<TriageRow> rows = new ArrayList<>();
    for (Matches.Row match : shown.rows()) {
      String symbol = workspace.session().security(match.security()).symbol();
      Decision decision = decided.get(symbol);
      rows.add(
          new TriageRow(symbol, match, decision == null ? Choice.UNDECIDED : decision.choice()));
    }
    table.emptyText(whyEmpty(shown));
    if (another) {
      table.otherRows(rows);
    } else {
      table.rows(rows);
    }
    count.setText(shown.fitting() + " fit");
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

  private static List<GridColumn<TriageRow>> columns(Scan scan) {
    List<GridColumn<TriageRow>> columns = new ArrayList<>();
    columns.add(
        GridColumn.<TriageRow>words(
                "Symbol",
                "The ticker; ● kept, ○ watched, × dropped",
                78,
                r -> r.mark() + r.symbol())
            .toned(r -> tone(r.choice())));
    for (int i = 0; i < scan.columns().size(); i++) {
      columns.add(column(scan.columns().get(i), i));
    }
    return columns;
  }

  private static GridColumn<TriageRow> column(Field field, int place) {
    String header = field.unit().header();
    String title =
        header.isEmpty() || field.words().endsWith("%")
            ? field.words()
            : field.words() + " " + header;
    boolean word = field instanceof Field.Word;
    double width = word ? 110 : width(field.unit());
    return new GridColumn<>(
        title,
        field.meaning() + " Unknown when " + field.unknownWhen() + ".",
        width,
        !word,
        r -> r.match().text(place),
        r -> tone(field, r.match(), place));
  }

  private static Tone tone(Choice choice) {
    return switch (choice) {
      case KEEP -> Tone.ACCENT;
      case DROP -> Tone.FADED;
      case WATCH, UNDECIDED -> Tone.INK;
    };
  }

  private static double width(Unit unit) {
    return switch (unit) {
      case PERCENT -> 44;
      case SHARES, COUNT -> 54;
      case PRICE -> 52;
      default -> 50;
    };
  }

  private static Tone tone(Field field, Matches.Row match, int place) {
    double value = match.values()[place];
    return switch (field.words()) {
      case "gap", "change %", "change" -> Tone.ofChange(value);
      case "split flag", "halted" -> value == 1 ? Tone.DOWN : Tone.FADED;
      case "spread %" -> value > 1 ? Tone.DOWN : Tone.INK;
      case "minutes since news" -> Tone.CATALYST;
      default -> Tone.INK;
    };
  }

  @Override
  public boolean key(KeyEvent event) {
    String symbol = workspace.focus().get();
    switch (event.getCode()) {
      case K -> decide(Choice.KEEP, symbol);
      case D -> decide(Choice.DROP, symbol);
      case W -> {
        workspace.trader().decide(symbol, Choice.WATCH, "");
        table.move(1);
      }
      case J, SPACE -> table.move(1);
      case E -> {
        if (getTop() == editor) {
          closeEditor();
        } else {
          openEditor();
        }
      }
      case R -> {
        openEditor();
        editor.addRule();
      }
      case C -> {
        if (getTop() == checks) {
          closeEditor();
        } else {
          openChecks();
        }
      }
      case L -> {
        if (getTop() == secondLook) {
          closeEditor();
        } else {
          closeEditor();
          setTop(secondLook);
          secondLook.look();
        }
      }
      case V -> {
        if (getTop() == wall) {
          closeEditor();
        } else {
          closeEditor();
          workspace.wall().set(true);
        }
      }
      case U -> workspace.undo();
      default -> {
        return plan.key(event.getCode());
      }
    }
    return true;
  }

  private void decide(Choice choice, String symbol) {
    if (symbol.isEmpty()) {
      workspace.action().set("No symbol in focus: J takes the first");
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
        },
        table::requestFocus);
  }

  /** The Ten is full: one of them goes, then the newcomer is kept with a reason. */
  private void askWhichGoes(String newcomer) {
    List<String> kept = TheTen.at(workspace.book().get(), workspace.now()).symbols();
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
            workspace.action().set(typed + " is not one of the Ten; nobody went");
          }
        },
        table::requestFocus);
  }

  /** Puts the first row of the table in focus. */
  public void focusOnFirst() {
    table.rows().stream().findFirst().ifPresent(row -> workspace.focusOn(row.symbol()));
  }

  /** How many fit the scan that is listed, also beyond its limit. */
  public int fitting() {
    return listed == null ? 0 : listed.fitting();
  }

  /** How many dots are in the gap field. */
  public int dotsInGapField() {
    return field.dots();
  }

  /** How many small charts are on the wall. */
  public int chartsOnWall() {
    return wall.charts();
  }

  /** How many small charts the last painting drew. */
  public int chartsPaintedLast() {
    return wall.paintedLast();
  }

  /** How many triage rows can be seen. */
  public int visibleRows() {
    return table.visibleRows();
  }
}
