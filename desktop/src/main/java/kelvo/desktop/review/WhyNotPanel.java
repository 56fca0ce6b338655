package kelvo.desktop.review;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.review.WhyNotFound;
import kelvo.review.WhyNotFound.Looser;
import kelvo.scan.Scan;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.view.UnfoundView;
import kelvo.view.UnfoundView.Mover;
import org.jspecify.annotations.Nullable;

/**
 * Why no scan found a symbol: the day's largest movers without a hit, and for the symbol in focus
 * what each rule of a scan said through the day, and which change would have found it.
 */
final class WhyNotPanel extends BorderPane {
  private static final double MOVERS_WIDTH = 206;

  private final Workspace workspace;
  private final BiConsumer<Scan, Scan> attempt;
  private final Grid<Mover> movers = new Grid<>("Movers that no scan found", Mover::symbol);
  private final Followed<List<Mover>> unfound;
  private final ComboBox<String> choice = new ComboBox<>();
  private final Playing playing;
  private final Label title = new Label();
  private final StripsView strips;
  private final VBox changes = new VBox(2);
  private @Nullable Asked asked;
  private boolean seen;

  private record Asked(Scan scan, String symbol, long moment) {}

  /**
   * Not seen yet.
   *
   * @param attempt takes a scan and how it is to be changed, to be tried
   */
  WhyNotPanel(Workspace workspace, BiConsumer<Scan, Scan> attempt) {
    this.workspace = workspace;
    this.attempt = attempt;
    playing = new Playing(workspace, "finding why a symbol was not found");
    strips = new StripsView(workspace);
    unfound = new Followed<>(workspace.clock(), movers::rows);
    movers.columns(columns());
    movers.emptyText("Every mover of the day was found.");
    movers.onSelect(mover -> workspace.focus().on(mover.symbol()));
    movers.setPrefWidth(MOVERS_WIDTH);
    setLeft(movers);
    choice.setAccessibleText("The scan that is asked");
    choice.setOnAction(e -> ask());
    title.getStyleClass().add("strong");
    HBox head = new HBox(8, choice, title, playing);
    head.setAlignment(Pos.CENTER_LEFT);
    VBox answer = new VBox(4, head, strips, changes);
    answer.getStyleClass().addAll("card", "part");
    ScrollPane scrolled = new ScrollPane(answer);
    scrolled.setFitToWidth(true);
    scrolled.setFitToHeight(true);
    setCenter(scrolled);
    workspace.desk().scans().addListener((ListChangeListener<Scan>) change -> name());
    workspace.focus().symbol().addListener((o, was, is) -> ask());
    name();
  }

  private static List<GridColumn<Mover>> columns() {
    return List.of(
        GridColumn.symbols(Mover::symbol),
        GridColumn.<Mover>numbers(
                "change", "From the previous close", 66, m -> Numbers.percent(m.changePercent()))
            .toned(m -> Tone.ofChange(m.changePercent())),
        GridColumn.numbers("volume", "Shares so far", 52, m -> Unit.SHARES.text(m.volume())));
  }

  private void name() {
    List<String> names = workspace.desk().scans().stream().map(Scan::name).toList();
    String chosen = choice.getValue();
    if (!choice.getItems().equals(names)) {
      choice.getItems().setAll(names);
      choice.setValue(names.contains(chosen) ? chosen : names.isEmpty() ? null : names.getFirst());
    }
    if (seen) {
      unfound.follow(new UnfoundView(workspace.session(), Set.copyOf(names)));
    }
    ask();
  }

  /** It is seen from now on, or no longer. */
  void seen(boolean now) {
    seen = now;
    if (now) {
      Set<String> names =
          workspace.desk().scans().stream().map(Scan::name).collect(Collectors.toSet());
      unfound.follow(new UnfoundView(workspace.session(), names));
      ask();
    } else {
      unfound.stop();
      playing.stop();
      asked = null;
    }
  }

  private void ask() {
    String symbol = workspace.focus().symbol().get();
    OptionalInt security = workspace.session().numberOf(symbol);
    Scan scan =
        workspace.desk().scans().stream()
            .filter(one -> one.name().equals(choice.getValue()))
            .findFirst()
            .orElse(null);
    if (!seen || scan == null) {
      return;
    }
    if (security.isEmpty()) {
      title.setText("Choose a symbol, or press / and type one");
      return;
    }
    Asked question = new Asked(scan, symbol, workspace.clock().now());
    if (question.equals(asked)) {
      return;
    }
    asked = question;
    title.setText("Why not " + symbol + "?");
    strips.show(List.of());
    changes.getChildren().clear();
    playing.ask(
        progress ->
            WhyNotFound.of(
                workspace.session(), scan, security.getAsInt(), question.moment(), progress),
        this::show);
  }

  private void show(WhyNotFound why) {
    strips.show(why.strips());
    changes.getChildren().clear();
    why.found()
        .ifPresent(
            hit ->
                say(
                    why.symbol()
                        + " was found by "
                        + why.scan().name()
                        + " at "
                        + DayTime.seconds(hit.at())
                        + ", at "
                        + Price.text(hit.price())
                        + "."));
    if (!why.why().isEmpty()) {
      say(why.why());
    }
    for (Looser looser : why.looser()) {
      offer(why, looser);
    }
  }

  private void say(String words) {
    Label label = new Label(words);
    label.setWrapText(true);
    changes.getChildren().add(label);
  }

  private void offer(WhyNotFound why, Looser looser) {
    Label words =
        new Label(
            looser.words()
                + ": first hit at "
                + DayTime.seconds(looser.at())
                + ", at "
                + Price.text(looser.price()));
    words.setMinWidth(0);
    HBox line =
        new HBox(
            8,
            SmallButton.inTabOrder(
                "Try it",
                "Plays the session with this change: what else it lets in",
                () -> attempt.accept(why.scan(), looser.scan())),
            words);
    line.setAlignment(Pos.CENTER_LEFT);
    changes.getChildren().add(line);
  }

  /** Goes to the next mover, or with -1 to the one before. */
  void next(int way) {
    movers.move(way);
  }

  void theme() {
    movers.theme(workspace.window().theme().get());
  }
}
