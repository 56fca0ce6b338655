package kelvo.desktop.review;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.Toggle;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.setting.SettingRows;
import kelvo.desktop.theme.FirstChoice;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.trackrecord.SixFiguresRow;
import kelvo.desktop.trackrecord.TrackRecordPane;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.StageKey;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.review.DayReview;
import kelvo.review.ReviewLane;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.review.ScanTotals;
import kelvo.review.TradeTotals;
import kelvo.scan.Scan;
import kelvo.setting.Setting;
import kelvo.time.DayTime;
import kelvo.trade.Fill;

/** The Review stage: lanes, then trades, moves or scans as a table, and the totals. */
public final class ReviewStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Review", 5, "fth-check-square");

  private final Workspace workspace;
  private final ReadOnlyStringWrapper nextStep = new ReadOnlyStringWrapper("");
  private final SixFiguresRow six = new SixFiguresRow();
  private final LanesView lanes;
  private final CloseUp closeUp;
  private final Grid<ReviewedTrade> trades =
      new Grid<>("Trades", t -> t.trade().entryAt() + t.trade().symbol());
  private final Grid<ReviewedMove> moves =
      new Grid<>("Moves", m -> m.move().start() + m.move().symbol() + m.move().side());
  private final Grid<ScanTotals> scans = new Grid<>("Scans", ScanTotals::scan);
  private final MeasuresPanel measures;
  private final WhatIfPanel whatIf;
  private final WhyNotPanel whyNot;
  private final FillsPanel fillsIn;
  private final JournalPanel journal;
  private final DecisionsPanel decisions;
  private final SettingRows bounds;
  private final ToggleGroup tables = new ToggleGroup();
  private final ToggleGroup laneOrders = new ToggleGroup();
  private final BorderPane table = new BorderPane();
  private final VBox below = new VBox();
  private final Label totals = new Label();
  private final Label offPlan = new Label();
  private final Label beforeRecord = new Label();
  private final Button opening =
      SmallButton.inTabOrder("Say how it was opened", "", this::askForOpening);
  private final SplitPane day;
  private final TrackRecordPane record;
  private Grid<?> listed = trades;
  private boolean inFront;

  /** The stage of a window. */
  public ReviewStage(Workspace workspace) {
    this.workspace = workspace;
    closeUp = new CloseUp(workspace);
    lanes = new LanesView(workspace, this::choose, this::choose);
    measures = new MeasuresPanel(workspace);
    whatIf = new WhatIfPanel(workspace);
    whyNot = new WhyNotPanel(workspace, this::attempt);
    fillsIn = new FillsPanel(workspace);
    journal = new JournalPanel(workspace, new ExportPanel(workspace));
    decisions = new DecisionsPanel(workspace);
    bounds = new SettingRows(workspace.settings(), Setting.Group.REVIEW);
    trades.columns(ReviewColumns.trades());
    moves.columns(ReviewColumns.moves());
    scans.columns(ReviewColumns.scans());
    trades.emptyText("No trades up to this moment. F brings fills in from a broker's table.");
    moves.emptyText("No moves up to this moment.");
    trades.onSelect(this::choose);
    moves.onSelect(this::choose);
    table.setTop(tabs());
    table.setCenter(trades);
    table.setBottom(totals());
    BorderPane above = new BorderPane(lanes);
    above.setTop(new VBox(six, orders()));
    SplitPane split = new SplitPane(above, table);
    split.setOrientation(Orientation.VERTICAL);
    split.setDividerPositions(0.5);
    day = split;
    record = new TrackRecordPane(workspace, this::chooseOfToday, this::showDay);
    setCenter(day);
    workspace.review().review().addListener((o, was, is) -> show());
    workspace.clock().shown().addListener((o, was, is) -> refresh());
    workspace.clock().hitCounts().addListener((o, was, is) -> refresh());
    workspace.book().addListener((o, was, is) -> refresh());
    workspace.window().theme().addListener((o, was, is) -> theme());
    theme();
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
  public List<StageKey> keys() {
    return List.of(
        new StageKey("J, space", "the next row; with Shift the one before"),
        new StageKey("T", "trades, then moves, then scans"),
        new StageKey("L", "lanes by verdict, time or scan"),
        new StageKey("M", "measures"),
        new StageKey("W", "what if"),
        new StageKey("K", "keep its change"),
        new StageKey("Y", "why not"),
        new StageKey("F", "fills in"),
        new StageKey("A", "add the fills that are shown"),
        new StageKey("D", "what was decided on, and what it did"),
        new StageKey("N", "notes, tags and rules"),
        new StageKey("B", "the bounds that verdicts go by"),
        new StageKey("S", "sessions, and the day again"),
        new StageKey("J, space, Enter", "in sessions: an earlier one, the next trade, open it"),
        new StageKey("Left, Right", "in sessions: a shorter or longer period"),
        new StageKey("C", "the choices of what is shown: Up and Down choose, Tab goes on"));
  }

  @Override
  public boolean key(KeyEvent event) {
    boolean ofRecord = getCenter() == record;
    switch (event.getCode()) {
      case S -> {
        if (ofRecord) {
          showDay();
        } else {
          showRecord();
        }
      }
      case ENTER -> {
        if (!ofRecord) {
          return false;
        }
        record.enter();
      }
      case J, SPACE -> {
        int way = event.isShiftDown() ? -1 : 1;
        if (!ofRecord) {
          next(way);
        } else if (event.getCode() == KeyCode.J) {
          record.step(-way);
        } else {
          record.nextTrade(way);
        }
      }
      case LEFT, RIGHT -> {
        if (!ofRecord) {
          return false;
        }
        record.otherPeriod(event.getCode() == KeyCode.LEFT ? -1 : 1);
      }
      case C -> {
        return FirstChoice.focus(ofRecord ? record : (Parent) table.getCenter());
      }
      case A -> fillsIn.addShown();
      case K -> whatIf.keep();
      case L -> otherOrder();
      case T -> choose(nextTable());
      case M -> choose(measures);
      case W -> choose(whatIf);
      case Y -> choose(whyNot);
      case F -> choose(fillsIn);
      case N -> {
        choose(journal);
        journal.write();
      }
      case D -> choose(decisions);
      case B -> choose(bounds);
      default -> {
        return false;
      }
    }
    return true;
  }

  /** Shows several sessions together in place of the day. */
  private void showRecord() {
    setCenter(record);
    record.seen();
    say();
  }

  private void showDay() {
    setCenter(day);
    say();
  }

  /** What the trader might do next. */
  private void say() {
    DayReview review = workspace.review().review().get();
    if (getCenter() == record) {
      nextStep.set(
          "Sessions up to this one: J chooses an earlier one, space the next trade, Enter opens it, S is"
              + " the day again");
    } else if (review != null) {
      nextStep.set(
          review.trades().size()
              + " trades against "
              + review.moves().size()
              + " moves: walk with J; a click on a lane puts its symbol in focus");
    }
  }

  private void chooseOfToday(ReviewedTrade trade) {
    showDay();
    choose(trades);
    choose(trade);
  }

  /** The next row of what is shown; beside the journal that is the next trade or move. */
  private void next(int way) {
    if (table.getCenter() == whyNot) {
      whyNot.next(way);
    } else if (table.getCenter() == decisions) {
      decisions.next(way);
    } else if (table.getCenter() == listed || table.getCenter() == journal) {
      listed.move(way);
    }
  }

  /** Trades, unless a table is shown already: then the one after it. */
  private Grid<?> nextTable() {
    List<Grid<?>> all = List.of(trades, moves, scans);
    boolean ofDay = getCenter() == day;
    return all.get(ofDay ? (all.indexOf(table.getCenter()) + 1) % all.size() : 0);
  }

  private void otherOrder() {
    List<Toggle> all = laneOrders.getToggles();
    int next = (all.indexOf(laneOrders.getSelectedToggle()) + 1) % all.size();
    ((ToggleButton) all.get(next)).fire();
  }

  /** Opens what a tab stands for. */
  private void choose(Region shown) {
    showDay();
    tables.getToggles().stream()
        .filter(tab -> tab.getUserData() == shown)
        .forEach(tab -> tab.setSelected(true));
    open(shown);
  }

  @Override
  public void shown() {
    inFront = true;
    refresh();
    whyNot.seen(table.getCenter() == whyNot);
  }

  @Override
  public void hidden() {
    inFront = false;
    whyNot.seen(false);
  }

  private void refresh() {
    if (inFront) {
      workspace.refreshReview();
    }
  }

  private void choose(ReviewedTrade trade) {
    closeUp.show(trade, workspace.review().settings());
    journal.about(trade);
    workspace
        .focus()
        .lookAt(trade.trade().symbol(), Math.max(DayTime.FIRST, trade.trade().entryAt()));
  }

  private void choose(ReviewedMove move) {
    closeUp.show(move, workspace.review().settings());
    journal.about(move);
    workspace.focus().lookAt(move.move().symbol(), move.move().start());
  }

  /** What the lanes are ordered by. */
  private HBox orders() {
    Label by = new Label("lanes by");
    by.getStyleClass().addAll("small", "faded");
    HBox line = new HBox(4, by);
    line.setAlignment(Pos.CENTER_LEFT);
    line.getStyleClass().addAll("card", "part");
    for (ReviewLane.Order order : ReviewLane.Order.values()) {
      ToggleButton button = new ToggleButton(order.name().toLowerCase(Locale.ROOT));
      button.getStyleClass().setAll("toggle-button", "small-button");
      button.setToggleGroup(laneOrders);
      button.setSelected(order == ReviewLane.Order.VERDICT);
      button.setFocusTraversable(false);
      button.setOnAction(
          e -> {
            button.setSelected(true);
            lanes.order(order);
          });
      line.getChildren().add(button);
    }
    Label legend = new Label("bands are moves, ticks their hits, bars trades, dots news");
    legend.getStyleClass().addAll("small", "faded");
    legend.setMinWidth(0);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    line.getChildren().addAll(space, legend, SmallButton.of("Sessions…", "S", this::showRecord));
    return line;
  }

  private HBox tabs() {
    HBox tabs = new HBox(3);
    tabs.getStyleClass().addAll("part", "tabs");
    for (Grid<?> grid : List.of(trades, moves, scans)) {
      tabs.getChildren().add(tab(grid.getAccessibleText(), grid));
    }
    tabs.getChildren()
        .addAll(
            tab("Decided", decisions),
            tab("Measures", measures),
            tab("What if", whatIf),
            tab("Why not", whyNot),
            tab("Fills in", fillsIn),
            tab("Journal", journal),
            tab("Bounds", bounds));
    tables.getToggles().getFirst().setSelected(true);
    return tabs;
  }

  private ToggleButton tab(String name, Region shown) {
    ToggleButton button = new ToggleButton(name);
    button.getStyleClass().setAll("toggle-button", "small-button");
    button.setFocusTraversable(false);
    button.setMinWidth(USE_PREF_SIZE);
    button.setToggleGroup(tables);
    button.setUserData(shown);
    button.setOnAction(
        e -> {
          button.setSelected(true);
          open(shown);
        });
    return button;
  }

  private void open(Region shown) {
    table.setCenter(shown);
    boolean ofTrades = shown instanceof Grid<?>;
    if (shown instanceof Grid<?> grid) {
      listed = grid;
    } else {
      closeUp.clear();
    }
    below.setVisible(ofTrades);
    below.setManaged(ofTrades);
    whyNot.seen(inFront && shown == whyNot);
  }

  private void attempt(Scan scan, Scan changed) {
    choose(whatIf);
    whatIf.attempt(scan, changed);
  }

  private VBox totals() {
    totals.getStyleClass().add("small");
    offPlan.getStyleClass().add("small");
    Label settings = new Label(workspace.review().settings().words());
    settings.getStyleClass().addAll("faded", "small");
    settings.setWrapText(true);
    workspace
        .settings()
        .settings()
        .addListener((o, was, is) -> settings.setText(workspace.review().settings().words()));
    beforeRecord.setWrapText(true);
    beforeRecord.getStyleClass().add("tone-bad");
    opening.managedProperty().bind(opening.visibleProperty());
    opening.visibleProperty().bind(beforeRecord.textProperty().isNotEmpty());
    beforeRecord.managedProperty().bind(beforeRecord.textProperty().isNotEmpty());
    for (Label line : List.of(totals, offPlan, settings)) {
      line.managedProperty().bind(line.visibleProperty());
      line.visibleProperty().bind(closeUp.visibleProperty().not());
    }
    VBox box = new VBox(2, totals, offPlan, beforeRecord, opening, settings);
    box.getStyleClass().addAll("card", "part");
    below.getChildren().addAll(closeUp, box);
    return below;
  }

  private void theme() {
    List.of(trades, moves, scans).forEach(grid -> grid.theme(workspace.window().theme().get()));
    measures.theme();
    decisions.theme();
    whatIf.theme();
    whyNot.theme();
  }

  private void show() {
    DayReview review = workspace.review().review().get();
    lanes.show(review);
    measures.show(review);
    decisions.show(review);
    if (review == null) {
      six.clear();
      closeUp.clear();
      trades.rows(List.of());
      moves.rows(List.of());
      scans.rows(List.of());
      totals.setText("The review of this moment is being made");
      offPlan.setText("");
      beforeRecord.setText("");
      return;
    }
    six.show(review.figures());
    trades.rows(review.trades());
    say();
    moves.rows(review.moves().reversed());
    scans.rows(Stream.concat(review.scans().stream(), review.alerts().stream()).toList());
    totals.setText("All trades: " + words(review.all()));
    offPlan.setText("Off plan or held overnight: " + words(review.offPlan()));
    beforeRecord.setText(opened(review.beforeRecord()));
  }

  /** Asks for the first of the positions of which the record does not know the opening. */
  private void askForOpening() {
    DayReview review = workspace.review().review().get();
    if (review != null && !review.beforeRecord().isEmpty()) {
      choose(fillsIn);
      fillsIn.byHand(review.beforeRecord().getFirst());
    }
  }

  private static String opened(List<Fill> fills) {
    return fills.isEmpty()
        ? ""
        : "Opened before the record, so counted nowhere: "
            + fills.stream()
                .map(f -> f.symbol() + " " + f.side().word() + " " + f.quantity().toPlainString())
                .collect(Collectors.joining(", "))
            + ".";
  }

  private static String words(TradeTotals t) {
    if (t.trades() == 0) {
      return "none closed";
    }
    return t.wins()
        + " won, "
        + t.losses()
        + " lost, "
        + Numbers.money(t.net())
        + " after fees of $"
        + Numbers.fixed(t.fees(), 2)
        + ", profit factor "
        + (Double.isNaN(t.profitFactor()) ? "unknown" : Unit.TIMES.text(t.profitFactor()))
        + ", a trade "
        + Numbers.money(t.expectancy())
        + ", largest fall $"
        + Numbers.fixed(t.drawdown(), 2);
  }
}
