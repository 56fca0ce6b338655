package kelvo.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.Tooltip;
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
  private static final String HALTED = "halted ";

  private final Label symbol = new Label();
  private final Label name = new Label();
  private final Label price = new Label();
  private final Label change = new Label();
  private final Label sector = new Label();
  private final HBox flags = new HBox(6);
  private final Label catalyst = new Label();

  /** A header with nothing in it. */
  public FocusHeader() {
    super(0);
    getStyleClass().addAll("part", "card", "divided");
    symbol.getStyleClass().add("symbol");
    price.getStyleClass().add("symbol");
    price.setMinWidth(Region.USE_PREF_SIZE);
    symbol.setMinWidth(Region.USE_PREF_SIZE);
    change.getStyleClass().add("clock");
    sector.getStyleClass().add("pill");
    sector.setMinWidth(0);
    change.setMinWidth(Region.USE_PREF_SIZE);
    name.getStyleClass().add("faded");
    catalyst.getStyleClass().addAll("small", "tone-catalyst");
    catalyst.setMinWidth(0);
    catalyst.setTextOverrun(OverrunStyle.ELLIPSIS);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox line = new HBox(10, symbol, name, sector, space, price, change);
    line.setAlignment(Pos.CENTER_LEFT);
    catalyst.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(catalyst, Priority.ALWAYS);
    HBox second = new HBox(12, catalyst, flags);
    second.setAlignment(Pos.CENTER_LEFT);
    flags.setMinWidth(Region.USE_PREF_SIZE);
    getChildren().addAll(line, second);
    setMinHeight(62);
  }

  /** Shows a symbol; null for none. */
  public void show(QuoteView.@Nullable Quote quote) {
    if (quote == null) {
      List.of(name, price, change, sector, catalyst).forEach(l -> l.setText(""));
      sector.setVisible(false);
      flags.getChildren().clear();
      symbol.setText("No symbol in focus");
      return;
    }
    symbol.setText(quote.facts().symbol());
    name.setText(quote.facts().security().name());
    sector.setText(quote.facts().security().sector());
    sector.setVisible(!sector.getText().isEmpty());
    price.setText(Price.text(quote.price()));
    String sign = quote.change() > 0 ? "▲ " : quote.change() < 0 ? "▼ " : "";
    change.setText(sign + Numbers.percent(quote.changePercent()));
    change.getStyleClass().removeAll("tone-up", "tone-down");
    if (!sign.isEmpty()) {
      change.getStyleClass().add(quote.change() > 0 ? "tone-up" : "tone-down");
    }
    flag(flags(quote));
    boolean none = quote.news().isEmpty();
    catalyst.setText(none ? "No news names it" : newest(quote.news()));
    catalyst.getStyleClass().removeAll("faded", "tone-catalyst");
    catalyst.getStyleClass().add(none ? "faded" : "tone-catalyst");
    catalyst.setTooltip(none ? null : new Tooltip(newest(quote.news())));
  }

  /** The flags as pills; a halt is loud. */
  private void flag(List<String> words) {
    List<String> told = flags.getChildren().stream().map(flag -> ((Label) flag).getText()).toList();
    if (told.equals(words)) {
      return;
    }
    flags.getChildren().clear();
    for (String word : words) {
      Label flag = new Label(word);
      flag.getStyleClass().addAll("pill", word.startsWith(HALTED) ? "loud" : "wrong");
      flag.setMinWidth(Region.USE_PREF_SIZE);
      flags.getChildren().add(flag);
    }
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
      flags.add(HALTED + quote.halts().all().getLast().reason());
    }
    return flags;
  }

  private static String newest(List<Catalyst> news) {
    Catalyst item = news.getFirst();
    return Numbers.when(item.at()) + "  " + item.headline();
  }
}
