package kelvo.desktop.live;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import kelvo.alert.About;
import kelvo.alert.Alert;
import kelvo.alert.AlertSentence;
import kelvo.delivery.Channel;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.rules.CompletionPopup;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.AlertDesk;
import kelvo.desktop.workspace.Workspace;
import kelvo.time.DayTime;
import kelvo.view.AlertStanding;
import kelvo.view.AlertStanding.State;
import kelvo.view.RangView;
import org.jspecify.annotations.Nullable;

/**
 * The trader's alerts: a field in which one is typed as a sentence, and each with its state, how
 * far it is to go, and what it did today.
 */
final class AlertList extends BorderPane {
  private static final double FADED = 0.55;
  private static final long SNOOZE = 10 * DayTime.MINUTE;
  private static final String EXPECTED =
      "SYMBOL, the ten:, list NAME:, scan NAME: or everything: — then when it rings";

  private final Workspace workspace;
  private final AlertDesk desk;
  private final Grid<AlertStanding> table =
      new Grid<>("Alerts", standing -> standing.alert().name());
  private final TextField field = new TextField();
  private final Label said = new Label(EXPECTED);
  private final ContextMenu menu = new ContextMenu();
  private @Nullable Alert edited;

  AlertList(Workspace workspace) {
    this.workspace = workspace;
    desk = workspace.alertDesk();
    field.setId("alert-field");
    field.setPromptText("a new alert, such as: KELPOR rises through 8.20, once");
    field.setAccessibleText("A new alert");
    field.setOnAction(e -> take());
    field.textProperty().addListener((o, was, is) -> say(is));
    new CompletionPopup(field, text -> desk.completion().after(text));
    said.getStyleClass().addAll("faded", "small");
    said.setWrapText(true);
    VBox head = new VBox(2, field, said);
    head.getStyleClass().addAll("part", "divided");
    setTop(head);
    setCenter(table);
    table.setId("alert-table");
    table.columns(columns());
    table.strength(standing -> standing.state() == State.ARMED ? 1 : FADED);
    table.emptyText(
        "No alert yet: type one above, or point at a price and press the other button.");
    table.onTold(workspace.window().action()::set);
    table.onSelect(this::focusOn);
    table.onCellMenu((row, column, x, y) -> offer(row.alert(), row.state(), x, y));
    table.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
    workspace.alerts().rang().addListener((o, was, is) -> show(is));
    show(workspace.alerts().rang().get());
  }

  private static List<GridColumn<AlertStanding>> columns() {
    return List.of(
        GridColumn.<AlertStanding>words(
                "state", "Whether it may ring.", 60, standing -> standing.state().words())
            .growing(0)
            .toned(standing -> standing.state() == State.ARMED ? Tone.GOOD : Tone.FADED),
        GridColumn.<AlertStanding>words(
                "alert",
                "Whom it is about, and when it rings.",
                170,
                standing -> standing.alert().name())
            .growing(3),
        GridColumn.words(
            "to go",
            "How far the price is from its own; else the first rule that does not hold, and its"
                + " value.",
            86,
            AlertStanding::distance),
        GridColumn.<AlertStanding>words(
                "rang", "How often today, and when last.", 74, AlertList::rang)
            .growing(0),
        after("+1 min", "Mean change of price a minute after its rings of today.", 0),
        after("+5 min", "Mean change of price five minutes after.", 1),
        after("+15 min", "Mean change of price fifteen minutes after.", 2),
        GridColumn.words(
            "how", "How often, until when, and by what.", 90, standing -> how(standing.alert())));
  }

  private static GridColumn<AlertStanding> after(String title, String help, int which) {
    return GridColumn.<AlertStanding>numbers(
            title, help, 54, standing -> Numbers.percent(of(standing, which)))
        .toned(standing -> Tone.ofChange(of(standing, which)));
  }

  private static double of(AlertStanding standing, int which) {
    return switch (which) {
      case 0 -> standing.after().one();
      case 1 -> standing.after().five();
      default -> standing.after().fifteen();
    };
  }

  private static String rang(AlertStanding standing) {
    return standing.rings() == 0
        ? ""
        : standing.rings() + ", " + DayTime.minutes(standing.lastAt());
  }

  private static String how(Alert alert) {
    return alert.repeat().words()
        + (alert.until() == null ? "" : ", until " + alert.until())
        + ", "
        + Channel.words(alert.how());
  }

  private void show(RangView.Rang rang) {
    table.rows(rang.alerts());
  }

  private void focusOn(AlertStanding standing) {
    if (standing.alert().about() instanceof About.Symbol one) {
      workspace.focus().on(one.symbol());
    }
  }

  /** Begins an alert with some words, which are typed on. */
  void begin(String words) {
    edited = null;
    // A field chooses all its text when it gets its look, and when it gets the keyboard.
    field.applyCss();
    field.requestFocus();
    field.setText(words);
    field.end();
  }

  private void edit(Alert alert) {
    begin(AlertSentence.of(alert));
    edited = alert;
  }

  /** Tells what is wrong while it is typed. */
  private void say(String text) {
    said.getStyleClass().removeAll("faded", "tone-bad");
    Alert old = edited;
    String problem =
        text.isBlank() || (old != null && text.equals(AlertSentence.of(old)))
            ? ""
            : desk.problem(text);
    said.setText(problem.isEmpty() ? text.isBlank() ? EXPECTED : "Enter sets it" : problem);
    boolean isBegun = !text.strip().contains(" ");
    said.getStyleClass().add(problem.isEmpty() || isBegun ? "faded" : "tone-bad");
  }

  private void take() {
    Alert old = edited;
    boolean taken = old == null ? desk.add(field.getText()) : desk.replace(old, field.getText());
    if (taken) {
      edited = null;
      field.clear();
      table.requestFocus();
    }
  }

  private void offer(Alert alert, State state, double x, double y) {
    List<MenuItem> items = new ArrayList<>();
    if (state != State.ARMED) {
      items.add(item("Arm", () -> desk.arm(alert)));
    }
    if (state == State.ARMED) {
      items.add(item("Silent for 10 min", () -> desk.snooze(alert, SNOOZE)));
      items.add(item("Off", () -> desk.off(alert)));
    }
    items.add(item("Change", () -> edit(alert)));
    Menu ways = new Menu("By");
    for (Channel channel : Channel.values()) {
      CheckMenuItem way = new CheckMenuItem(channel.words());
      way.setSelected(alert.how().contains(channel));
      way.setOnAction(e -> desk.by(alert, channel, way.isSelected()));
      ways.getItems().add(way);
    }
    items.add(ways);
    items.add(item("Remove", () -> desk.remove(alert)));
    menu.getItems().setAll(items);
    menu.show(table, x, y);
  }

  private static MenuItem item(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> action.run());
    return item;
  }
}
