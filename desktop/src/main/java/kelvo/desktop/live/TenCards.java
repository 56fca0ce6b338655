package kelvo.desktop.live;

import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.tape.Price;
import kelvo.view.CardsView;
import kelvo.watchlist.TheTen;

/** A card for each of the Ten: spark line since 04:00, distance to each level, armed alerts. */
final class TenCards extends VBox {
  private static final double CARD_WIDTH = 147;
  private static final double SPARK_HEIGHT = 26;

  private final Workspace workspace;
  private final TilePane tiles = new TilePane(6, 6);

  private final Followed<List<CardsView.Card>> followed;
  private List<String> symbols = List.of();

  TenCards(Workspace workspace) {
    super(4);
    this.workspace = workspace;
    followed = new Followed<>(workspace, this::show);
    workspace.book().addListener((o, was, is) -> followTen());
    workspace.clock().addListener((o, was, is) -> followTen());
    getStyleClass().add("part");
    tiles.setPrefColumns(4);
    Label title = new Label("The Ten");
    title.getStyleClass().add("title");
    getChildren().addAll(title, tiles);
  }

  /** The cards are seen from now on. */
  void shown() {
    symbols = ten();
    followed.follow(new CardsView(workspace.session(), symbols));
  }

  void hidden() {
    followed.stop();
  }

  private List<String> ten() {
    return TheTen.at(workspace.book().get(), workspace.now()).symbols();
  }

  /** Another moment or decision may put others on the Ten. */
  private void followTen() {
    if (followed.isFollowing() && !ten().equals(symbols)) {
      shown();
    }
  }

  private void show(List<CardsView.Card> cards) {
    tiles.getChildren().clear();
    if (cards.isEmpty()) {
      Label none = new Label("Nobody is kept yet: go to Morning (2), choose a symbol and press K.");
      none.getStyleClass().add("faded");
      tiles.getChildren().add(none);
    }
    cards.forEach(card -> tiles.getChildren().add(card(card, workspace.now())));
  }

  private VBox card(CardsView.Card card, long moment) {
    Label symbol = new Label(card.symbol());
    symbol.getStyleClass().add("strong");
    Label change =
        new Label(Price.text(card.price()) + "  " + Numbers.percent(card.changePercent()));
    change.getStyleClass().addAll("small", card.changePercent() >= 0 ? "tone-up" : "tone-down");
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    VBox box = new VBox(1, new HBox(symbol, space, change), spark(card), levels(card, moment));
    box.getStyleClass().add("card");
    box.setStyle("-fx-padding: 4 6 4 6;");
    box.setPrefWidth(CARD_WIDTH);
    box.setOnMouseClicked(e -> workspace.focusOn(card.symbol()));
    return box;
  }

  private Canvas spark(CardsView.Card card) {
    Canvas canvas = new Canvas(CARD_WIDTH - 14, SPARK_HEIGHT);
    double[] values = card.spark().closes();
    if (values.length < 2) {
      return canvas;
    }
    double low = java.util.Arrays.stream(values).min().orElse(0);
    double high = java.util.Arrays.stream(values).max().orElse(1);
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.setStroke(workspace.theme().get().colour(Tone.ofChange(card.changePercent())));
    g.beginPath();
    for (int i = 0; i < values.length; i++) {
      double x = i / (double) (values.length - 1) * (canvas.getWidth() - 2) + 1;
      double y =
          SPARK_HEIGHT
              - 2
              - (high > low ? (values[i] - low) / (high - low) : 0.5) * (SPARK_HEIGHT - 4);
      g.lineTo(x, y);
    }
    g.stroke();
    return canvas;
  }

  private Label levels(CardsView.Card card, long moment) {
    List<Level> standing = workspace.book().get().levelsOn(card.symbol(), moment);
    String text =
        standing.isEmpty()
            ? "no levels"
            : standing.stream()
                .map(l -> words(l, card.price(), moment))
                .collect(Collectors.joining("\n"));
    Label label = new Label(text);
    label.getStyleClass().addAll("small", "faded");
    return label;
  }

  /**
   * A level's distance; an armed one, which alerts when it is passed, carries a bell's place as a
   * dot.
   */
  private static String words(Level level, long price, long moment) {
    String armed = level.kind() == LevelKind.STOP ? "stop " : "● ";
    return armed
        + Price.text(level.priceAt(moment))
        + " "
        + Numbers.percent(level.distancePercent(price, moment));
  }
}
