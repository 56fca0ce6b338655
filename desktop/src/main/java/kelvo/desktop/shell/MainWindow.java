package kelvo.desktop.shell;

import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
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
import kelvo.desktop.alert.AlertPopup;
import kelvo.desktop.alert.AlertSound;
import kelvo.desktop.focus.FocusSide;
import kelvo.desktop.windows.PartWindows;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.hit.Hit;
import kelvo.session.KnownEvent;
import org.jspecify.annotations.Nullable;

/**
 * The frame: day rail above, stages on the left, list side and focus side, status below; and the
 * keys.
 */
public final class MainWindow extends BorderPane {
  private final Workspace workspace;
  private final List<DayStage> stages;
  private final FocusSide focus;
  private final PartWindows windows;
  private final TopBar top;
  private final SplitPane middle;
  private final TextField search = new TextField();
  private DayStage shown;
  private boolean commandKey;

  /** The window's content with all stages and parts. */
  public MainWindow(Workspace workspace, List<String> faults) {
    this(workspace, faults, Stages.of(workspace), Parts.ALL);
  }

  /** A window with these stages, of which the workspace's is shown, and these parts. */
  MainWindow(
      Workspace workspace, List<String> faults, List<DayStage> stages, List<PartKind> parts) {
    this.workspace = workspace;
    this.stages = List.copyOf(stages);
    focus = new FocusSide(workspace, parts, this::popOut);
    windows = new PartWindows(workspace, parts, this::takeKeys);
    top = new TopBar(workspace);
    if (workspace.stage().get().equals(StageKind.NONE)) {
      workspace.stage().set(Stages.FIRST);
    }
    shown = stage(workspace.stage().get());
    middle = new SplitPane(shown.node(), focus);
    shown.shown();
    arrange(WindowLayout.DEFAULT);
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
    for (DayStage each : stages) {
      StageKind kind = each.kind();
      ToggleButton button = new ToggleButton(kind.number() + "  " + kind.title());
      button.getStyleClass().setAll("toggle-button", "stage-button");
      button.setToggleGroup(group);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setFocusTraversable(false);
      button.setSelected(kind.equals(workspace.stage().get()));
      button.setOnAction(
          e -> {
            button.setSelected(true);
            workspace.stage().set(kind);
          });
      workspace.stage().addListener((o, was, is) -> button.setSelected(is.equals(kind)));
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

  /** The stage of a kind; the first one when this window has none of it. */
  private DayStage stage(StageKind kind) {
    return stages.stream()
        .filter(stage -> stage.kind().equals(kind))
        .findFirst()
        .orElse(stages.getFirst());
  }

  private void closeSearch() {
    search.clear();
    search.setVisible(false);
    shown.node().requestFocus();
  }

  private void go(StageKind kind) {
    double[] divider = middle.getDividerPositions();
    shown.hidden();
    shown = stage(kind);
    middle.getItems().set(0, shown.node());
    middle.setDividerPositions(divider);
    shown.shown();
    focus.putBeside(shown.partBeside());
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
    commandKey = stageKey(event) || windowKey(event) || shown.key(event);
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
    for (DayStage each : stages) {
      if (event.getText().equals(Integer.toString(each.kind().number()))) {
        workspace.stage().set(each.kind());
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
                try {
                  String problem = AlertSound.play();
                  if (problem != null) {
                    Platform.runLater(() -> workspace.action().set(problem));
                  }
                } catch (RuntimeException e) {
                  workspace.troubles().tell("playing the sound of an alert", e);
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

  /** The stage in front. */
  public DayStage shown() {
    return shown;
  }

  /** How many minute bars the chart has drawn. */
  public int minuteBarsDrawn() {
    return focus.minuteBarsDrawn();
  }
}
