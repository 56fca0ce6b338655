package kelvo.desktop.morning;

import java.util.List;
import javafx.geometry.Side;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.journal.Decision;
import kelvo.view.CardsView;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;

/** The Ten: the symbols kept for today, with side, bucket and the line of plan. */
final class TenPanel extends VBox {
  private static final int[] LIMITS = {3, 5, 8, 10, 12, 15, 20};

  private final Workspace workspace;
  private final ContextMenu limits = new ContextMenu();
  private @Nullable List<Entry> shown;
  private final Followed<List<CardsView.Card>> followed;
  private List<CardsView.Card> cards = List.of();
  private List<String> symbols = List.of();

  /** A symbol as it is listed. */
  private record Entry(Decision decision, String change) {}

  TenPanel(Workspace workspace) {
    super(2);
    this.workspace = workspace;
    followed =
        new Followed<>(
            workspace,
            newest -> {
              cards = newest;
              show();
            });
    getStyleClass().addAll("card", "part");
    setMinWidth(150);
    setMaxWidth(150);
    for (int limit : LIMITS) {
      MenuItem item = new MenuItem("At most " + limit);
      item.setOnAction(e -> workspace.desk().keepAtMost(limit));
      limits.getItems().add(item);
    }
    workspace
        .desk()
        .mostKept()
        .addListener((o, was, is) -> list(shown == null ? List.of() : shown));
    workspace.book().addListener((o, was, is) -> show());
    workspace.clock().addListener((o, was, is) -> show());
  }

  /** The panel is seen from now on. */
  void shown() {
    symbols = TheTen.at(workspace.book().get(), workspace.now()).symbols();
    followed.follow(new CardsView(workspace.session(), symbols));
    show();
  }

  void hidden() {
    followed.stop();
  }

  private void show() {
    List<Decision> ten = TheTen.at(workspace.book().get(), workspace.now()).kept();
    if (followed.isFollowing() && !symbols.equals(ten.stream().map(Decision::symbol).toList())) {
      shown();
      return;
    }
    List<Entry> entries = ten.stream().map(d -> new Entry(d, change(d.symbol()))).toList();
    if (!entries.equals(shown)) {
      shown = entries;
      list(entries);
    }
  }

  private void list(List<Entry> ten) {
    int most = workspace.desk().mostKept().get();
    Label title = new Label("The Ten, " + ten.size() + " of " + most);
    title.getStyleClass().add("title");
    title.setTooltip(new Tooltip("Click to choose how many it may hold"));
    title.setOnMouseClicked(e -> limits.show(title, Side.BOTTOM, 0, 0));
    getChildren().setAll(title);
    if (ten.isEmpty()) {
      Label none = new Label("Nobody yet. K keeps the symbol in focus.");
      none.getStyleClass().addAll("faded", "small");
      none.setWrapText(true);
      getChildren().add(none);
    }
    ten.forEach(entry -> getChildren().add(entry(entry)));
  }

  private VBox entry(Entry shownEntry) {
    Decision decision = shownEntry.decision;
    Label symbol =
        new Label(
            (decision.side().direction() > 0 ? "▲ " : "▼ ")
                + decision.symbol()
                + "  "
                + shownEntry.change);
    symbol
        .getStyleClass()
        .addAll("strong", decision.side().direction() > 0 ? "tone-up" : "tone-down");
    Label bucket = new Label(decision.bucket());
    bucket.getStyleClass().addAll("faded", "small");
    Label plan = new Label(decision.plan());
    plan.getStyleClass().add("small");
    plan.setWrapText(true);
    VBox entry = new VBox(0, symbol, bucket);
    if (!decision.plan().isEmpty()) {
      entry.getChildren().add(plan);
    }
    entry.setOnMouseClicked(e -> workspace.focusOn(decision.symbol()));
    entry.setStyle("-fx-padding: 2 0 2 0;");
    return entry;
  }

  private String change(String symbol) {
    return cards.stream()
        .filter(c -> c.symbol().equals(symbol))
        .findFirst()
        .map(c -> Numbers.percent(c.changePercent()))
        .orElse("");
  }
}
