package kelvo.desktop;

import java.util.concurrent.Callable;
import java.util.function.Predicate;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.input.MouseButton;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.robot.Motion;
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
    Point2D middle =
        onWindow(
            () -> {
              layOut(node.getScene().getRoot());
              return super.point(node).query();
            });
    return point(middle).onNode(node);
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
