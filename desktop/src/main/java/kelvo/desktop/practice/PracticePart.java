package kelvo.desktop.practice;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.PracticeDesk;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.player.Step;
import kelvo.practice.Instruction;
import kelvo.practice.PaperAccount;
import kelvo.practice.PaperBroker;
import kelvo.practice.PaperOrder;
import kelvo.practice.Terms;
import kelvo.refusal.RefusedException;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import org.jspecify.annotations.Nullable;

/** Orders on paper in the symbol, what is held of it, and what was filled. */
public final class PracticePart extends ScrollPane implements SymbolPart {
  /** Its kind. */
  public static final PartKind KIND =
      new PartKind(
          "PRACTICE", "Orders on paper", (workspace, choice) -> new PracticePart(workspace));

  private static final String MARKET = "market";
  private static final String LIMIT = "limit";
  private static final String STOP = "stop";
  private static final String STOP_LIMIT = "stop limit";
  private static final int FILLS_SHOWN = 12;

  private final PracticeDesk desk;
  private final TextField shares = field("practice-shares", "shares", 5);
  private final ChoiceBox<String> kind =
      new ChoiceBox<>(FXCollections.observableArrayList(MARKET, LIMIT, STOP, STOP_LIMIT));
  private final TextField price = field("practice-price", "price", 5);
  private final TextField limit = field("practice-limit", "limit", 5);
  private final TextField stop = field("practice-stop", "stop", 5);
  private final TextField target = field("practice-target", "target", 5);
  private final Label held = new Label();
  private final Label told = new Label();
  private final VBox rows = new VBox(2);
  private final CheckBox shown = new CheckBox("Show and review trades on paper, not the real ones");
  private String symbol = "";
  private boolean shows;

  /** Held here, since the workspace outlives windows of their own. */
  private final ChangeListener<PaperAccount> refresh = (o, was, is) -> refresh();

  PracticePart(Workspace workspace) {
    desk = workspace.practice();
    setFitToWidth(true);
    shares.setText("100");
    kind.setValue(MARKET);
    kind.setAccessibleText("How the order is filled");
    kind.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> offerPrices());
    held.setId("practice-held");
    told.setId("practice-told");
    told.setWrapText(true);
    told.getStyleClass().addAll("small", "tone-bad");
    told.managedProperty().bind(told.textProperty().isNotEmpty());
    shown.setId("practice-shown");
    shown.getStyleClass().add("small");
    shown.selectedProperty().bindBidirectional(desk.shown());
    Button buy = button("Buy", () -> send(1));
    Button sell = button("Sell", () -> send(-1));
    VBox all =
        new VBox(
            6,
            line(shares, kind, price, limit, buy, sell),
            line(new Label("Bracket: stop"), stop, new Label("target"), target),
            told,
            line(held, button("Close it", this::close)),
            rows,
            shown,
            line(
                new Label("Step"),
                steps(),
                button("Back ([)", () -> desk.go(-1)),
                button("On (])", () -> desk.go(1)),
                button("Another day", () -> anotherDay(false)),
                button("Another, blind", () -> anotherDay(true))));
    all.getStyleClass().add("part");
    Label none = new Label("Orders on paper are for recorded sessions.");
    none.getStyleClass().addAll("part", "faded");
    setContent(desk.isOffered() ? all : none);
    offerPrices();
    desk.account().addListener(new WeakChangeListener<>(refresh));
  }

  private static TextField field(String id, String prompt, int columns) {
    TextField field = new TextField();
    field.setId(id);
    field.setPromptText(prompt);
    field.setAccessibleText(prompt);
    field.setPrefColumnCount(columns);
    return field;
  }

  private static HBox line(Node... nodes) {
    HBox line = new HBox(6, nodes);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private static Button button(String text, Runnable action) {
    Button button = new Button(text);
    button.getStyleClass().setAll("button", "small-button");
    button.setMinWidth(USE_PREF_SIZE);
    button.setOnAction(e -> action.run());
    return button;
  }

  private ChoiceBox<String> steps() {
    ChoiceBox<String> steps =
        new ChoiceBox<>(
            FXCollections.observableArrayList(
                Arrays.stream(Step.values()).map(Step::words).toList()));
    steps.setId("practice-step");
    steps.setAccessibleText("How far a step goes");
    steps.setValue(desk.step().get().words());
    steps
        .getSelectionModel()
        .selectedIndexProperty()
        .addListener((o, was, is) -> desk.step().set(Step.values()[is.intValue()]));
    return steps;
  }

  private void offerPrices() {
    String chosen = kind.getValue();
    price.setManaged(!MARKET.equals(chosen));
    price.setVisible(price.isManaged());
    limit.setManaged(STOP_LIMIT.equals(chosen));
    limit.setVisible(limit.isManaged());
  }

  private void send(int way) {
    try {
      long count = number(shares);
      Terms terms =
          switch (kind.getValue()) {
            case LIMIT -> new Terms.Limit(price(price));
            case STOP -> new Terms.Stop(price(price));
            case STOP_LIMIT -> new Terms.StopLimit(price(price), price(limit));
            default -> new Terms.Market();
          };
      desk.place(symbol, way, count, terms, exits());
      told.setText("");
    } catch (RefusedException e) {
      told.setText("No order was sent: " + e.getMessage() + ".");
    }
  }

  private static long number(TextField field) {
    try {
      return Long.parseLong(field.getText().strip());
    } catch (NumberFormatException e) {
      throw new RefusedException(
          "expected a number of shares such as 100, found \"" + field.getText() + "\"", e);
    }
  }

  private static long price(TextField field) {
    try {
      return Price.parse(field.getText().strip());
    } catch (RefusedException e) {
      throw new RefusedException(
          "expected a "
              + field.getPromptText()
              + " in dollars such as 8.20, found \""
              + field.getText()
              + "\"",
          e);
    }
  }

  /** A bracket's stop and target; null when neither is given. */
  private PaperOrder.@Nullable Exits exits() {
    boolean none = stop.getText().isBlank() && target.getText().isBlank();
    return none ? null : new PaperOrder.Exits(price(stop), price(target));
  }

  private void close() {
    desk.close(symbol);
  }

  private void anotherDay(boolean blind) {
    desk.anotherDay(blind, () -> told.setText("There is no other day in this folder."));
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(String wanted) {
    symbol = wanted;
    shows = true;
    told.setText("");
    refresh();
  }

  @Override
  public void hide() {
    shows = false;
  }

  private void refresh() {
    if (!shows) {
      return;
    }
    PaperAccount account = desk.account().get();
    long position = account.position(symbol);
    held.setText(held(position));
    rows.getChildren().clear();
    for (Instruction one : account.onTheirWay()) {
      if (one instanceof Instruction.Place place && place.order().symbol().equals(symbol)) {
        PaperOrder order = place.order();
        row(words(order.way(), order.shares(), order.terms()) + ", on its way");
      }
    }
    for (PaperBroker.Working order : account.working()) {
      if (order.symbol().equals(symbol)) {
        HBox row = row(words(order.way(), order.left(), order.terms()));
        row.getChildren().add(button("Cancel", () -> desk.cancel(order.id())));
      }
    }
    List<Fill> fills =
        account.fills().stream().filter(fill -> fill.symbol().equals(symbol)).toList().reversed();
    fills.stream()
        .limit(FILLS_SHOWN)
        .forEach(fill -> row(DayTime.seconds(fill.at()) + " " + fill.words()));
  }

  private String held(long position) {
    if (symbol.isEmpty()) {
      return "No symbol is in focus.";
    }
    return position == 0
        ? "Nothing of " + symbol + " is held on paper."
        : String.format(
            Locale.ROOT,
            "%s %,d %s on paper",
            position > 0 ? "Long" : "Short",
            Math.abs(position),
            symbol);
  }

  private HBox row(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("small");
    HBox row = line(label);
    rows.getChildren().add(row);
    return row;
  }

  private static String words(int way, long count, Terms terms) {
    return String.format(Locale.ROOT, "%s %,d %s", way > 0 ? "Buy" : "Sell", count, terms.words());
  }
}
