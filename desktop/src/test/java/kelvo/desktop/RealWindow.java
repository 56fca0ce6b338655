package kelvo.desktop;

import java.util.Objects;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.input.MouseButton;
import org.jspecify.annotations.Nullable;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.robot.Motion;
import org.testfx.service.locator.BoundsLocatorException;
import org.testfx.service.query.NodeQuery;
import org.testfx.service.query.PointQuery;
import org.testfx.util.NodeQueryUtils;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Gives a test a stage and a robot that finds its way on the window's thread: bounds that another
 * thread reads while the window is laid out are wrong or missing now and then.
 */
public final class RealWindow extends ApplicationExtension {
  private static final int LONGEST_WAIT_MILLIS = 10_000;

  @Override
  public PointQuery point(Node node) {
    AtomicReference<@Nullable Point2D> middle = new AtomicReference<>();
    try {
      WaitForAsyncUtils.waitFor(
          LONGEST_WAIT_MILLIS, TimeUnit.MILLISECONDS, () -> onWindow(() -> look(node, middle)));
    } catch (TimeoutException e) {
      throw new AssertionError("it is nowhere to be seen: " + node, e);
    }
    return point(Objects.requireNonNull(middle.get())).onNode(node);
  }

  /** A popup has no size before its first frame, so nothing of it is seen until then. */
  private boolean look(Node node, AtomicReference<@Nullable Point2D> middle) {
    layOut(node.getScene().getRoot());
    try {
      middle.set(super.point(node).query());
      return true;
    } catch (RuntimeException e) {
      // The query throws it as it is or as a cause, depending on when it looks.
      if (e instanceof BoundsLocatorException || e.getCause() instanceof BoundsLocatorException) {
        return false;
      }
      throw e;
    }
  }

  @Override
  public FxRobot clickOn(String query, Motion motion, MouseButton... buttons) {
    return clickOn(point(visible(lookup(query))), motion, buttons);
  }

  @Override
  public <T extends Node> FxRobot clickOn(
      Predicate<T> predicate, Motion motion, MouseButton... buttons) {
    return clickOn(point(visible(lookup(predicate))), motion, buttons);
  }

  /** What was changed just now may not stand where it will. */
  private static void layOut(Parent root) {
    root.applyCss();
    root.layout();
  }

  private static Node visible(NodeQuery query) {
    return onWindow(() -> query.match(NodeQueryUtils.isVisible()).query());
  }

  private static <T> T onWindow(Callable<T> look) {
    return WaitForAsyncUtils.waitForAsyncFx(LONGEST_WAIT_MILLIS, look);
  }
}
