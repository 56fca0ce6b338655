package kelvo.desktop.plan;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import kelvo.tape.Price;
import kelvo.view.SizeView;

/** How many shares the plan's stop allows, from the account and the risk that are set. */
final class SizeLine extends Label {
  private final Workspace workspace;
  private final Followed<Optional<SizeView.Size>> followed;
  private String symbol = "";
  private List<Level> levels = List.of();

  /** Held here, since the workspace outlives windows of their own. */
  private final ChangeListener<Settings> again = (o, was, is) -> follow();

  SizeLine(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace, this::say);
    getStyleClass().add("small");
    setWrapText(true);
    setTooltip(
        new Tooltip(
            "Risk over the distance to the stop, fees and spread taken off. Advice only; it sends"
                + " nothing."));
    managedProperty().bind(textProperty().isNotEmpty());
    workspace.settings().settings().addListener(new WeakChangeListener<>(again));
  }

  /** Reckons with the levels of a symbol from now on. */
  void show(String of, List<Level> standing) {
    symbol = of;
    levels = standing;
    follow();
  }

  void hide() {
    followed.stop();
  }

  private void follow() {
    followed.stop();
    setText("");
    if (symbol.isEmpty()) {
      return;
    }
    Settings settings = workspace.settings().now();
    double account = settings.number(SettingCatalogue.ACCOUNT);
    double risk = account * settings.number(SettingCatalogue.RISK) / 100;
    Optional<Level> stop =
        levels.stream()
            .filter(level -> level.kind() == LevelKind.STOP)
            .reduce((first, last) -> last);
    if (account == 0) {
      setText(stop.isEmpty() ? "" : "Size: set your account in Settings (Ctrl+,).");
    } else if (stop.isEmpty()) {
      setText("Size: set a stop level; " + Numbers.money(risk) + " may be lost.");
    } else {
      workspace
          .session()
          .numberOf(symbol)
          .ifPresent(
              security ->
                  followed.follow(
                      new SizeView(security, stop.get().price(), risk, settings.fees())));
    }
  }

  private void say(Optional<SizeView.Size> size) {
    setText(size.map(SizeLine::words).orElse("Size: no price yet."));
  }

  private static String words(SizeView.Size size) {
    return String.format(
        Locale.ROOT,
        "Size: %,d shares from %s to the stop %s lose $%.2f; %.1f cents to break even.",
        size.position().shares(),
        Price.text(size.entry()),
        Price.text(size.stop()),
        size.position().loss(),
        size.position().breakEven() * 100);
  }
}
