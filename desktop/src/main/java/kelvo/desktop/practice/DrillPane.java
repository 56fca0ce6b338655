package kelvo.desktop.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.OtherDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.history.MinuteBar;
import kelvo.job.LatestAnswer;
import kelvo.practice.BlindBars;
import kelvo.practice.DrillCall;
import kelvo.practice.DrillScore;
import kelvo.practice.KeptCall;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.time.DayTime;

/**
 * A drill: cases one after another, each shown blind at its moment, until all have been called;
 * then what the calls came to beside the scan alone. By keyboard: L, S and N call, Up and Down move
 * the stop, Enter goes on, Escape ends it. Only for the window's thread.
 */
public final class DrillPane extends BorderPane {
  /** Where it says what is asked and what came of it. */
  public static final String TOLD = "#drill-told";

  /** What it says there while a case is read. */
  public static final String READING = "Reading the next case.";

  private static final double FIRST_STOP = 0.02;
  private static final double STOP_STEP = 0.005;
  private static final double WIDEST = 0.3;

  /** How many minutes are seen before the call. */
  private static final int SEEN = 120;

  private final Workspace workspace;
  private final Question question;
  private final Held until;
  private final List<ResearchCase> cases;
  private final Runnable ended;
  private final LatestAnswer reading;
  private final BlindChart chart;
  private final Label place = new Label();
  private final Label told = new Label();
  private final List<Done> done = new ArrayList<>();
  private final Grid<Done> calls =
      new Grid<>("Calls", one -> one.one().date() + " " + one.one().symbol() + one.one().at());
  private List<MinuteBar> bars = List.of();
  private List<MinuteBar> seen = List.of();
  private long close;
  private double stop = FIRST_STOP;
  private Standing standing = Standing.READING;
  private int at;
  private int unread;

  private enum Standing {
    READING,
    ASKED,
    TOLD,
    OVER
  }

  /** The minutes of a case's session, and when its regular hours end. */
  private record Read(List<MinuteBar> bars, long close) {}

  /** A case that has been called. */
  private record Done(ResearchCase one, double stop, DrillScore score) {}

  /**
   * Begins with the first case.
   *
   * @param until until when cases are held, at most the close
   * @param cases in the order in which they are shown, at least one
   * @param ended runs when it is left
   */
  public DrillPane(
      Workspace workspace,
      Question question,
      Held until,
      List<ResearchCase> cases,
      Runnable ended) {
    this.workspace = workspace;
    this.question = question;
    this.until = until.withinSession();
    this.cases = List.copyOf(cases);
    this.ended = ended;
    reading = workspace.answers().latest("reading a case of the drill", this::unread);
    chart = new BlindChart(workspace.window().theme());
    setId("drill");
    place.setId("drill-place");
    place.getStyleClass().add("title");
    told.setId(TOLD.substring(1));
    told.setWrapText(true);
    told.setMinHeight(USE_PREF_SIZE);
    HBox head = new HBox(8, place);
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().addAll("card", "part");
    HBox buttons =
        new HBox(
            6,
            call("Long (L)", DrillCall.LONG),
            call("Short (S)", DrillCall.SHORT),
            call("No (N)", DrillCall.NO),
            SmallButton.of("Go on (Enter)", "The next case", this::goOn),
            SmallButton.of("End (Escape)", "Back to the question", ended));
    buttons.setAlignment(Pos.CENTER_LEFT);
    calls.columns(columns());
    calls.onSelect(one -> {});
    VBox foot = new VBox(6, told, buttons);
    foot.setPadding(new Insets(8));
    foot.getStyleClass().addAll("card", "part");
    setTop(head);
    setCenter(chart);
    setBottom(foot);
    read();
  }

  private Button call(String words, DrillCall call) {
    return SmallButton.of(words, "What you would do here", () -> call(call));
  }

  private ResearchCase one() {
    return cases.get(at);
  }

  private void read() {
    ResearchCase wanted = one();
    standing = Standing.READING;
    place.setText((at + 1) + " of " + cases.size());
    told.setText(READING);
    chart.show(BlindBars.NONE, wanted.at());
    reading.ask(
        progress ->
            new Read(
                workspace.past().minuteBars(wanted.date(), wanted.symbol()),
                workspace.past().closeOf(wanted.date())),
        this::ask);
  }

  /** Its session could not be read, which the window tells, or has no bars; the others have. */
  private void unread() {
    unread++;
    told.setText("This case could not be read. Enter goes on.");
    standing = Standing.TOLD;
  }

  private void ask(Read found) {
    if (found.bars().isEmpty()) {
      unread();
      return;
    }
    bars = found.bars();
    close = found.close();
    long moment = one().at();
    List<MinuteBar> before =
        bars.stream().filter(bar -> bar.start() + DayTime.MINUTE <= moment).toList();
    seen = before.subList(Math.max(0, before.size() - SEEN), before.size());
    chart.show(BlindBars.of(seen), moment);
    standing = Standing.ASKED;
    tellStop();
  }

  private void tellStop() {
    told.setText(
        String.format(
            Locale.ROOT,
            "It is %s. Long, short or no? The stop is %.1f%% away (Up and Down move it); held until %s.",
            DayTime.minutes(one().at()),
            100 * stop,
            until.phrase()));
  }

  /** Uses a key; whether it was one of its own. */
  public boolean key(KeyEvent event) {
    switch (event.getCode()) {
      case L -> call(DrillCall.LONG);
      case S -> call(DrillCall.SHORT);
      case N -> call(DrillCall.NO);
      case UP -> moveStop(STOP_STEP);
      case DOWN -> moveStop(-STOP_STEP);
      case ENTER, SPACE -> goOn();
      case J -> calls.move(event.isShiftDown() ? -1 : 1);
      case ESCAPE -> ended.run();
      default -> {
        return false;
      }
    }
    return true;
  }

  private void moveStop(double by) {
    if (standing == Standing.ASKED) {
      stop = Math.clamp(stop + by, STOP_STEP, WIDEST);
      tellStop();
    }
  }

  private void call(DrillCall call) {
    if (standing != Standing.ASKED) {
      return;
    }
    ResearchCase one = one();
    DrillScore score = DrillScore.of(one, question, until, close, bars, call, stop);
    done.add(new Done(one, stop, score));
    workspace
        .practice()
        .called(
            new KeptCall(
                one.date(), one.symbol(), one.at(), one.enteredAt(), one.entry(), stop, score));
    chart.show(BlindBars.of(barsUntil(until.end(one.enteredAt(), close))), one.at());
    chart.mark(one.entry(), DrillScore.stopPrice(one, call, stop));
    told.setText(words(done.getLast()) + " Enter goes on.");
    standing = Standing.TOLD;
  }

  /** What was seen before the call and what came until a moment. */
  private List<MinuteBar> barsUntil(long end) {
    long first = seen.isEmpty() ? 0 : seen.getFirst().start();
    return bars.stream().filter(bar -> bar.start() >= first && bar.start() < end).toList();
  }

  private static String words(Done one) {
    DrillScore score = one.score();
    String scan =
        Double.isNaN(score.byScan()) ? "" : " The scan alone made " + percent(score.byScan()) + ".";
    return one.one().symbol()
        + ", "
        + one.one().date()
        + ": "
        + (score.call() == DrillCall.NO
            ? "you stayed out."
            : score.call().words()
                + " made "
                + percent(score.result())
                + String.format(Locale.ROOT, ", %+.1f times the stop", score.multiple())
                + (score.stopped() ? ", stopped out." : "."))
        + scan;
  }

  private static String percent(double part) {
    return String.format(Locale.ROOT, "%+.1f%%", 100 * part);
  }

  private void goOn() {
    if (standing == Standing.TOLD && ++at < cases.size()) {
      read();
    } else if (standing == Standing.TOLD) {
      sumUp();
    } else if (standing == Standing.OVER) {
      calls.selected().ifPresent(this::open);
    }
  }

  private void sumUp() {
    standing = Standing.OVER;
    if (done.isEmpty()) {
      place.setText("None of " + cases.size() + " could be read");
      told.setText(
          "None of the cases could be read, so there is nothing to measure. Escape goes back to the"
              + " question.");
      return;
    }
    List<DrillScore> scores = done.stream().map(Done::score).toList();
    place.setText(
        unread == 0
            ? "All " + cases.size() + " are called"
            : done.size() + " are called, " + unread + " could not be read");
    told.setText(
        String.format(
            Locale.ROOT,
            "You made %s a case in the mean, %+.1f times the stop where you were in; the scan alone"
                + " made %s. %s J walks through them, Enter opens one at its moment, Escape goes back to"
                + " the question.",
            percent(DrillScore.meanResult(scores)),
            DrillScore.meanMultiple(scores),
            percent(DrillScore.meanByScan(scores)),
            workspace.practice().drillWords()));
    calls.rows(done);
    calls.theme(workspace.window().theme().get());
    setCenter(calls);
  }

  private void open(Done one) {
    workspace.navigation().open(OtherDay.of(one.one().date(), one.one().at(), one.one().symbol()));
  }

  private static List<GridColumn<Done>> columns() {
    return List.of(
        GridColumn.symbols(one -> one.one().symbol()),
        GridColumn.words(
            "day one", "The session of the case", 84, one -> one.one().date().toString()),
        GridColumn.words("at", "The moment shown", 42, one -> DayTime.minutes(one.one().at())),
        GridColumn.words("call", "What you said", 52, one -> one.score().call().words()),
        GridColumn.numbers("stop", "How far away the stop was", 52, one -> percent(one.stop())),
        GridColumn.<Done>numbers(
                "result",
                "What the call made, costs taken off",
                64,
                one -> percent(one.score().result()))
            .toned(one -> Tone.ofMoney(one.score().result())),
        GridColumn.numbers(
            "in stops",
            "The result over the distance to the stop",
            64,
            one -> String.format(Locale.ROOT, "%+.1f", one.score().multiple())),
        GridColumn.<Done>numbers(
                "scan alone",
                "What the scan made by then without a stop",
                72,
                one -> Double.isNaN(one.score().byScan()) ? "" : percent(one.score().byScan()))
            .toned(one -> Tone.ofMoney(one.score().byScan())));
  }
}
