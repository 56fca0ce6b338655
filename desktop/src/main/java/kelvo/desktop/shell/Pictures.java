package kelvo.desktop.shell;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import javafx.animation.PauseTransition;
import javafx.beans.value.ChangeListener;
import javafx.scene.Scene;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Popup;
import javafx.stage.Window;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import kelvo.desktop.theme.Theme;
import kelvo.view.MarketSnapshot;
import kelvo.review.DayReview;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** Visits each main view at set moments, writes a picture of it, and exits. */
final class Pictures {
  private static final Duration SETTLE = Duration.millis(900);

  private record Shot(String name, StageKind stage, String at, String symbol, Theme theme) {}

  private static final String SECOND_LOOK = "second-look";

  private static final String WEATHER = "weather";

  private final Workspace workspace;
  private final Scene scene;
  private final Path folder;

  /** "premarket volume at least ..", which has a bound a phase. */
  private static final int WORKED_RULE = 4;

  private final Deque<Shot> shots = new ArrayDeque<>();
  private final ChangeListener<@Nullable MarketSnapshot> arrival = (o, was, is) -> arrived(is);
  private long awaited = -1;

  Pictures(Workspace workspace, Scene scene, Path folder) {
    this.workspace = workspace;
    this.scene = scene;
    this.folder = folder;
    for (Theme theme : Theme.values()) {
      shots.add(new Shot("universe", StageKind.UNIVERSE, "08:58:00", "ORBTOW", theme));
      shots.add(new Shot("morning", StageKind.MORNING, "08:58:00", "ORBTOW", theme));
      shots.add(new Shot("scan", StageKind.MORNING, "08:58:00", "ORBTOW", theme));
      shots.add(new Shot("wall", StageKind.MORNING, "09:20:00", "GENSED", theme));
      shots.add(new Shot(SECOND_LOOK, StageKind.MORNING, "10:00:00", "TIDARC", theme));
      shots.add(new Shot("live", StageKind.LIVE, "10:44:30", "DENBOT", theme));
      shots.add(new Shot("catalysts", StageKind.CATALYSTS, "09:40:00", "TIDARC", theme));
      shots.add(new Shot("review", StageKind.REVIEW, "16:30:00", "KELPOR", theme));
      shots.add(new Shot("symbol", StageKind.LIVE, "10:25:00", "TIDARC", theme));
    }
    shots.add(new Shot(WEATHER, StageKind.LIVE, "09:58:00", "TIDARC", Theme.DAYBREAK));
  }

  void start() {
    workspace.snapshot().addListener(arrival);
    next();
  }

  private void next() {
    Shot shot = shots.peek();
    if (shot == null) {
      workspace.snapshot().removeListener(arrival);
      KelvoWindow.exit(0);
      return;
    }
    workspace.theme().set(shot.theme());
    workspace.stage().set(shot.stage());
    workspace.wall().set(shot.name().equals("wall"));
    boolean onScan = shot.name().equals("scan");
    workspace.shownScan().set(workspace.scans().get(onScan ? 1 : 0));
    workspace.workedRule().set(onScan ? WORKED_RULE : Workspace.NO_RULE);
    workspace.focusOn(shot.symbol());
    awaited = DayTime.parse(shot.at());
    workspace.seek(awaited);
  }

  private void arrived(@Nullable MarketSnapshot shown) {
    Shot shot = shots.peek();
    boolean there =
        shot != null
            && shown != null
            && shown.moment() == awaited
            && shown.focus() != null
            && shown.focus().facts().symbol().equals(shot.symbol());
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
          DayReview review = workspace.review().get();
          boolean reviewed = review != null && review.until() == moment;
          if (shot.stage() != StageKind.REVIEW || reviewed && wasReviewed) {
            workspace.ask(
                run -> true, answered -> workspace.workOut(() -> true, workedOut -> take()));
          } else {
            settle(moment, shot, reviewed);
          }
        });
    settle.play();
  }

  /** What the trader does to see it. */
  private void begin(Shot shot) {
    if (shot.name().equals(SECOND_LOOK)) {
      pressSecondLook();
    } else if (shot.name().equals(WEATHER)) {
      scene.lookup(TopBar.WEATHER).fireEvent(click());
    }
  }

  private void pressSecondLook() {
    scene
        .getRoot()
        .fireEvent(
            new KeyEvent(KeyEvent.KEY_PRESSED, "l", "l", KeyCode.L, false, false, false, false));
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
      if (shot.name().equals(SECOND_LOOK)) {
        pressSecondLook();
      }
      System.err.println("kelvo: wrote " + file);
      next();
    } catch (IOException e) {
      System.err.println(
          "kelvo: cannot write pictures to " + folder + "; name a folder that can be written");
      KelvoWindow.exit(2);
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
