package kelvo.desktop.shell;

import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import kelvo.desktop.catalysts.CatalystsStage;
import kelvo.desktop.focus.FocusSide;
import kelvo.desktop.focus.PartKind;
import kelvo.desktop.live.AlertPopup;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.morning.MorningStage;
import kelvo.desktop.review.ReviewStage;
import kelvo.desktop.universe.UniverseStage;
import kelvo.desktop.windows.PartWindows;
import kelvo.session.KnownEvent;
import kelvo.hit.Hit;
import org.jspecify.annotations.Nullable;

/**
 * The frame: day rail above, stages on the left, list side and focus side, status below; and the
 * keys.
 */
public final class MainWindow extends BorderPane {
  private final Workspace workspace;
  private final UniverseStage universe;
  private final MorningStage morning;
  private final LiveStage live;
  private final CatalystsStage catalysts;
  private final ReviewStage review;
  private final FocusSide focus;
  private final PartWindows windows;
  private final TopBar top;
  private final SplitPane middle;
  private final TextField search = new TextField();
  private boolean commandKey;

  /** The window's content. */
  public MainWindow(Workspace workspace, List<String> faults) {
    this.workspace = workspace;
    universe = new UniverseStage(workspace);
    morning = new MorningStage(workspace);
    live = new LiveStage(workspace);
    catalysts = new CatalystsStage(workspace);
    review = new ReviewStage(workspace);
    focus = new FocusSide(workspace, this::popOut);
    windows = new PartWindows(workspace, this::takeKeys);
    top = new TopBar(workspace);
    middle = new SplitPane(morning, focus);
    arrange(WindowLayout.USUAL);
    setTop(top);
    setLeft(stageButtons());
    setCenter(middle);
    setBottom(new StatusBar(workspace, faults));
    workspace.stage().addListener((o, was, is) -> go(is));
    workspace.theme().addListener((o, was, is) -> style());
    workspace.alerts().newest().addListener((o, was, is) -> alert(is));
    workspace.alerts().coming().addListener((o, was, is) -> warn(is));
  }

  /** Makes the keys work in a scene, this window's or one of a part's own. */
  private void takeKeys(Scene scene) {
    scene.addEventFilter(KeyEvent.KEY_PRESSED, e -> key(e, scene));
    scene.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
  }

  private void popOut(PartKind part) {
    windows.open(part, getScene().getWindow());
  }

  /** The parts that stand in windows of their own. */
  public PartWindows windows() {
    return windows;
  }

  /** A scene of this window. */
  public Scene scene(double width, double height) {
    Scene scene = new Scene(this, width, height);
    takeKeys(scene);
    sceneProperty().addListener((o, was, is) -> style());
    style();
    return scene;
  }

  private void style() {
    Application.setUserAgentStylesheet(workspace.theme().get().baseStyles());
    if (getScene() != null) {
      getScene().getStylesheets().setAll(workspace.theme().get().styles());
    }
  }

  private VBox stageButtons() {
    VBox box = new VBox();
    box.getStyleClass().add("stages");
    box.setMinWidth(84);
    ToggleGroup group = new ToggleGroup();
    for (StageKind kind : StageKind.values()) {
      ToggleButton button = new ToggleButton(kind.number() + "  " + kind.title());
      button.getStyleClass().setAll("toggle-button", "stage-button");
      button.setToggleGroup(group);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setFocusTraversable(false);
      button.setSelected(kind == workspace.stage().get());
      button.setOnAction(
          e -> {
            button.setSelected(true);
            workspace.stage().set(kind);
          });
      workspace.stage().addListener((o, was, is) -> button.setSelected(is == kind));
      box.getChildren().add(button);
    }
    Label slash = new Label("/ finds a symbol");
    slash.getStyleClass().addAll("faded", "small");
    slash.setStyle("-fx-padding: 16 4 0 8;");
    slash.setWrapText(true);
    search.setPromptText("symbol");
    search.setMaxWidth(72);
    search.setVisible(false);
    search.setOnAction(
        e -> {
          workspace.find(search.getText());
          closeSearch();
        });
    VBox.setMargin(search, new javafx.geometry.Insets(4, 4, 0, 6));
    box.getChildren().addAll(slash, search);
    return box;
  }

  private Parent content(StageKind kind) {
    return switch (kind) {
      case UNIVERSE -> universe;
      case MORNING -> morning;
      case LIVE -> live;
      case CATALYSTS -> catalysts;
      case REVIEW -> review;
    };
  }

  private void closeSearch() {
    search.clear();
    search.setVisible(false);
    content(workspace.stage().get()).requestFocus();
  }

  private void go(StageKind kind) {
    double[] divider = middle.getDividerPositions();
    middle.getItems().set(0, content(kind));
    middle.setDividerPositions(divider);
    workspace.action().set(kind.title());
  }

  private void key(KeyEvent event, Scene scene) {
    commandKey = false;
    if (event.getCode() == KeyCode.ESCAPE && search.isVisible()) {
      closeSearch();
      event.consume();
      return;
    }
    if (scene.getFocusOwner() instanceof TextInputControl) {
      return;
    }
    if (event.isShortcutDown()) {
      if (event.getCode() == KeyCode.Z) {
        workspace.undo();
        event.consume();
      }
      return;
    }
    commandKey = stageKey(event) || windowKey(event) || stageOwnKey(event);
    if (commandKey) {
      event.consume();
    }
  }

  /**
   * Keeps the letter of a command key out of a text field that the command has just put in focus.
   */
  private void typed(KeyEvent event) {
    if (commandKey) {
      commandKey = false;
      event.consume();
    }
  }

  private boolean stageKey(KeyEvent event) {
    for (StageKind kind : StageKind.values()) {
      if (event.getText().equals(Integer.toString(kind.number()))) {
        workspace.stage().set(kind);
        return true;
      }
    }
    return false;
  }

  private boolean windowKey(KeyEvent event) {
    if (event.getText().equals("/")) {
      getScene().getWindow().requestFocus();
      search.setVisible(true);
      search.requestFocus();
      return true;
    }
    if (event.getCode() == KeyCode.P) {
      top.togglePlay();
      return true;
    }
    if (event.getCode() == KeyCode.O) {
      getScene().getWindow().requestFocus();
      focus.offerWindows();
      return true;
    }
    return false;
  }

  private boolean stageOwnKey(KeyEvent event) {
    return switch (workspace.stage().get()) {
      case UNIVERSE -> universe.key(event);
      case MORNING -> morning.key(event);
      case LIVE -> live.key(event);
      case CATALYSTS -> catalysts.key(event);
      case REVIEW -> false;
    };
  }

  private void alert(@Nullable Hit hit) {
    if (hit == null || getScene() == null || getScene().getWindow() == null) {
      return;
    }
    if (workspace.alerts().popup().get()) {
      AlertPopup.show(getScene().getWindow(), hit, () -> workspace.focusOn(hit.symbol()));
    }
    if (workspace.alerts().sound().get()) {
      Thread.ofVirtual()
          .start(
              () -> {
                String problem = AlertSound.play();
                if (problem != null) {
                  Platform.runLater(() -> workspace.action().set(problem));
                }
              });
    }
  }

  private void warn(@Nullable KnownEvent event) {
    boolean open = getScene() != null && getScene().getWindow() != null;
    if (event != null && open && workspace.alerts().popup().get()) {
      AlertPopup.show(getScene().getWindow(), event);
    }
  }

  /** Starts playing at so many times the speed of the day. */
  public void play(double times) {
    top.startAt(times);
  }

  /** Puts the splitters where a layout has them. */
  public void arrange(WindowLayout layout) {
    middle.setDividerPositions(layout.listShare());
    focus.splitAt(layout.intradayShare(), layout.dailyShare());
  }

  /** The window's size and where the splitters are now. */
  public WindowLayout layoutNow() {
    double[] charts = focus.splits();
    return new WindowLayout(
        getScene().getWidth(),
        getScene().getHeight(),
        middle.getDividerPositions()[0],
        charts[0],
        charts[1]);
  }

  /** How many triage rows can be seen. */
  public int triageRowsSeen() {
    return morning.visibleRows();
  }

  /** How many small charts are on the wall. */
  public int chartsOnWall() {
    return morning.chartsOnWall();
  }

  /** How many of them the last painting drew. */
  public int chartsPaintedLast() {
    return morning.chartsPaintedLast();
  }

  /** How many minute bars the chart has drawn. */
  public int minuteBarsDrawn() {
    return focus.minuteBarsDrawn();
  }
}
