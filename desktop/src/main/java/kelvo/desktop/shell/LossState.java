package kelvo.desktop.shell;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import kelvo.trade.Fill;
import kelvo.trade.LossLimit;
import kelvo.view.DayResultView;

/** Warns in the header when half of the day's loss limit is used up, and when all of it is. */
final class LossState extends Label {
  private final Workspace workspace;
  private final Followed<DayResultView.Result> followed;
  private List<Fill> fills = List.of();
  private LossLimit told = LossLimit.FINE;

  LossState(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::show);
    getStyleClass().addAll("pill", "loud");
    managedProperty().bind(textProperty().isNotEmpty());
    visibleProperty().bind(managedProperty());
    workspace.clock().shown().addListener((o, was, is) -> followAgain());
    workspace.settings().settings().addListener((o, was, is) -> follow());
    follow();
  }

  private double limit() {
    return workspace.settings().now().number(SettingCatalogue.LOSS_LIMIT);
  }

  private List<Fill> now() {
    return workspace.book().get().tradedUntil(workspace.clock().now());
  }

  private void followAgain() {
    if (limit() > 0 && !now().equals(fills)) {
      follow();
    }
  }

  private void follow() {
    fills = now();
    if (limit() == 0) {
      followed.stop();
      setText("");
      return;
    }
    Settings settings = workspace.settings().now();
    followed.follow(
        new DayResultView(
            workspace.session(), settings.fees().on(fills), settings.review().cost()));
  }

  private void show(DayResultView.Result result) {
    LossLimit stands = LossLimit.of(result.net(), limit());
    setText(
        switch (stands) {
          case FINE -> "";
          case HALF -> "Half the loss limit";
          case WHOLE -> "Loss limit reached";
        });
    setTooltip(
        new Tooltip(
            "The day has made "
                + Numbers.money(result.net())
                + " of a limit of "
                + Numbers.money(-limit())
                + "."));
    if (stands.compareTo(told) > 0) {
      workspace.window().action().set(getText() + ": " + Numbers.money(result.net()));
    }
    told = stands;
  }
}
