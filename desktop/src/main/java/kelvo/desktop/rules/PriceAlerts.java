package kelvo.desktop.rules;

import java.util.Comparator;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import kelvo.desktop.workspace.AlertDesk;
import kelvo.desktop.workspace.Workspace;
import kelvo.tape.Price;

/** Offers alerts on a price that is pointed at. Only for the window's thread. */
public final class PriceAlerts {
  /** A level so near to what is pointed at is meant, per cent. */
  private static final double NEAR_PERCENT = 0.3;

  private final Workspace workspace;
  private final ContextMenu menu = new ContextMenu();

  /** Alerts of a window. */
  public PriceAlerts(Workspace workspace) {
    this.workspace = workspace;
  }

  /**
   * Opens the offers at a place of the screen.
   *
   * @param dollars the price that is pointed at
   */
  public void offer(Node over, String symbol, double dollars, double x, double y) {
    long tick = dollars >= 1 ? Price.DOLLAR / 100 : 1;
    long pointed = Math.round(dollars * Price.DOLLAR / tick) * tick;
    if (symbol.isEmpty() || pointed <= 0) {
      return;
    }
    long now = workspace.clock().now();
    String price =
        Price.text(
            workspace.book().get().levelsOn(symbol, now).stream()
                .filter(level -> Math.abs(level.distancePercent(pointed, now)) <= NEAR_PERCENT)
                .min(
                    Comparator.comparingDouble(
                        level -> Math.abs(level.distancePercent(pointed, now))))
                .map(level -> level.priceAt(now))
                .orElse(pointed));
    menu.hide();
    menu.getItems()
        .setAll(
            Stream.of(
                    "rises through " + price,
                    "falls through " + price,
                    "rises through vwap",
                    "falls through vwap")
                .map(when -> item(workspace.alertDesk(), symbol + " " + when))
                .toList());
    menu.show(over, x, y);
  }

  /** An offer of an alert. */
  static MenuItem item(AlertDesk desk, String sentence) {
    MenuItem item = new MenuItem("Alert: " + sentence);
    item.setMnemonicParsing(false);
    item.setOnAction(e -> desk.add(sentence));
    return item;
  }
}
