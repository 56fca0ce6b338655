package kelvo.desktop.morning;

import java.util.List;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.TilePane;
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
  private final TilePane entries = new TilePane(16, 2);
  private @Nullable List<Entry> shown;
  private final Followed<List<CardsView.Card>> followed;
  private List<CardsView.Card> cards = List.of();
  private List<String> symbols = List.of();

  /** A symbol as it is listed. */
  private record Entry(Decision decision, String change) {}

  TenPanel(Workspace workspace) {
    super(4);
    this.workspace = workspace;
    followed =
        new Followed<>(
            workspace.clock(),
            newest -> {
              cards = newest;
              show();
            });
    getStyleClass().addAll("card", "part", "divided-above");
    entries.setPrefColumns(2);
    entries.setTileAlignment(Pos.TOP_LEFT);
    entries.prefTileWidthProperty().bind(widthProperty().subtract(48).divide(2));
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
    workspace.clock().shown().addListener((o, was, is) -> show());
  }

  /** The panel is seen from now on. */
  void shown() {
    symbols = TheTen.at(workspace.book().get(), workspace.clock().now()).symbols();
    followed.follow(new CardsView(workspace.session(), symbols));
    show();
  }

  void hidden() {
    followed.stop();
  }

  private void show() {
    List<Decision> ten = TheTen.at(workspace.book().get(), workspace.clock().now()).kept();
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
    Label title = new Label("The Ten");
    title.getStyleClass().add("title");
    Label count =
        new Label(
            ten.isEmpty()
                ? "nobody yet: K keeps the symbol in focus"
                : ten.size() + " kept, " + Math.max(0, most - ten.size()) + " free");
    count.getStyleClass().addAll("faded", "small");
    HBox heading = new HBox(8, title, count);
    heading.setAlignment(Pos.BASELINE_LEFT);
    Tooltip.install(heading, new Tooltip("Click to choose how many it may hold"));
    heading.setOnMouseClicked(e -> limits.show(heading, Side.TOP, 0, 0));
    entries.getChildren().setAll(ten.stream().map(this::entry).toList());
    getChildren().setAll(heading, entries);
  }

  private VBox entry(Entry shownEntry) {
    Decision decision = shownEntry.decision;
    Label symbol = new Label((decision.side().direction() > 0 ? "▲ " : "▼ ") + decision.symbol());
    symbol.getStyleClass().add("strong");
    symbol.setMinWidth(USE_PREF_SIZE);
    Label change = new Label(shownEntry.change);
    change.getStyleClass().add(shownEntry.change.startsWith("-") ? "tone-down" : "tone-up");
    change.setMinWidth(USE_PREF_SIZE);
    Label bucket = new Label(decision.bucket());
    bucket.getStyleClass().addAll("faded", "small");
    HBox line = new HBox(6, symbol, change, bucket);
    line.setAlignment(Pos.BASELINE_LEFT);
    Label plan = new Label(decision.plan());
    plan.getStyleClass().addAll("faded", "small");
    plan.setTooltip(decision.plan().isEmpty() ? null : new Tooltip(decision.plan()));
    VBox entry = new VBox(0, line, plan);
    entry.setOnMouseClicked(e -> workspace.focus().on(decision.symbol()));
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
