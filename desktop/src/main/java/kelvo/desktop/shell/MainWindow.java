package kelvo.desktop.shell;

import java.util.List;
import java.util.Locale;
import javafx.application.Application;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import kelvo.desktop.alert.AlertBell;
import kelvo.desktop.focus.FocusSide;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.practice.BlindDay;
import kelvo.desktop.setting.SettingsPage;
import kelvo.desktop.windows.PartWindows;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.StepKeys;
import kelvo.desktop.workspace.Workspace;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * The frame: day rail above, stages on the left, list side and focus side, status below; and the
 * keys.
 */
public final class MainWindow extends BorderPane {
  private static final double STAGES_WIDTH = 56;
  private static final double OVERLAY_TOP = 84;
  private static final double OVERLAY_BOTTOM = 36;

  private final Workspace workspace;
  private final List<DayStage> stages;
  private final FocusSide focus;
  private final PartWindows windows;
  private final TopBar top;
  private final NextStepLine nextStep;
  private final BorderPane listSide = new BorderPane();
  private final SplitPane middle;
  private final Finder finder;
  private final SettingsPage settings;
  private final KeysPane keysPane = new KeysPane();
  private final StackPane all = new StackPane();
  private @Nullable BlindDay blindDay;
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
    AlertBell bell =
        new AlertBell(
            workspace,
            () -> getScene() == null ? null : getScene().getWindow(),
            () -> workspace.window().stage().get().equals(LiveStage.KIND));
    settings = new SettingsPage(workspace, bell::test, () -> shownStage().node().requestFocus());
    finder = new Finder(workspace, () -> shownStage().node().requestFocus());
    if (workspace.window().stage().get().equals(StageKind.NONE)) {
      workspace.window().stage().set(Stages.FIRST);
    }
    shown = stage(workspace.window().stage().get());
    nextStep = new NextStepLine(workspace);
    nextStep.of(shown);
    listSide.setTop(nextStep);
    listSide.setCenter(shown.node());
    middle = new SplitPane(listSide, focus);
    shown.shown();
    focus.putBelow(shown.below());
    arrange(WindowLayout.DEFAULT);
    setTop(top);
    setLeft(stageButtons());
    setCenter(middle);
    setBottom(new StatusBar(workspace, faults));
    workspace.window().stage().addListener((o, was, is) -> go(is));
    workspace.window().theme().addListener((o, was, is) -> style());
  }

  /** Makes the keys work in a scene, this window's or one of a part's own. */
  private void takeKeys(Scene scene) {
    scene.addEventFilter(InputEvent.ANY, e -> workspace.presence().touched());
    scene.addEventFilter(KeyEvent.KEY_PRESSED, e -> key(e, scene));
    scene.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
    scene.addEventHandler(KeyEvent.KEY_PRESSED, e -> giveBack(e, scene));
  }

  /** Escape leaves whatever field takes the keys, unless the field has done something with it. */
  private void giveBack(KeyEvent event, Scene scene) {
    if (event.getCode() == KeyCode.ESCAPE) {
      (scene == getScene() ? shown.node() : scene.getRoot()).requestFocus();
    }
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
    StackPane.setMargin(finder, new Insets(OVERLAY_TOP, 0, 0, 0));
    StackPane.setAlignment(finder, Pos.TOP_CENTER);
    StackPane.setMargin(settings, new Insets(OVERLAY_TOP, 0, OVERLAY_BOTTOM, 0));
    all.getChildren().setAll(this, finder, settings, keysPane);
    Scene scene = new Scene(all, width, height);
    takeKeys(scene);
    sceneProperty().addListener((o, was, is) -> style());
    style();
    return scene;
  }

  /** Covers the day, so that it is traded on paper without knowing what it is. */
  public void goBlind() {
    BlindDay cover =
        new BlindDay(
            workspace,
            () -> {
              all.getChildren().remove(blindDay);
              blindDay = null;
              shownStage().node().requestFocus();
            });
    blindDay = cover;
    all.getChildren().add(cover);
  }

  private void style() {
    Application.setUserAgentStylesheet(workspace.window().theme().get().baseStyles());
    if (getScene() != null) {
      getScene().getStylesheets().setAll(workspace.window().theme().get().styles());
    }
  }

  private VBox stageButtons() {
    VBox box = new VBox();
    box.getStyleClass().add("stages");
    box.setMinWidth(STAGES_WIDTH);
    box.setMaxWidth(STAGES_WIDTH);
    ToggleGroup group = new ToggleGroup();
    for (DayStage each : stages) {
      StageKind kind = each.kind();
      FontIcon icon = new FontIcon(kind.icon());
      icon.getStyleClass().add("stage-icon");
      ToggleButton button = new ToggleButton(kind.title(), icon);
      button.setTooltip(new Tooltip(kind.title() + " (" + kind.number() + ")"));
      button.getStyleClass().setAll("toggle-button", "stage-button");
      button.setToggleGroup(group);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setFocusTraversable(false);
      button.setSelected(kind.equals(workspace.window().stage().get()));
      button.setOnAction(
          e -> {
            button.setSelected(true);
            workspace.window().stage().set(kind);
          });
      workspace.window().stage().addListener((o, was, is) -> button.setSelected(is.equals(kind)));
      box.getChildren().add(button);
    }
    Region space = new Region();
    VBox.setVgrow(space, Priority.ALWAYS);
    Label slash = new Label("/ find");
    slash.getStyleClass().addAll("faded", "small");
    slash.setMaxWidth(Double.MAX_VALUE);
    slash.setAlignment(Pos.CENTER);
    slash.setOnMouseClicked(e -> finder.open());
    FontIcon gear = new FontIcon("fth-settings");
    gear.getStyleClass().add("stage-icon");
    Button open = new Button("Settings", gear);
    open.getStyleClass().setAll("button", "stage-button");
    open.setTooltip(new Tooltip("All settings (Ctrl+,)"));
    open.setMaxWidth(Double.MAX_VALUE);
    open.setFocusTraversable(false);
    open.setOnAction(e -> settings.open());
    box.getChildren().addAll(space, slash, open);
    return box;
  }

  /** The stage of a kind; the first one when this window has none of it. */
  private DayStage stage(StageKind kind) {
    return stages.stream()
        .filter(stage -> stage.kind().equals(kind))
        .findFirst()
        .orElse(stages.getFirst());
  }

  private void go(StageKind kind) {
    shown.hidden();
    shown = stage(kind);
    listSide.setCenter(shown.node());
    nextStep.of(shown);
    shown.shown();
    focus.putBeside(shown.partBeside());
    focus.putBelow(shown.below());
    workspace.window().action().set(kind.title());
  }

  private void key(KeyEvent event, Scene scene) {
    commandKey = false;
    BlindDay blind = blindDay;
    if (blind != null) {
      blind.key(event);
      commandKey = true;
      event.consume();
      return;
    }
    if (keysPane.isVisible()) {
      keysPane.close();
      commandKey = true;
      event.consume();
      return;
    }
    if (scene.getFocusOwner() instanceof TextInputControl
        || ControlKeys.belongTo(scene.getFocusOwner(), event.getCode())) {
      return;
    }
    if (event.isShortcutDown()) {
      if (event.getCode() == KeyCode.Z) {
        workspace.undoStack().undo();
        event.consume();
      } else if (event.getCode() == KeyCode.O) {
        getScene().getWindow().requestFocus();
        top.offerSessions();
        event.consume();
      } else if (event.getCode() == KeyCode.COMMA) {
        settings.open();
        event.consume();
      }
      return;
    }
    commandKey = stageKey(event) || windowKey(event) || shown.key(event);
    if (commandKey) {
      event.consume();
    } else if (event.getText().matches("[a-z]")) {
      workspace
          .window()
          .action()
          .set(
              event.getText().toUpperCase(Locale.ROOT)
                  + " does nothing on "
                  + shown.kind().title()
                  + "; ? shows the keys");
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
        workspace.window().stage().set(each.kind());
        return true;
      }
    }
    return false;
  }

  private boolean windowKey(KeyEvent event) {
    if (event.getText().equals("?") || (event.getCode() == KeyCode.SLASH && event.isShiftDown())) {
      getScene().getWindow().requestFocus();
      keysPane.open(shown);
      return true;
    }
    if (event.getText().equals("/")) {
      getScene().getWindow().requestFocus();
      finder.open();
      return true;
    }
    if (event.getCode() == KeyCode.P) {
      top.togglePlay();
      return true;
    }
    if (StepKeys.way(event) != 0) {
      return step(StepKeys.way(event));
    }
    if (event.getCode() == KeyCode.O) {
      getScene().getWindow().requestFocus();
      focus.offerWindows();
      return true;
    }
    return false;
  }

  private boolean step(int way) {
    if (!workspace.practice().isOffered()) {
      return false;
    }
    workspace.practice().go(way);
    return true;
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

  /** Chooses what was shown the last time, as far as it is known and still there. */
  void showAgain(LastLook look) {
    stages.stream()
        .map(DayStage::kind)
        .filter(kind -> kind.title().equals(look.stage()))
        .findFirst()
        .ifPresent(workspace.window().stage()::set);
    workspace.scans().stream()
        .filter(scan -> scan.name().equals(look.scan()))
        .findFirst()
        .ifPresent(workspace.shownScan()::set);
    top.chooseSpeed(look.speed());
    nextStep.sendAwayOn(look.sentAway());
  }

  /** The window's size, where the splitters are and what it shows now. */
  public WindowLayout layoutNow() {
    double[] charts = focus.splits();
    return new WindowLayout(
        getScene().getWidth(),
        getScene().getHeight(),
        middle.getDividerPositions()[0],
        charts[0],
        charts[1],
        new LastLook(
            workspace.window().stage().get().title(),
            workspace.shownScan().get().name(),
            top.speed(),
            nextStep.sentAway(),
            getScene().getWindow().getX(),
            getScene().getWindow().getY()));
  }

  private DayStage shownStage() {
    return shown;
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
