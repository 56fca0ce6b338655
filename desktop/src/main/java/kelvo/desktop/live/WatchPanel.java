package kelvo.desktop.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.geometry.Pos;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Field;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.trade.OpenPosition;
import kelvo.view.WatchView;
import kelvo.watchlist.TheTen;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/**
 * The watchlists: the Ten and the trader's own, one at a time, each symbol with its plan on a
 * scale, what rings next and what is held.
 */
final class WatchPanel extends BorderPane {
  private static final double FADED = 0.5;
  private static final double FIELD_WIDTH = 260;
  private static final double CHIPS_WIDTH = 430;

  private final Workspace workspace;
  private final Grid<WatchView.Watched> table = new Grid<>("Watchlist", WatchView.Watched::symbol);
  private final FlowPane chips = new FlowPane(4, 4);
  private final TextField field = new TextField();
  private final Label foot = new Label();
  private final ContextMenu menu = new ContextMenu();
  private final Followed<List<WatchView.Watched>> followed;
  private final ListMenus menus;
  private String shown = TheTen.NAME;
  private List<String> columnsShown = List.of();
  private List<WatchView.Watching> watching = List.of();
  private @Nullable Scan follows;
  private Predicate<String> typed = text -> false;

  WatchPanel(Workspace workspace) {
    this.workspace = workspace;
    menus = new ListMenus(workspace, this::ask, () -> getScene().getWindow());
    setId("watch");
    followed = new Followed<>(workspace.clock(), this::rows);
    getStyleClass().add("card");
    setTop(head());
    setCenter(table);
    foot.getStyleClass().addAll("faded", "small");
    HBox below = new HBox(foot);
    below.getStyleClass().addAll("part", "divided");
    setBottom(below);
    table.columns(WatchColumns.of(workspace.lists().named(shown)));
    table.groups(row -> row.watching().entry().section());
    table.onCellMenu((row, column, x, y) -> offer(row.symbol(), x, y));
    table.onCarried((row, place) -> carry(row.symbol(), place.symbol()));
    table.strength(row -> row.hasLeft() ? FADED : 1);
    table.more(row -> (PlanScale.words(row) + "\n" + row.watching().entry().note()).strip());
    table.onTold(workspace.window().action()::set);
    table.onSelect(row -> workspace.focus().on(row.symbol()));
    table.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
    workspace.focus().symbol().addListener((o, was, is) -> table.mark(is));
    workspace.book().addListener((o, was, is) -> followAgain());
    workspace.clock().shown().addListener((o, was, is) -> followAgain());
    workspace.lists().lists().addListener((o, was, is) -> listsChanged());
    listsChanged();
  }

  private VBox head() {
    Label title = new Label("Watch");
    title.getStyleClass().add("title");
    title.setTooltip(
        new Tooltip("The Ten, and lists of your own; a click with the other button changes one"));
    HBox.setHgrow(chips, Priority.ALWAYS);
    chips.setMinWidth(0);
    chips.setPrefWrapLength(CHIPS_WIDTH);
    chips.setAlignment(Pos.CENTER_LEFT);
    HBox line = new HBox(8, title, chips);
    line.setAlignment(Pos.CENTER_LEFT);
    field.setVisible(false);
    field.setManaged(false);
    field.setPrefWidth(FIELD_WIDTH);
    field.setId("watch-field");
    field.setOnAction(
        e -> {
          if (typed.test(field.getText())) {
            closeField();
          }
        });
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                closeField();
              }
            });
    VBox head = new VBox(4, line, field);
    head.getStyleClass().addAll("part", "divided");
    return head;
  }

  private void ask(String prompt, String before, Predicate<String> answer) {
    typed = answer;
    field.setPromptText(prompt);
    field.setAccessibleText(prompt);
    field.setText(before);
    field.setVisible(true);
    field.setManaged(true);
    field.requestFocus();
  }

  private void closeField() {
    field.setVisible(false);
    field.setManaged(false);
  }

  private void listsChanged() {
    List<Watchlist> lists = workspace.lists().lists().get();
    if (lists.stream().noneMatch(list -> list.name().equals(shown))) {
      shown = TheTen.NAME;
    }
    chips.getChildren().setAll(chip(TheTen.NAME, "The Ten"));
    for (Watchlist list : lists) {
      ToggleButton chip = chip(list.name(), words(list));
      chip.setTooltip(new Tooltip(help(list)));
      chip.setOnContextMenuRequested(
          e -> {
            menu.getItems().setAll(menus.ofList(list));
            menu.show(chip, e.getScreenX(), e.getScreenY());
          });
      chips.getChildren().add(chip);
    }
    chips
        .getChildren()
        .addAll(
            SmallButton.of(
                "+",
                "Another list",
                () ->
                    ask(
                        "name of the list",
                        "",
                        name -> {
                          workspace.lists().add(name);
                          show(name.strip());
                          return true;
                        })));
    followAgain();
  }

  private String words(Watchlist list) {
    int standing = list.on(workspace.day()).entries().size();
    return list.name()
        + (list.follows().isEmpty() ? "" : " ↩")
        + (standing == 0 ? "" : " · " + standing);
  }

  private static String help(Watchlist list) {
    String follows = list.follows().isEmpty() ? "" : "Follows " + list.follows() + ". ";
    return (follows + list.note() + " The other button changes the list.").strip();
  }

  private ToggleButton chip(String name, String words) {
    ToggleButton chip = new ToggleButton(words);
    chip.getStyleClass().setAll("toggle-button", "small-button");
    chip.setFocusTraversable(false);
    chip.setUserData(name);
    chip.setSelected(name.equals(shown));
    chip.setMinWidth(USE_PREF_SIZE);
    chip.setOnAction(e -> show(name));
    return chip;
  }

  /** What can be done with the symbol of a row. */
  private void offer(String symbol, double x, double y) {
    List<MenuItem> items = new ArrayList<>();
    MenuItem alert = new MenuItem("An alert on " + symbol + "…");
    alert.setOnAction(e -> workspace.alertDesk().begin(symbol + " "));
    items.add(alert);
    if (!shown.equals(TheTen.NAME)) {
      items.addAll(menus.ofEntry(workspace.lists().named(shown), symbol));
    }
    menu.getItems().setAll(items);
    menu.show(table, x, y);
  }

  /** A symbol is carried to the place of another. */
  private void carry(String symbol, String place) {
    Watchlist list = workspace.lists().named(shown);
    if (shown.equals(TheTen.NAME) || !list.holds(symbol) || !list.holds(place)) {
      workspace.window().action().set("Only symbols on a list of your own have places of your own");
    } else {
      change(list.placed(symbol, list.symbols().indexOf(place)), symbol + " moved on " + shown);
    }
  }

  private void change(Watchlist changed, String what) {
    workspace.lists().change(changed, what);
  }

  /** Adds the symbol in focus to the list that is shown. */
  void add() {
    String symbol = workspace.focus().symbol().get();
    if (symbol.isEmpty()) {
      workspace.window().action().set("No symbol in focus: J takes the first");
    } else if (shown.equals(TheTen.NAME)) {
      workspace
          .window()
          .action()
          .set("K on Morning keeps " + symbol + " for the Ten; + makes another list");
    } else {
      change(workspace.lists().named(shown).with(List.of(symbol), null), symbol + " on " + shown);
    }
  }

  /** Takes the symbol in focus off the list that is shown. */
  void take() {
    String symbol = workspace.focus().symbol().get();
    Watchlist list = workspace.lists().named(shown);
    if (!shown.equals(TheTen.NAME) && list.holds(symbol)) {
      change(list.without(symbol), symbol + " off " + shown);
    } else {
      workspace.window().action().set(symbol + " does not stand on " + shown + " by hand");
    }
  }

  private void show(String name) {
    shown = name;
    chips.getChildren().stream()
        .filter(ToggleButton.class::isInstance)
        .forEach(chip -> ((ToggleButton) chip).setSelected(name.equals(chip.getUserData())));
    follow();
  }

  /** It is seen from now on, or no longer. */
  void seen(boolean now) {
    if (now) {
      follow();
    } else {
      followed.stop();
    }
  }

  private void follow() {
    watching = now();
    follows = scan();
    Watchlist list = workspace.lists().named(shown);
    List<Field> fields =
        list.columns().stream()
            .flatMap(words -> workspace.desk().vocabulary().find(words).stream())
            .toList();
    columnsShown = list.columns();
    table.columns(WatchColumns.of(list));
    followed.follow(new WatchView(workspace.session(), watching, fields, follows));
    table.emptyText(
        shown.equals(TheTen.NAME)
            ? "Nobody is kept yet: go to Morning (2), choose a symbol and press K."
            : "Nobody is on it yet: A adds the symbol in focus, the other button on its name"
                + " pastes symbols or lets it follow a scan.");
  }

  /** Another moment, decision, level or fill may change what is watched. */
  private void followAgain() {
    boolean isOther =
        !now().equals(watching)
            || !Objects.equals(scan(), follows)
            || !workspace.lists().named(shown).columns().equals(columnsShown);
    if (followed.isFollowing() && isOther) {
      follow();
    }
  }

  private @Nullable Scan scan() {
    String name = workspace.lists().named(shown).follows();
    return workspace.scans().stream()
        .filter(scan -> scan.name().equals(name))
        .findFirst()
        .orElse(null);
  }

  private List<WatchView.Watching> now() {
    DayBook book = workspace.book().get();
    long moment = workspace.clock().now();
    TheTen ten = TheTen.at(book, moment);
    List<OpenPosition> open =
        OpenPosition.of(
            workspace.settings().now().fees().on(book.tradedUntil(moment)),
            workspace.settings().now().review().cost());
    List<Watchlist.Entry> entries =
        shown.equals(TheTen.NAME)
            ? ten.symbols().stream().map(Watchlist.Entry::of).toList()
            : workspace.lists().named(shown).on(workspace.day()).entries();
    List<WatchView.Watching> made = new ArrayList<>();
    for (Watchlist.Entry entry : entries) {
      String symbol = entry.symbol();
      Optional<Decision> decided = book.decisionOn(symbol, moment);
      made.add(
          new WatchView.Watching(
              entry,
              decided.map(Decision::side).orElse(Side.UP),
              book.levelsOn(symbol, moment),
              open.stream()
                  .filter(position -> position.symbol().equals(symbol))
                  .findFirst()
                  .orElse(null)));
    }
    return made;
  }

  private void rows(List<WatchView.Watched> rows) {
    table.rows(rows);
    WatchView.Held held = WatchView.Held.of(rows);
    int free = workspace.desk().mostKept().get() - rows.size();
    foot.setText(
        (shown.equals(TheTen.NAME) ? Math.max(0, free) + " places free" : rows.size() + " watched")
            + (held.positions() == 0
                ? ", nothing held"
                : ", " + held.positions() + " held: " + Numbers.money(held.result())));
  }

  void next(int places) {
    table.move(places);
  }
}
