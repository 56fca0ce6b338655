package kelvo.desktop.windows;

import java.util.List;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Screen;
import javafx.stage.Stage;
import kelvo.desktop.focus.FocusHeader;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.view.QuoteView;

/**
 * A window with one part: of the symbol in focus, of the one that it is pinned to, or of the
 * market. Only for the window's thread.
 */
final class PartWindow {
  private static final KeyCombination CLOSE =
      new KeyCodeCombination(KeyCode.W, KeyCombination.SHORTCUT_DOWN);

  private final Workspace workspace;
  private final PartKind kind;
  private final FocusHeader header = new FocusHeader();
  private final SymbolPart part;
  private final ToggleButton pin = new ToggleButton();
  private final Stage stage = new Stage();
  private final Runnable changed;
  private final Followed<QuoteView.Quote> quotes;
  private final ChangeListener<String> refocus = (o, was, is) -> refocus();
  private final ChangeListener<Object> restyle = (o, was, is) -> style();
  private String pinned;

  /**
   * A window that is not shown yet.
   *
   * @param part what it shows
   * @param changed hears of being closed, pinned or let go
   */
  PartWindow(
      Workspace workspace, PartKind kind, SymbolPart part, PlacedPart place, Runnable changed) {
    this.workspace = workspace;
    this.kind = kind;
    this.changed = changed;
    quotes = new Followed<>(workspace.clock(), header::show);
    pinned = place.symbol();
    this.part = part;
    BorderPane content = new BorderPane(part.node());
    if (kind.isOfSymbol()) {
      content.setTop(new VBox(header, bar()));
    }
    content.getStyleClass().add("card");
    Scene scene = new Scene(content, place.width(), place.height());
    scene.getAccelerators().put(CLOSE, stage::close);
    stage.setScene(scene);
    stage.setOnHidden(e -> closed());
    workspace.focus().symbol().addListener(refocus);
    workspace.window().theme().addListener(restyle);
    place(place);
    style();
    show();
  }

  private HBox bar() {
    Label title = new Label(kind.title());
    title.getStyleClass().add("title");
    pin.getStyleClass().setAll("toggle-button", "small-button");
    pin.setMinWidth(Region.USE_PREF_SIZE);
    pin.setFocusTraversable(false);
    pin.setTooltip(
        new Tooltip("Stays on this symbol whatever is in focus; again to follow the focus"));
    pin.setOnAction(e -> pinTo(pinned.isEmpty() ? workspace.focus().symbol().get() : ""));
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox bar = new HBox(8, title, space, pin);
    bar.setAlignment(Pos.CENTER_LEFT);
    bar.getStyleClass().add("part");
    return bar;
  }

  private void pinTo(String symbol) {
    pinned = symbol;
    changed.run();
    show();
  }

  /** The symbol that it is pinned to; empty while it follows the focus. */
  String pinned() {
    return pinned;
  }

  /** What it shows and where it stands now. */
  PlacedPart placed() {
    return new PlacedPart(
        kind.id(),
        pinned,
        stage.getX(),
        stage.getY(),
        stage.getScene().getWidth(),
        stage.getScene().getHeight());
  }

  /** Whether it shows a part of this kind. */
  boolean shows(PartKind other) {
    return kind.equals(other);
  }

  void toFront() {
    stage.toFront();
  }

  Scene scene() {
    return stage.getScene();
  }

  /** Puts it somewhere; on the screen at least, wherever it was before. */
  void place(PlacedPart place) {
    List<Screen> screens =
        Screen.getScreensForRectangle(place.x(), place.y(), place.width(), place.height());
    Rectangle2D room =
        (screens.isEmpty() ? Screen.getPrimary() : screens.getFirst()).getVisualBounds();
    stage.setX(within(place.x(), room.getMinX(), room.getMaxX() - place.width()));
    stage.setY(within(place.y(), room.getMinY(), room.getMaxY() - place.height()));
    if (stage.isShowing() && !stage.isMaximized()) {
      stage.setWidth(place.width() + stage.getWidth() - stage.getScene().getWidth());
      stage.setHeight(place.height() + stage.getHeight() - stage.getScene().getHeight());
    }
  }

  private static double within(double wanted, double least, double most) {
    return Math.max(least, Math.min(wanted, most));
  }

  void open() {
    stage.show();
  }

  /** Closes it without telling anybody. */
  void closeSilently() {
    stage.setOnHidden(null);
    stage.close();
    forget();
  }

  private void closed() {
    forget();
    changed.run();
  }

  /** Whether it is still open. */
  boolean isOpen() {
    return stage.isShowing();
  }

  private void forget() {
    quotes.stop();
    part.hide();
    workspace.focus().symbol().removeListener(refocus);
    workspace.window().theme().removeListener(restyle);
  }

  private void style() {
    Theme theme = workspace.window().theme().get();
    stage.getScene().getStylesheets().setAll(theme.styles());
    part.theme(theme);
  }

  private void refocus() {
    if (!kind.isOfSymbol()) {
      return;
    }
    if (pinned.isEmpty()) {
      show();
    } else {
      pinButton();
    }
  }

  private void pinButton() {
    boolean pins = !pinned.isEmpty();
    pin.setSelected(pins);
    pin.setDisable(!pins && workspace.focus().symbol().get().isEmpty());
    pin.setText(pins ? "Pinned to " + pinned : "Follows the focus");
  }

  private void show() {
    if (!kind.isOfSymbol()) {
      stage.setTitle(kind.title());
      part.show("");
      return;
    }
    pinButton();
    String symbol = pinned.isEmpty() ? workspace.focus().symbol().get() : pinned;
    stage.setTitle((symbol.isEmpty() ? "" : symbol + " · ") + kind.title());
    header.show(null);
    quotes.stop();
    workspace
        .session()
        .numberOf(symbol)
        .ifPresent(security -> quotes.follow(new QuoteView(workspace.session(), security)));
    part.show(symbol);
  }
}
