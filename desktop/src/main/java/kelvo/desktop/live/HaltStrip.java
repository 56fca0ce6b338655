package kelvo.desktop.live;

import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.tape.HaltReason;
import kelvo.tape.Price;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.view.HaltsView;

/**
 * Every halt, louder than all else while there is one: why, which way it went, how long until it
 * may resume; those that have just resumed with what they did; and the day's halts as a list.
 */
final class HaltStrip extends HBox {
  private static final PseudoClass HALTED = PseudoClass.getPseudoClass("halted");
  private static final int MOST_RESUMED = 3;

  private final Workspace workspace;
  private final FlowPane now = new FlowPane(16, 2);
  private final MenuButton history = new MenuButton("Halts today");
  private final Followed<HaltsView.HaltList> followed;
  private int listed = -1;

  HaltStrip(Workspace workspace) {
    super(12);
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::show);
    getStyleClass().addAll("halts", "part");
    setAlignment(Pos.CENTER_LEFT);
    setMinHeight(30);
    now.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(now, Priority.ALWAYS);
    now.setMinWidth(0);
    history.getStyleClass().setAll("menu-button", "small-button");
    history.setFocusTraversable(false);
    history.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(now, history);
  }

  /** It is seen from now on, or no longer. */
  void seen(boolean yes) {
    if (yes) {
      followed.follow(new HaltsView(workspace.session()));
    } else {
      followed.stop();
    }
  }

  private void show(HaltsView.HaltList shown) {
    pseudoClassStateChanged(HALTED, !shown.halted().isEmpty());
    List<Node> words = new ArrayList<>();
    for (HaltsView.Halted halted : shown.halted()) {
      words.add(halted(halted, shown.moment()));
      words.add(indications(halted));
    }
    shown.resumed().stream()
        .limit(MOST_RESUMED)
        .forEach(
            resumed ->
                words.add(
                    label(
                        resumed.symbol(),
                        resumed.symbol()
                            + " resumed "
                            + DayTime.minutes(resumed.at())
                            + ", "
                            + Numbers.percent(resumed.changePercent()),
                        "small")));
    if (words.isEmpty()) {
      Label none = new Label("No halts");
      none.getStyleClass().add("faded");
      words.add(none);
    }
    now.getChildren().setAll(words);
    list(shown.all());
  }

  private Label halted(HaltsView.Halted halted, long moment) {
    String way =
        halted.direction() > 0 ? ", going up" : halted.direction() < 0 ? ", going down" : "";
    Label label =
        label(
            halted.symbol(),
            (halted.state() == TradingState.QUOTING ? "QUOTING  " : "HALTED  ")
                + halted.symbol()
                + "  "
                + HaltReason.words(halted.reason())
                + (halted.reason().isEmpty() ? "" : " (" + halted.reason() + ")")
                + way
                + (halted.times() > 1 ? ", " + Numbers.ordinal(halted.times()) + " today" : "")
                + ", "
                + left(halted, moment),
            "strong");
    label.setTooltip(new Tooltip("Since " + DayTime.seconds(halted.since())));
    return label;
  }

  /** Where it may reopen: quotes, what the auction cannot pair, and the band. */
  private Label indications(HaltsView.Halted halted) {
    List<String> known = new ArrayList<>();
    if (halted.bid() > 0 && halted.ask() > 0) {
      known.add("quoted " + Price.text(halted.bid()) + " to " + Price.text(halted.ask()));
    }
    if (halted.imbalance() != 0) {
      known.add(
          Unit.SHARES.text(Math.abs(halted.imbalance()))
              + (halted.imbalance() > 0 ? " more to buy" : " more to sell"));
    }
    if (!Double.isNaN(halted.bandLow()) && !Double.isNaN(halted.bandHigh())) {
      known.add(
          "band "
              + Numbers.fixed(halted.bandLow(), 2)
              + " to "
              + Numbers.fixed(halted.bandHigh(), 2));
    }
    return label(
        halted.symbol(), known.isEmpty() ? "no quotes" : String.join(", ", known), "small");
  }

  private static String left(HaltsView.Halted halted, long moment) {
    if (halted.resumes() == Long.MAX_VALUE) {
      return "for " + span(moment - halted.since());
    }
    return halted.resumes() > moment
        ? span(halted.resumes() - moment) + " to go"
        : "overdue by " + span(moment - halted.resumes());
  }

  private static String span(long nanos) {
    long seconds = nanos / DayTime.SECOND;
    return seconds / 60 + ":" + (seconds % 60 < 10 ? "0" : "") + seconds % 60;
  }

  private Label label(String symbol, String words, String style) {
    Label label = new Label(words);
    label.getStyleClass().add(style);
    label.setOnMouseClicked(e -> workspace.focus().on(symbol));
    return label;
  }

  /** The day's halts, made anew only when there is another one. */
  private void list(List<HaltsView.Past> all) {
    int marks = all.stream().mapToInt(HaltsView.Past::hashCode).sum();
    if (marks == listed) {
      return;
    }
    listed = marks;
    history.setText(all.size() == 1 ? "1 halt today" : all.size() + " halts today");
    history.setVisible(!all.isEmpty());
    history.getItems().setAll(all.stream().map(this::item).toList());
  }

  private MenuItem item(HaltsView.Past past) {
    boolean over = past.halt().to() != Long.MAX_VALUE;
    MenuItem item =
        new MenuItem(
            DayTime.seconds(past.halt().from())
                + (over ? " to " + DayTime.seconds(past.halt().to()) : " until now")
                + "  "
                + past.symbol()
                + "  "
                + HaltReason.words(past.halt().reason()));
    item.setOnAction(e -> workspace.focus().lookAt(past.symbol(), past.halt().from()));
    return item;
  }
}
