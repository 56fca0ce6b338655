package kelvo.desktop.shell;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.function.IntConsumer;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.beans.value.ChangeListener;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Popup;
import javafx.stage.Window;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import kelvo.desktop.catalysts.CatalystsStage;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.morning.MorningStage;
import kelvo.desktop.practice.DrillPane;
import kelvo.desktop.research.ResearchStage;
import kelvo.desktop.review.ReviewStage;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.trackrecord.TrackRecordPane;
import kelvo.desktop.universe.UniverseStage;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.WindowState;
import kelvo.desktop.workspace.Workspace;
import kelvo.review.DayReview;
import kelvo.time.DayTime;
import kelvo.view.ClockView;
import kelvo.view.QuoteView;

/** Visits views at set moments and writes a picture of each. */
final class Pictures {
  private static final Duration SETTLE = Duration.millis(900);

  /** A view at a moment, with a symbol in focus; its name is the file's. */
  record Shot(String name, StageKind stage, String at, String symbol, Theme theme) {}

  private static final String SECOND_LOOK = "second-look";
  private static final String BREADTH = "breadth";
  private static final String SETTINGS = "settings";
  private static final String SESSIONS = "sessions";
  private static final String DRILL = "drill";
  private static final String CALENDAR = "calendar";

  /** Those of docs/screenshots, the three stages of most of the day in both themes. */
  static final List<Shot> MAIN_VIEWS = List.copyOf(mainViews());

  private final Workspace workspace;
  private final Scene scene;
  private final Path folder;
  private final IntConsumer ended;

  /** "premarket volume at least ..", which has a bound a phase. */
  private static final int WORKED_RULE = 4;

  private final Deque<Shot> shots;
  private final ChangeListener<Object> arrival = (o, was, is) -> arrived();

  /** Answered after each seek, also when that leads to the same moment. */
  private final Followed<ClockView.Clock> clock;

  private long awaited = -1;

  /**
   * Pictures that have not begun.
   *
   * @param ended takes the exit code: 0 when all are written, 2 when one cannot be
   */
  Pictures(Workspace workspace, Scene scene, Path folder, List<Shot> shots, IntConsumer ended) {
    this.ended = ended;
    this.workspace = workspace;
    this.scene = scene;
    this.folder = folder;
    clock = new Followed<>(workspace.clock(), shown -> arrived());
    this.shots = new ArrayDeque<>(shots);
  }

  private static List<Shot> mainViews() {
    List<Shot> views = new ArrayList<>();
    Theme day = Theme.DAYBREAK;
    views.add(new Shot("universe", UniverseStage.KIND, "08:58:00", "ORBTOW", day));
    views.add(new Shot("scan", MorningStage.KIND, "08:58:00", "ORBTOW", day));
    views.add(new Shot("wall", MorningStage.KIND, "09:20:00", "GENSED", day));
    views.add(new Shot(SECOND_LOOK, MorningStage.KIND, "10:00:00", "TIDARC", day));
    views.add(new Shot("catalysts", CatalystsStage.KIND, "09:40:00", "TIDARC", day));
    views.add(new Shot("symbol", LiveStage.KIND, "10:25:00", "TIDARC", day));
    views.add(new Shot(SETTINGS, MorningStage.KIND, "08:58:00", "TIDARC", day));
    views.add(new Shot(SESSIONS, ReviewStage.KIND, "16:30:00", "KELPOR", day));
    views.add(new Shot("research", ResearchStage.KIND, "16:30:00", "GENSED", day));
    views.add(new Shot(DRILL, ResearchStage.KIND, "16:30:00", "GENSED", day));
    for (Theme theme : Theme.values()) {
      views.add(new Shot("morning", MorningStage.KIND, "08:58:00", "TIDARC", theme));
      views.add(new Shot("live", LiveStage.KIND, "10:06:30", "TIDARC", theme));
      views.add(new Shot("review", ReviewStage.KIND, "16:30:00", "KELPOR", theme));
    }
    views.add(new Shot(CALENDAR, LiveStage.KIND, "10:06:30", "TIDARC", day));
    // Last, since what pops up stays until a key or a click.
    views.add(new Shot(BREADTH, LiveStage.KIND, "09:58:00", "TIDARC", day));
    return views;
  }

  void start() {
    clock.follow(new ClockView());
    workspace.focus().quote().addListener(arrival);
    next();
  }

  private void next() {
    Shot shot = shots.peek();
    if (shot == null) {
      clock.stop();
      workspace.focus().quote().removeListener(arrival);
      ended.accept(0);
      return;
    }
    workspace.window().theme().set(shot.theme());
    workspace.window().stage().set(shot.stage());
    workspace.window().wall().set(shot.name().equals("wall"));
    boolean onScan = shot.name().equals("scan");
    workspace.shownScan().set(workspace.scans().get(onScan ? 1 : 0));
    workspace.window().workedRule().set(onScan ? WORKED_RULE : WindowState.NO_RULE);
    workspace.focus().on(shot.symbol());
    awaited = DayTime.parse(shot.at());
    workspace.clock().seek(awaited);
  }

  private void arrived() {
    Shot shot = shots.peek();
    QuoteView.Quote quote = workspace.focus().quote().get();
    boolean there =
        shot != null
            && workspace.clock().now() == awaited
            && quote != null
            && quote.facts().symbol().equals(shot.symbol());
    if (there) {
      long moment = awaited;
      awaited = -1;
      begin(shot);
      settle(moment, shot, false);
    }
  }

  /** Waits until everything has been drawn that is worked out behind the window. */
  private void settle(long moment, Shot shot, boolean wasReviewed) {
    PauseTransition settle = new PauseTransition(SETTLE);
    settle.setOnFinished(
        e -> {
          DayReview review = workspace.review().review().get();
          boolean reviewed = review != null && review.until() == moment;
          boolean done = !shot.stage().equals(ReviewStage.KIND) || (reviewed && wasReviewed);
          if (done && !isPlayingSessions()) {
            workspace
                .clock()
                .ask(
                    run -> true,
                    answered -> workspace.answers().workOut(() -> true, workedOut -> take()));
          } else {
            settle(moment, shot, reviewed);
          }
        });
    settle.play();
  }

  private boolean isPlayingSessions() {
    return Stream.of(TrackRecordPane.WORKING, ResearchStage.WORKING)
            .map(scene::lookup)
            .anyMatch(shown -> shown instanceof Label working && !working.getText().isEmpty())
        || (scene.lookup(DrillPane.TOLD) instanceof Label told
            && told.getText().equals(DrillPane.READING));
  }

  /** What the trader does to see it. */
  private void begin(Shot shot) {
    if (shot.name().equals(SECOND_LOOK)) {
      pressSecondLook();
    } else if (shot.name().equals(SESSIONS)) {
      scene.getRoot().fireEvent(key(KeyCode.S, "s", false));
    } else if (shot.name().equals(SETTINGS)) {
      scene.getRoot().fireEvent(key(KeyCode.COMMA, ",", true));
    } else if (shot.name().equals(DRILL)) {
      scene.getRoot().fireEvent(key(KeyCode.D, "d", false));
    } else if (shot.name().equals(CALENDAR)) {
      scene.getRoot().fireEvent(key(KeyCode.O, "o", true));
    } else if (shot.name().equals(BREADTH)) {
      scene.lookup(TopBar.BREADTH).fireEvent(click());
    }
  }

  /** Leaves it again. */
  private void end(Shot shot) {
    if (shot.name().equals(SECOND_LOOK)) {
      pressSecondLook();
    } else if (shot.name().equals(SESSIONS)) {
      scene.getRoot().fireEvent(key(KeyCode.S, "s", false));
    } else if (shot.name().equals(SETTINGS)) {
      scene.lookup("#settings").fireEvent(key(KeyCode.ESCAPE, "", false));
    } else if (shot.name().equals(DRILL)) {
      scene.getRoot().fireEvent(key(KeyCode.ESCAPE, "", false));
    } else if (shot.name().equals(CALENDAR)) {
      List.copyOf(Window.getWindows()).stream()
          .filter(Popup.class::isInstance)
          .forEach(Window::hide);
    }
  }

  private void pressSecondLook() {
    scene.getRoot().fireEvent(key(KeyCode.L, "l", false));
  }

  private static KeyEvent key(KeyCode code, String text, boolean control) {
    return new KeyEvent(KeyEvent.KEY_PRESSED, text, text, code, false, control, false, false);
  }

  private static MouseEvent click() {
    return new MouseEvent(
        MouseEvent.MOUSE_CLICKED,
        0,
        0,
        0,
        0,
        MouseButton.PRIMARY,
        1,
        false,
        false,
        false,
        false,
        false,
        false,
        false,
        false,
        false,
        false,
        null);
  }

  private void take() {
    Shot shot = shots.remove();
    try {
      Files.createDirectories(folder);
      Path file = folder.resolve(shot.name() + "-" + shot.theme().word() + ".png");
      ImageIO.write(withPopups(), "png", file.toFile());
      end(shot);
      System.err.println("kelvo: wrote " + file);
      next();
    } catch (IOException e) {
      System.err.println(
          "kelvo: cannot write pictures to " + folder + "; name a folder that can be written");
      ended.accept(2);
    }
  }

  /** The window as it is seen, popups over it. */
  private BufferedImage withPopups() {
    BufferedImage picture = buffered(scene.snapshot(null));
    Window window = scene.getWindow();
    for (Window other : Window.getWindows()) {
      if (other instanceof Popup && other.isShowing()) {
        picture
            .createGraphics()
            .drawImage(
                buffered(other.getScene().snapshot(null)),
                (int) (other.getX() - window.getX() - scene.getX()),
                (int) (other.getY() - window.getY() - scene.getY()),
                null);
      }
    }
    return picture;
  }

  private static BufferedImage buffered(WritableImage image) {
    int width = (int) image.getWidth();
    int height = (int) image.getHeight();
    BufferedImage copy = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        copy.setRGB(x, y, image.getPixelReader().getArgb(x, y));
      }
    }
    return copy;
  }
}
