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
import kelvo.history.CorporateAction;
import kelvo.news.Catalyst;
import kelvo.session.SecurityKind;
import kelvo.tape.Price;
import kelvo.view.QuoteView;
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
  public void show(QuoteView.@Nullable Quote quote) {
    if (quote == null) {
      List.of(name, price, change, flags, catalyst).forEach(l -> l.setText(""));
      symbol.setText("No symbol in focus");
      return;
    }
    symbol.setText(quote.facts().symbol());
    name.setText(quote.facts().security().name() + " · " + quote.facts().security().sector());
    price.setText(Price.text(quote.price()));
    change.setText(Numbers.percent(quote.changePercent()) + (quote.change() >= 0 ? " ▲" : " ▼"));
    change.getStyleClass().removeAll("tone-up", "tone-down");
    change.getStyleClass().add(quote.change() >= 0 ? "tone-up" : "tone-down");
    flags.setText(String.join(" · ", flags(quote)));
    catalyst.setText(newest(quote.news()));
  }

  private static List<String> flags(QuoteView.Quote quote) {
    List<String> flags = new ArrayList<>();
    CorporateAction split = quote.facts().recentSplit();
    if (split != null) {
      flags.add(split.words());
    }
    quote.facts().distributions().forEach(given -> flags.add(given.words()));
    if (quote.facts().security().kind() != SecurityKind.COMMON_STOCK) {
      flags.add(quote.facts().security().kind().words());
    }
    if (!quote.priceSource().equals("last print")) {
      flags.add("price is the " + quote.priceSource());
    }
    if (!quote.halts().all().isEmpty() && quote.halts().all().getLast().to() == Long.MAX_VALUE) {
      flags.add("halted " + quote.halts().all().getLast().reason());
    }
    return flags;
  }

  private static String newest(List<Catalyst> news) {
    if (news.isEmpty()) {
      return "No news names it";
    }
    Catalyst item = news.getFirst();
    return Numbers.when(item.at()) + "  " + item.headline();
  }
}
