package kelvo.desktop.practice;

import java.util.Locale;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.PracticeDesk;
import kelvo.desktop.workspace.StepKeys;
import kelvo.desktop.workspace.Workspace;
import kelvo.practice.BlindBars;
import kelvo.practice.BlindResult;
import kelvo.practice.PaperOrder;
import kelvo.practice.Terms;
import kelvo.setting.SettingCatalogue;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.view.LivelySymbolView;
import kelvo.view.MinutesView;
import org.jspecify.annotations.Nullable;

/**
 * A day traded on paper without knowing what it is: it covers the whole window, and shows neither
 * symbol, name, date nor prices until it is ended. By keyboard: B buys, S sells, X gives back what
 * is held, the arrows move stop and target, P plays, the brackets step, Escape ends it. Only for
 * the window's thread.
 */
public final class BlindDay extends BorderPane {
  private static final int SEEN = 180;
  private static final double PLAYED = 60;
  private static final double FIRST_STOP = 0.02;
  private static final double FIRST_TARGET = 0.04;
  private static final double LEAST = 0.005;
  private static final double MOST = 0.5;

  private final Workspace workspace;
  private final PracticeDesk desk;
  private final Runnable ended;
  private final BlindChart chart;
  private final Label clock = new Label();
  private final Label standing = new Label();
  private final Label told = new Label();
  private final Button play =
      SmallButton.of("Play (P)", "The day at sixty times its speed", this::togglePlay);
  private final Followed<Optional<String>> lively;
  private final Followed<MinutesView.DayOfMinutes> minutes;
  private final ChangeListener<Number> choosing = (o, was, is) -> choose();
  private final ChangeListener<Object> telling = (o, was, is) -> tell();
  private String symbol = "";
  private MinutesView.@Nullable DayOfMinutes seen;
  private double stop = FIRST_STOP;
  private double target = FIRST_TARGET;

  /**
   * Covers the day.
   *
   * @param ended runs when it is uncovered
   */
  public BlindDay(Workspace workspace, Runnable ended) {
    this.workspace = workspace;
    this.ended = ended;
    desk = workspace.practice();
    chart = new BlindChart(workspace.window().theme());
    lively = new Followed<>(workspace.clock(), this::chosen);
    minutes = new Followed<>(workspace.clock(), this::show);
    setId("blind-day");
    getStyleClass().addAll("root", "rail");
    clock.setId("blind-clock");
    clock.getStyleClass().add("clock");
    standing.setId("blind-standing");
    standing.getStyleClass().add("strong");
    told.setId("blind-told");
    told.setWrapText(true);
    Label title = new Label("A session without its name");
    title.getStyleClass().add("faded");
    HBox head = new HBox(16, clock, title, standing);
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().add("part");
    HBox keys =
        new HBox(
            6,
            SmallButton.of("Buy (B)", "At the market, with stop and target", () -> send(1)),
            SmallButton.of("Sell (S)", "At the market, with stop and target", () -> send(-1)),
            SmallButton.of("Close it (X)", "Gives back what is held", this::giveBack),
            play,
            SmallButton.of("Back ([)", "A minute", () -> desk.go(-1)),
            SmallButton.of("On (])", "A minute", () -> desk.go(1)),
            SmallButton.of("End and tell (Escape)", "What it was", this::end));
    keys.setAlignment(Pos.CENTER_LEFT);
    VBox foot = new VBox(8, told, keys);
    foot.getStyleClass().add("part");
    setTop(head);
    setCenter(chart);
    setBottom(foot);
    desk.blind().set(true);
    desk.account().addListener(telling);
    workspace.clock().shown().addListener(telling);
    workspace.clock().speed().addListener(telling);
    workspace.clock().playedUntil().addListener(choosing);
    choose();
    tell();
  }

  /** The symbol is chosen once the hits up to the moment are known. */
  private void choose() {
    if (workspace.clock().playedUntil().get() >= workspace.clock().now()) {
      workspace.clock().playedUntil().removeListener(choosing);
      lively.follow(new LivelySymbolView());
    }
  }

  private void chosen(Optional<String> found) {
    found
        .flatMap(lively -> workspace.session().numberOf(lively).stream().boxed().findFirst())
        .ifPresent(
            security -> {
              lively.stop();
              symbol = workspace.session().security(security).symbol();
              workspace.focus().on(symbol);
              minutes.follow(
                  new MinutesView(
                      workspace.session(),
                      security,
                      workspace.settings().now().number(SettingCatalogue.BLOCKS)));
            });
  }

  private void show(MinutesView.DayOfMinutes day) {
    seen = day;
    chart.show(BlindBars.of(day.minutes()).newest(SEEN), Long.MAX_VALUE);
    tell();
  }

  private BlindResult result() {
    MinutesView.DayOfMinutes day = seen;
    return BlindResult.of(desk.account().get(), symbol, day == null ? Price.NONE : day.price());
  }

  private void tell() {
    clock.setText(DayTime.seconds(workspace.clock().now()));
    play.setText(workspace.clock().speed().get() > 0 ? "Pause (P)" : "Play (P)");
    BlindResult result = result();
    standing.setText(seen == null ? "" : result.words());
    chart.mark(result.entry(), result.stop());
    told.setText(
        seen == null
            ? "Looking for a symbol that moves."
            : String.format(
                Locale.ROOT,
                "An order is of one position, with its stop %.1f%% away (Up and Down) and its target"
                    + " %.1f%% (Right and Left).",
                100 * stop,
                100 * target));
  }

  private void send(int way) {
    MinutesView.DayOfMinutes day = seen;
    if (day == null || day.price() == Price.NONE) {
      return;
    }
    if (result().position() == -way) {
      // The stop and the target of what is held go with it.
      giveBack();
      return;
    }
    PaperOrder.Exits exits = BlindResult.exits(day.price(), way, stop, target);
    desk.place(symbol, way, BlindResult.shares(day.price()), new Terms.Market(), exits);
  }

  private void giveBack() {
    if (!symbol.isEmpty()) {
      desk.close(symbol);
    }
  }

  private void togglePlay() {
    workspace.clock().play(workspace.clock().speed().get() > 0 ? 0 : PLAYED);
  }

  private void end() {
    workspace.clock().playedUntil().removeListener(choosing);
    desk.account().removeListener(telling);
    workspace.clock().shown().removeListener(telling);
    workspace.clock().speed().removeListener(telling);
    lively.stop();
    minutes.stop();
    desk.blind().set(false);
    BlindResult result = result();
    workspace
        .window()
        .action()
        .set(
            (symbol.isEmpty() ? "It was " : "It was " + symbol + " on ")
                + workspace.day()
                + (result.traded() ? ": " + result.words() : ""));
    ended.run();
  }

  /** Uses a key. */
  public void key(KeyEvent event) {
    switch (event.getCode()) {
      case B -> send(1);
      case S -> send(-1);
      case X -> giveBack();
      case P -> togglePlay();
      case UP -> stop = moved(stop, 1);
      case DOWN -> stop = moved(stop, -1);
      case RIGHT -> target = moved(target, 1);
      case LEFT -> target = moved(target, -1);
      case ESCAPE -> {
        end();
        return;
      }
      default -> {
        // No other key does anything, since it could tell what it is.
        if (StepKeys.way(event) != 0) {
          desk.go(StepKeys.way(event));
        }
      }
    }
    tell();
  }

  private static double moved(double from, int way) {
    return Math.clamp(from + way * LEAST, LEAST, MOST);
  }
}
