package kelvo.desktop.trackrecord;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kelvo.data.past.WantedHits;
import kelvo.desktop.theme.IntervalRows;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.OtherDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.LatestAnswer;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.review.DayReview;
import kelvo.review.DecisionReview;
import kelvo.review.ReviewSettings;
import kelvo.review.ReviewedTrade;
import kelvo.review.SixFigures;
import kelvo.review.TradeGrouping;
import kelvo.time.DayTime;
import kelvo.trackrecord.CalendarDay;
import kelvo.trackrecord.EquityPoint;
import kelvo.trackrecord.PastReview;
import kelvo.trackrecord.Period;
import kelvo.trackrecord.ResultRange;
import kelvo.trackrecord.TrackRecord;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/**
 * Several sessions reviewed together: those up to the one that is open, which counts as far as it
 * has come. A click on a picture picks a trade, and its session opens from there.
 */
public final class TrackRecordPane extends BorderPane {
  /** Where it says how many sessions are still to be reviewed; empty when none is. */
  public static final String WORKING = "#reviewing-sessions";

  private static final String ALL = "all";
  private static final double NAME_WIDTH = 128;
  private static final double COUNT_WIDTH = 28;

  private final Workspace workspace;
  private final LatestAnswer calendars;
  private final LatestAnswer records;
  private final LatestAnswer sums;
  private final CalendarView calendar;
  private final EquityView equity;
  private final LatenessView lateness;
  private final IntervalRows results;
  private final SixFiguresRow six = new SixFiguresRow();
  private final ToggleGroup periods = new ToggleGroup();
  private final ComboBox<String> account = new ComboBox<>();
  private final ComboBox<String> tag = new ComboBox<>();
  private final ComboBox<String> by = new ComboBox<>();
  private final Label working = new Label();
  private final Button stop = SmallButton.of("Stop", "", this::stop);
  private final Label picked = new Label();
  private final Button open = SmallButton.of("Open it", "Enter", this::openPicked);
  private final Consumer<ReviewedTrade> onTradeOfToday;
  private List<CalendarDay> days = List.of();
  private Map<LocalDate, PastReview> reviewed = new HashMap<>();
  private @Nullable Basis basis;
  private Period period = Period.MONTH;
  private LocalDate date;
  private @Nullable ReviewedTrade chosen;
  private List<ReviewedTrade> trades = List.of();
  private List<ResultRange> groups = List.of();
  private boolean filling;

  /** What the reviews that are kept were made by. */
  private record Basis(WantedHits wanted, ReviewSettings settings) {}

  /** What is shown of a record, worked out behind the window. */
  private record Shown(
      TrackRecord whole,
      TrackRecord record,
      SixFigures figures,
      List<EquityPoint> equity,
      List<ResultRange> ranges) {}

  /**
   * Nothing is read before it is seen.
   *
   * @param onTradeOfToday takes a trade of the session that is open
   * @param back shows the day again
   */
  public TrackRecordPane(
      Workspace workspace, Consumer<ReviewedTrade> onTradeOfToday, Runnable back) {
    this.workspace = workspace;
    this.onTradeOfToday = onTradeOfToday;
    date = workspace.day();
    calendars = workspace.answers().latest("reading the calendar", this::over);
    records = workspace.answers().slow("reviewing sessions", this::over);
    sums = workspace.answers().latest("adding up sessions");
    calendar = new CalendarView(workspace.window().theme(), date, this::choose, this::open);
    equity = new EquityView(workspace.window().theme(), this::pick);
    lateness = new LatenessView(workspace.window().theme(), this::pick);
    results =
        new IntervalRows(
            workspace.window().theme(),
            NAME_WIDTH,
            COUNT_WIDTH,
            "No closed trades in this period.",
            place -> pick(loudest(groups.get(place))));
    results.setId("results");
    results.setAccessibleText("The mean result of a trade, group by group, with its interval");
    setId("track-record");
    setTop(new VBox(head(back), six));
    SplitPane above = new SplitPane(calendar, equity);
    above.setDividerPositions(0.36);
    SplitPane below = new SplitPane(lateness, resultsBy());
    below.setDividerPositions(0.42);
    SplitPane all = new SplitPane(above, below);
    all.setOrientation(Orientation.VERTICAL);
    all.setDividerPositions(0.46);
    setCenter(all);
    setBottom(foot());
    pick(null);
    workspace.window().pastSessions().addListener((o, was, is) -> grown());
  }

  /** What was reviewed may have been half of a session. */
  private void grown() {
    basis = null;
    if (getScene() != null) {
      seen();
    }
  }

  private HBox head(Runnable back) {
    HBox head = new HBox(4, SmallButton.of("Back to the day", "S", back));
    for (Period one : Period.values()) {
      ToggleButton button = new ToggleButton(one.words());
      button.getStyleClass().setAll("toggle-button", "small-button");
      button.setMinWidth(USE_PREF_SIZE);
      button.setFocusTraversable(false);
      button.setToggleGroup(periods);
      button.setSelected(one == period);
      button.setOnAction(
          e -> {
            button.setSelected(true);
            period = one;
            review();
          });
      head.getChildren().add(button);
    }
    for (ComboBox<String> choice : List.of(account, tag)) {
      choice.getItems().setAll(ALL);
      choice.setValue(ALL);
      choice.setOnAction(
          e -> {
            if (!filling) {
              addUp();
            }
          });
    }
    account.setAccessibleText("The account whose trades count");
    tag.setAccessibleText("The tag of the trades that count");
    working.setId(WORKING.substring(1));
    working.getStyleClass().addAll("small", "faded");
    working.setMinWidth(USE_PREF_SIZE);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    head.getChildren().addAll(small("account"), account, small("tag"), tag, space, working, stop);
    return line(head);
  }

  private static Label small(String words) {
    Label label = new Label(words);
    label.getStyleClass().addAll("small", "faded");
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }

  private static HBox line(HBox line) {
    line.setAlignment(Pos.CENTER_LEFT);
    line.getStyleClass().addAll("card", "part");
    return line;
  }

  private BorderPane resultsBy() {
    by.getItems().setAll(Arrays.stream(TradeGrouping.values()).map(TradeGrouping::words).toList());
    by.getSelectionModel().select(TradeGrouping.SCAN.ordinal());
    by.setAccessibleText("What the results are told apart by");
    by.setOnAction(e -> addUp());
    BorderPane pane = new BorderPane(results);
    pane.setTop(line(new HBox(6, small("a trade's mean result with its 95% interval, by"), by)));
    return pane;
  }

  private HBox foot() {
    HBox.setHgrow(picked, Priority.ALWAYS);
    picked.setMaxWidth(Double.MAX_VALUE);
    picked.setMinWidth(0);
    picked.setId("picked-trade");
    return line(new HBox(8, picked, open));
  }

  /** It has come into sight: what is not known yet is read. */
  public void seen() {
    ReviewSettings settings = workspace.review().settings();
    working.setText("reading");
    LocalDate today = workspace.day();
    long now = workspace.clock().now();
    calendars.askInstead(
        progress -> workspace.past().calendar(settings, today, now), this::calendar);
  }

  private void calendar(List<CalendarDay> all) {
    days = all;
    calendar.show(days);
    review();
  }

  private void choose(LocalDate wanted) {
    date = wanted;
    calendar.choose(wanted);
    if (period == Period.DAY || period == Period.WEEK || period == Period.MONTH) {
      review();
    } else {
      pick(null);
    }
  }

  /** Opens a session at the same time of day. */
  private void open(LocalDate wanted) {
    boolean there = days.stream().anyMatch(day -> day.date().equals(wanted) && day.canOpen());
    if (there && !wanted.equals(workspace.day())) {
      workspace
          .navigation()
          .open(OtherDay.of(wanted, workspace.clock().now(), workspace.focus().symbol().get()));
    }
  }

  private void openPicked() {
    ReviewedTrade trade = chosen;
    if (trade == null) {
      open(date);
    } else if (trade.context().date().equals(workspace.day())) {
      onTradeOfToday.accept(trade);
    } else {
      workspace
          .navigation()
          .open(
              OtherDay.of(
                  trade.context().date(),
                  Math.max(DayTime.FIRST, trade.trade().exitAt()),
                  trade.trade().symbol()));
    }
  }

  /** Opens the trade that is picked, or the session that is chosen in the calendar. */
  public void enter() {
    if (!open.isDisabled()) {
      openPicked();
    }
  }

  /** Chooses the session before or after the one that is chosen. */
  public void step(int way) {
    List<LocalDate> dates = days.stream().map(CalendarDay::date).toList();
    int place = dates.indexOf(date);
    if (place >= 0 && place + way >= 0 && place + way < dates.size()) {
      choose(dates.get(place + way));
    }
  }

  /** Picks the trade after the one that is picked, or with -1 the one before, by time of exit. */
  public void nextTrade(int way) {
    if (!trades.isEmpty()) {
      int place = chosen == null ? -1 : trades.indexOf(chosen);
      int from = place < 0 && way < 0 ? trades.size() : place;
      pick(trades.get(Math.floorMod(from + way, trades.size())));
    }
  }

  /** Shows the next longer period, or with -1 the next shorter one. */
  public void otherPeriod(int way) {
    int place = period.ordinal() + way;
    if (place >= 0 && place < periods.getToggles().size()) {
      ((ToggleButton) periods.getToggles().get(place)).fire();
    }
  }

  private void pick(@Nullable ReviewedTrade trade) {
    chosen = trade;
    boolean other = !date.equals(workspace.day());
    picked.setText(
        trade != null
            ? TradeWords.of(trade)
            : other ? "The session of " + date : "Space or a click on a picture picks a trade.");
    open.setText(trade == null && other ? "Open that session" : "Open it");
    open.setDisable(trade == null && !other);
  }

  private List<LocalDate> wantedDates() {
    return period.sessions(days, date, workspace.day());
  }

  /** Reviews what is not reviewed yet, and adds up whenever another session is there. */
  private void review() {
    pick(null);
    Basis now = new Basis(workspace.wanted(), workspace.review().settings());
    if (!now.equals(basis)) {
      basis = now;
      reviewed = new HashMap<>();
    }
    Map<LocalDate, PastReview> into = reviewed;
    List<LocalDate> wanted = wantedDates();
    List<LocalDate> missing =
        wanted.stream()
            .filter(one -> !into.containsKey(one) && !one.equals(workspace.day()))
            .toList();
    addUp();
    if (missing.isEmpty()) {
      records.stop();
      over();
      return;
    }
    tell(0, missing.size());
    stop.setVisible(true);
    int[] done = {0};
    records.askInstead(
        progress ->
            workspace
                .past()
                .reviews(
                    missing.reversed(),
                    now.wanted(),
                    now.settings(),
                    one -> Platform.runLater(() -> came(into, one, ++done[0], missing.size())),
                    progress),
        all -> {
          over();
          addUp();
        });
  }

  private void came(Map<LocalDate, PastReview> into, PastReview one, int done, int of) {
    into.put(one.date(), one);
    if (into == reviewed && stop.isVisible()) {
      tell(done, of);
      if (!sums.isBusy()) {
        addUp();
      }
    }
  }

  private void tell(int done, int of) {
    working.setText(Math.min(done + 1, of) + " of " + of);
  }

  private void stop() {
    records.stop();
    over();
  }

  private void over() {
    working.setText("");
    stop.setVisible(false);
  }

  /** Adds up what has been reviewed. */
  private void addUp() {
    List<PastReview> known =
        wantedDates().stream().filter(reviewed::containsKey).map(reviewed::get).toList();
    DayReview now = workspace.review().review().get();
    DayBook book = workspace.book().get();
    List<Watchlist> lists = workspace.wanted().listsOn(workspace.day());
    boolean today = wantedDates().contains(workspace.day());
    String ofAccount = account.getValue();
    String ofTag = tag.getValue();
    Period over = period;
    LocalDate on = date;
    TradeGrouping grouping =
        TradeGrouping.values()[Math.max(0, by.getSelectionModel().getSelectedIndex())];
    sums.ask(
        (Progress progress) -> {
          List<PastReview> sessions = new ArrayList<>(known);
          if (today && now != null) {
            sessions.add(
                new PastReview(
                    workspace.day(),
                    now,
                    DecisionReview.of(workspace.session(), book, lists, now),
                    book.page()));
          }
          TrackRecord whole = TrackRecord.of(sessions).over(over, on);
          TrackRecord some = ALL.equals(ofAccount) ? whole : whole.ofAccount(ofAccount);
          TrackRecord record = ALL.equals(ofTag) ? some : some.tagged(ofTag);
          return new Shown(
              whole, record, record.figures(), record.equity(), ResultRange.of(record, grouping));
        },
        this::show);
  }

  private static ReviewedTrade loudest(ResultRange group) {
    return group.trades().stream()
        .max(Comparator.comparingDouble(trade -> Math.abs(trade.result())))
        .orElseThrow();
  }

  private void show(Shown shown) {
    trades = shown.record().trades();
    six.show(shown.figures());
    equity.show(shown.equity());
    lateness.show(shown.record().trades());
    groups = shown.ranges().stream().filter(range -> !range.trades().isEmpty()).toList();
    results.show(groups.stream().map(GroupRows::of).toList());
    offer(account, List.copyOf(shown.whole().accounts()));
    offer(tag, List.copyOf(shown.whole().tags()));
  }

  /** Offers what there is; what is chosen stays. */
  private void offer(ComboBox<String> choice, List<String> names) {
    List<String> items = new ArrayList<>(List.of(ALL));
    names.stream().filter(name -> !name.isEmpty()).forEach(items::add);
    if (!items.contains(choice.getValue())) {
      items.add(choice.getValue());
    }
    if (!choice.getItems().equals(items)) {
      String before = choice.getValue();
      filling = true;
      choice.getItems().setAll(items);
      choice.setValue(before);
      filling = false;
    }
  }
}
