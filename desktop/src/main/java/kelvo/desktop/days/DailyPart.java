package kelvo.desktop.days;

import java.util.List;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.Node;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.chart.DailyPriceChart;
import kelvo.desktop.rules.PriceAlerts;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.journal.DayBook;
import kelvo.view.DaysView;
import org.jspecify.annotations.Nullable;

/** The chart of the days. */
public final class DailyPart implements SymbolPart {
  /** Its kind. */
  public static final PartKind KIND = new PartKind("DAILY", "Daily chart", DailyPart::new);

  private final Workspace workspace;
  private final DailyPriceChart chart;
  private final Followed<DaysView.Days> followed;
  private DaysView.@Nullable Days shown;

  DailyPart(Workspace workspace, ChartChoice choice) {
    this.workspace = workspace;
    chart = new DailyPriceChart(choice, workspace.trader());
    PriceAlerts alerts = new PriceAlerts(workspace);
    chart.onPriceMenu(
        (price, x, y) -> {
          DaysView.Days days = shown;
          if (days != null) {
            alerts.offer(chart, days.symbol(), price, x, y);
          }
        });
    followed =
        new Followed<>(
            workspace.clock(),
            days -> {
              shown = days;
              paint();
            });
    workspace.book().addListener(new WeakChangeListener<>(repaint));
  }

  /** Held here, since the workspace outlives windows of their own. */
  private final ChangeListener<DayBook> repaint = (o, was, is) -> paint();

  @Override
  public Node node() {
    return chart;
  }

  @Override
  public void show(String symbol) {
    hide();
    shown = null;
    workspace
        .session()
        .numberOf(symbol)
        .ifPresentOrElse(
            security -> followed.follow(new DaysView(workspace.session(), security)), this::paint);
  }

  @Override
  public void hide() {
    followed.stop();
  }

  private void paint() {
    DaysView.Days days = shown;
    chart.show(
        days,
        days == null
            ? List.of()
            : workspace.book().get().levelsOn(days.symbol(), workspace.clock().now()),
        workspace.clock().now());
  }

  @Override
  public void theme(Theme theme) {
    chart.theme(theme);
  }
}
