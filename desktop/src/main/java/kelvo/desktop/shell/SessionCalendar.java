package kelvo.desktop.shell;

import java.time.LocalDate;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.function.Function;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.trackrecord.CalendarView;
import kelvo.desktop.workspace.OtherDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.LatestAnswer;
import kelvo.time.DayTime;
import kelvo.trackrecord.CalendarDay;
import org.jspecify.annotations.Nullable;

/**
 * The sessions of the folder under the date: which can be opened, were traded and were reviewed.
 * One opens at the time of day that is shown.
 */
final class SessionCalendar {
  private static final double WIDTH = 400;
  private static final double HEIGHT = 338;

  private final Workspace workspace;
  private final LatestAnswer answers;
  private final NavigableMap<LocalDate, CalendarDay> days = new TreeMap<>();
  private final Popup popup = new Popup();
  private final CalendarView calendar;
  private final Label title = new Label();
  private final Label told = new Label();
  private LocalDate chosen;

  SessionCalendar(Workspace workspace) {
    this.workspace = workspace;
    answers = workspace.answers().latest("reading the calendar of sessions");
    chosen = workspace.day();
    calendar =
        new CalendarView(workspace.window().theme(), workspace.day(), this::choose, this::open);
    calendar.setPrefSize(WIDTH, HEIGHT);
    title.getStyleClass().add("strong");
    told.setId("session-chosen");
    told.getStyleClass().addAll("small", "faded");
    told.setWrapText(true);
    told.setMaxWidth(WIDTH);
    HBox buttons =
        new HBox(
            6,
            SmallButton.of("Open (Enter)", "", () -> open(chosen)),
            SmallButton.of("Any other (A)", "One of them by chance", () -> any(false)),
            SmallButton.of(
                "Any other, blind (B)",
                "By chance, without symbol, name, date and prices until you end it",
                () -> any(true)));
    buttons.setAlignment(Pos.CENTER_LEFT);
    BorderPane pane = new BorderPane(calendar, title, null, new VBox(6, told, buttons), null);
    pane.getStyleClass().add("popup-alert");
    pane.setId("session-calendar");
    popup.setAutoHide(true);
    popup.setAutoFix(true);
    popup.getContent().add(pane);
    popup.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  /** Shows it under the date. */
  void show(Node under) {
    popup
        .getContent()
        .forEach(
            pane -> ((BorderPane) pane).getStylesheets().setAll(under.getScene().getStylesheets()));
    title.setText("Open a session at " + DayTime.minutes(workspace.clock().now()));
    told.setText("Reading the sessions.");
    Bounds place = under.localToScreen(under.getBoundsInLocal());
    popup.show(under.getScene().getWindow(), place.getMinX(), place.getMaxY());
    LocalDate today = workspace.day();
    var settings = workspace.review().settings();
    long now = workspace.clock().now();
    answers.askInstead(
        progress -> workspace.past().calendar(settings, today, now),
        all -> {
          days.clear();
          all.forEach(day -> days.put(day.date(), day));
          calendar.show(all);
          choose(chosen);
        });
  }

  private void choose(LocalDate date) {
    chosen = date;
    calendar.choose(date);
    told.setText(
        calendar.words(date) + " Arrows choose another, Page Up and Page Down go by the month.");
  }

  private void open(LocalDate date) {
    CalendarDay day = days.get(date);
    if (day != null && day.canOpen() && !date.equals(workspace.day())) {
      popup.hide();
      workspace
          .navigation()
          .open(OtherDay.of(date, workspace.clock().now(), workspace.focus().symbol().get()));
    }
  }

  private void any(boolean blind) {
    popup.hide();
    workspace
        .practice()
        .anotherDay(
            blind,
            () -> workspace.window().action().set("There is no other session in this folder"));
  }

  private void key(KeyEvent event) {
    switch (event.getCode()) {
      case LEFT -> go(days::lowerKey);
      case RIGHT -> go(days::higherKey);
      case UP -> go(date -> days.ceilingKey(date.plusWeeks(1)));
      case DOWN -> go(date -> days.floorKey(date.minusWeeks(1)));
      case PAGE_UP -> go(date -> days.ceilingKey(date.plusMonths(1)));
      case PAGE_DOWN -> go(date -> days.floorKey(date.minusMonths(1)));
      case ENTER -> open(chosen);
      case A -> any(false);
      case B -> any(true);
      default -> {
        return;
      }
    }
    event.consume();
  }

  private void go(Function<LocalDate, @Nullable LocalDate> where) {
    LocalDate date = where.apply(chosen);
    if (date != null) {
      choose(date);
    }
  }
}
