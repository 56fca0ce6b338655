package kelvo.desktop.intraday;

import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.Node;
import javafx.scene.layout.BorderPane;
import kelvo.desktop.chart.ChartBar;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.chart.IntradayChart;
import kelvo.desktop.rules.PriceAlerts;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.LookedAt;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.journal.DayBook;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import kelvo.view.MinutesView;
import org.jspecify.annotations.Nullable;

/** The chart of the day and the choices above it. */
public final class IntradayPart implements SymbolPart {
  /** Its kind. */
  public static final PartKind KIND = new PartKind("INTRADAY", "Intraday chart", IntradayPart::new);

  private final Workspace workspace;
  private final BorderPane pane;
  private final IntradayChart chart;
  private final Followed<MinutesView.DayOfMinutes> followed;

  /** Held here, since the workspace outlives windows of their own. */
  private final ChangeListener<DayBook> repaint = (o, was, is) -> paint();

  private final ChangeListener<@Nullable LookedAt> lookAt =
      (o, was, is) -> {
        wanted = is;
        centre();
      };

  private final ChangeListener<Settings> settings = this::settingsChanged;

  private MinutesView.@Nullable DayOfMinutes shown;
  private String symbol = "";

  /** The moment that is to be seen, until the chart shows its symbol; null for none. */
  private @Nullable LookedAt wanted;

  /** A chart of a window. */
  public IntradayPart(Workspace workspace, ChartChoice choice) {
    this.workspace = workspace;
    chart = new IntradayChart(choice, workspace.trader());
    pane = new BorderPane(chart);
    PriceAlerts alerts = new PriceAlerts(workspace);
    chart.onPriceMenu((price, x, y) -> alerts.offer(chart, symbol, price, x, y));
    pane.setTop(new ChartBar(choice));
    followed =
        new Followed<>(
            workspace.clock(),
            day -> {
              shown = day;
              paint();
              centre();
            });
    workspace.focus().lookedAt().addListener(new WeakChangeListener<>(lookAt));
    workspace.book().addListener(new WeakChangeListener<>(repaint));
    workspace.settings().settings().addListener(new WeakChangeListener<>(settings));
  }

  private void centre() {
    LookedAt at = wanted;
    MinutesView.DayOfMinutes day = shown;
    if (at != null && day != null && day.symbol().equals(at.symbol())) {
      chart.centre(at.moment());
      wanted = null;
    }
  }

  private void settingsChanged(ObservableValue<? extends Settings> of, Settings was, Settings is) {
    boolean others = !is.text(SettingCatalogue.BLOCKS).equals(was.text(SettingCatalogue.BLOCKS));
    if (others && followed.isFollowing()) {
      show(symbol);
    }
  }

  @Override
  public Node node() {
    return pane;
  }

  @Override
  public void show(String wanted) {
    symbol = wanted;
    hide();
    shown = null;
    workspace
        .session()
        .numberOf(wanted)
        .ifPresentOrElse(
            security ->
                followed.follow(
                    new MinutesView(
                        workspace.session(),
                        security,
                        workspace.settings().now().number(SettingCatalogue.BLOCKS))),
            this::paint);
  }

  @Override
  public void hide() {
    followed.stop();
  }

  private void paint() {
    MinutesView.DayOfMinutes day = shown;
    String painted = day == null ? "" : day.symbol();
    DayBook book = workspace.book().get();
    chart.show(
        day,
        book.levelsOn(painted, workspace.clock().now()),
        book.fillsUntil(workspace.clock().now()).stream()
            .filter(f -> f.symbol().equals(painted))
            .toList(),
        workspace.day(),
        workspace.session().hours().close());
  }

  @Override
  public void theme(Theme theme) {
    chart.theme(theme);
  }

  /** How many minute bars the last painting drew. */
  public int barsDrawn() {
    return chart.barsDrawn();
  }
}
