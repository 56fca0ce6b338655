package kelvo.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.Numbers;
import kelvo.view.MarketSnapshot;
import kelvo.history.CorporateAction;
import kelvo.tape.Price;
import kelvo.session.SecurityKind;
import kelvo.news.Catalyst;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** Symbol, name, price, change, flags in words, and the newest catalyst. */
public final class FocusHeader extends VBox {
  private final Label symbol = new Label();
  private final Label name = new Label();
  private final Label price = new Label();
  private final Label change = new Label();
  private final Label flags = new Label();
  private final Label catalyst = new Label();

  /** A header with nothing in it. */
  public FocusHeader() {
    super(0);
    getStyleClass().addAll("part", "card");
    symbol.getStyleClass().add("symbol");
    price.getStyleClass().add("symbol");
    price.setMinWidth(Region.USE_PREF_SIZE);
    symbol.setMinWidth(Region.USE_PREF_SIZE);
    change.getStyleClass().add("strong");
    change.setMinWidth(Region.USE_PREF_SIZE);
    name.getStyleClass().add("faded");
    flags.getStyleClass().addAll("small", "tone-down");
    catalyst.getStyleClass().addAll("small", "tone-catalyst");
    catalyst.setTextOverrun(OverrunStyle.ELLIPSIS);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox line = new HBox(10, symbol, name, space, price, change);
    line.setAlignment(Pos.BASELINE_LEFT);
    HBox second = new HBox(12, catalyst, flags);
    flags.setMinWidth(Region.USE_PREF_SIZE);
    getChildren().addAll(line, second);
    setMinHeight(52);
  }

  /** Shows a symbol; null for none. */
  public void show(MarketSnapshot.@Nullable Focus focus) {
    if (focus == null) {
      List.of(name, price, change, flags, catalyst).forEach(l -> l.setText(""));
      symbol.setText("No symbol in focus");
      return;
    }
    symbol.setText(focus.facts().symbol());
    name.setText(focus.facts().security().name() + " · " + focus.facts().security().sector());
    price.setText(Price.text(focus.price()));
    change.setText(Numbers.percent(focus.changePercent()) + (focus.change() >= 0 ? " ▲" : " ▼"));
    change.getStyleClass().removeAll("tone-up", "tone-down");
    change.getStyleClass().add(focus.change() >= 0 ? "tone-up" : "tone-down");
    flags.setText(String.join(" · ", flags(focus)));
    catalyst.setText(newest(focus.news()));
  }

  private static List<String> flags(MarketSnapshot.Focus focus) {
    List<String> flags = new ArrayList<>();
    CorporateAction split = focus.facts().recentSplit();
    if (split != null) {
      flags.add(split.words());
    }
    if (focus.facts().security().kind() != SecurityKind.COMMON_STOCK) {
      flags.add(focus.facts().security().kind().words());
    }
    if (!focus.priceSource().equals("last print")) {
      flags.add("price is the " + focus.priceSource());
    }
    if (!focus.halts().all().isEmpty() && focus.halts().all().getLast().to() == Long.MAX_VALUE) {
      flags.add("halted " + focus.halts().all().getLast().reason());
    }
    return flags;
  }

  private static String newest(List<Catalyst> news) {
    if (news.isEmpty()) {
      return "No news names it";
    }
    Catalyst item = news.getFirst();
    return when(item.at()) + "  " + item.headline();
  }

  /** The time of an item, with the day when it is an earlier one. */
  static String when(long at) {
    return at >= 0
        ? DayTime.minutes(at)
        : "earlier, " + DayTime.minutes(Math.floorMod(at, 24 * DayTime.HOUR));
  }
}
