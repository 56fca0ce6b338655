package kelvo.desktop.plan;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Side;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import kelvo.tape.Price;
import kelvo.trade.BuyingPower;
import kelvo.view.QuoteView;
import kelvo.view.SizeView;

/** How many shares the plan's stop allows, from the account and the risk that are set. */
final class SizeLine extends Label {
  /** More of what was traded lately than this moves the price, per cent. */
  private static final double MUCH = 5;

  private final Workspace workspace;
  private final Followed<Optional<SizeView.Sizes>> followed;
  private String symbol = "";
  private int direction = 1;
  private List<Level> levels = List.of();

  /** Held here, since the workspace outlives windows of their own. */
  private final ChangeListener<Settings> again = (o, was, is) -> follow();

  SizeLine(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::say);
    getStyleClass().add("small");
    setWrapText(true);
    setTooltip(
        new Tooltip(
            "Risk over the distance to the stop, fees and spread taken off. Advice only; it sends"
                + " nothing."));
    managedProperty().bind(textProperty().isNotEmpty());
    workspace.settings().settings().addListener(new WeakChangeListener<>(again));
  }

  /** Reckons with the levels of a symbol, and the way of its plan, from now on. */
  void show(String of, Side way, List<Level> standing) {
    symbol = of;
    direction = way.direction() < 0 ? -1 : 1;
    levels = standing;
    follow();
  }

  void hide() {
    followed.stop();
  }

  private void follow() {
    followed.stop();
    setText("");
    OptionalInt security = workspace.session().numberOf(symbol);
    if (security.isEmpty()) {
      return;
    }
    Settings settings = workspace.settings().now();
    double account = settings.number(SettingCatalogue.ACCOUNT);
    Optional<Level> stop =
        levels.stream()
            .filter(level -> level.kind() == LevelKind.STOP)
            .reduce((first, last) -> last);
    if (account == 0) {
      // Who has set neither an account nor a stop does not ask for a size.
      setText(stop.isEmpty() ? "" : "Size: set your account in Settings (Ctrl+,).");
      return;
    }
    followed.follow(
        new SizeView(
            workspace.session(),
            security.getAsInt(),
            new SizeView.Asked(
                stop.map(level -> wayOf(level)).orElse(direction),
                Price.NONE,
                stop.map(Level::price).orElse(Price.NONE),
                settings.number(SettingCatalogue.STOP_ATR),
                account,
                account * settings.number(SettingCatalogue.RISK) / 100,
                settings.fees(),
                BuyingPower.of(
                    settings.text(SettingCatalogue.BUYING_POWER),
                    settings.text(SettingCatalogue.SHORT_POWER)))));
  }

  /** A stop above the price is that of a short, whatever the plan says. */
  private int wayOf(Level stop) {
    QuoteView.Quote quote = workspace.focus().quote().get();
    boolean known = quote != null && quote.facts().symbol().equals(symbol);
    return !known || quote == null || quote.price() == Price.NONE
        ? direction
        : stop.price() > quote.price() ? -1 : 1;
  }

  private void say(Optional<SizeView.Sizes> sizes) {
    setText(
        sizes
            .map(
                known ->
                    known.all().isEmpty()
                        ? "Size: set a stop level."
                        : known.all().stream()
                            .map(size -> words(known.entry(), size))
                            .collect(Collectors.joining("\n")))
            .orElse("Size: no price yet."));
  }

  private static String words(long entry, SizeView.Size size) {
    String words =
        String.format(
            Locale.ROOT,
            "Size: %,d shares from %s to %s %s lose $%.2f; %.1f cents to break even; $%,.0f%s",
            size.position().shares(),
            Price.text(entry),
            size.from(),
            Price.text(size.stop()),
            size.position().loss(),
            size.position().breakEven() * 100,
            size.cost(),
            size.isCut() ? ", all that the account affords" : "");
    return words
        + part(size.ofFiveMinutes(), "of the last 5 min", MUCH)
        + part(size.ofFloat(), "of the float", 1);
  }

  /** A share of what there is; a large one is a warning. */
  private static String part(double percent, String of, double much) {
    return Double.isNaN(percent)
        ? ""
        : String.format(Locale.ROOT, ", %.2f%% %s%s", percent, of, percent > much ? " (!)" : "");
  }
}
