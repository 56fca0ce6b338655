package kelvo.desktop.live;

import java.util.List;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Orientation;
import javafx.scene.Parent;
import javafx.scene.control.SplitPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.StageKey;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.watchlist.TheTen;

/** The Live stage: halts, the watchlists, the stream of hits in lanes, and what rang. */
public final class LiveStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Live", 3, "fth-activity");

  private static final double WATCH_SHARE = 0.34;
  private static final double RANG_FROM = 0.8;

  private final Workspace workspace;
  private final ReadOnlyStringWrapper nextStep = new ReadOnlyStringWrapper("");
  private final HaltStrip halts;
  private final RangPanel rang;
  private final WatchPanel watch;
  private final StreamPanel stream;

  /** The stage of a window. */
  public LiveStage(Workspace workspace) {
    this.workspace = workspace;
    halts = new HaltStrip(workspace);
    rang = new RangPanel(workspace);
    watch = new WatchPanel(workspace);
    stream = new StreamPanel(workspace);
    workspace
        .alertDesk()
        .onBegin(
            words -> {
              workspace.window().stage().set(KIND);
              rang.beginAlert(words);
            });
    setTop(halts);
    SplitPane split = new SplitPane(watch, stream, rang);
    split.setOrientation(Orientation.VERTICAL);
    split.setDividerPositions(WATCH_SHARE, RANG_FROM);
    setCenter(split);
    workspace.clock().shown().addListener((o, was, is) -> sayNextStep());
    sayNextStep();
  }

  private void sayNextStep() {
    boolean still = workspace.feed() == null && workspace.clock().speed().get() == 0;
    int ten = TheTen.at(workspace.book().get(), workspace.clock().now()).symbols().size();
    nextStep.set(
        still
            ? "The day stands still: P plays it, J walks the hits"
            : ten == 0
                ? "Nobody is watched, so only alerts and halts ring: K on Morning keeps a symbol"
                : "Hits on the " + ten + " of the Ten ring: J walks the hits, I the watchlist");
  }

  @Override
  public List<StageKey> keys() {
    return List.of(
        new StageKey("J, space", "the next hit"),
        new StageKey("N", "let in the hits that wait"),
        new StageKey("I", "the next on the watchlist"),
        new StageKey("A", "add the symbol in focus to the list"),
        new StageKey("X", "take it off the list"),
        new StageKey("E", "an alert on the symbol in focus"),
        new StageKey("Q", "quiet until the next phase"),
        new StageKey("M", "no sound, until pressed again"),
        new StageKey("U", "undo"));
  }

  @Override
  public ObservableValue<String> nextStep() {
    return nextStep.getReadOnlyProperty();
  }

  @Override
  public StageKind kind() {
    return KIND;
  }

  @Override
  public Parent node() {
    return this;
  }

  @Override
  public void shown() {
    seen(true);
  }

  @Override
  public void hidden() {
    seen(false);
  }

  private void seen(boolean now) {
    stream.seen(now);
    halts.seen(now);
    watch.seen(now);
    rang.seen(now);
  }

  @Override
  public boolean key(KeyEvent event) {
    switch (event.getCode()) {
      case J, SPACE -> stream.next();
      case N -> stream.letIn();
      case I -> watch.next(1);
      case A -> watch.add();
      case X -> watch.take();
      case E -> rang.beginAlert();
      case Q -> rang.turnQuiet();
      case M -> workspace.alerts().mute();
      case U -> workspace.undoStack().undo();
      default -> {
        return false;
      }
    }
    return true;
  }
}
