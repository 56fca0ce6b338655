package kelvo.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Rectangle2D;
import org.junit.jupiter.api.Test;

/** A screen of 1280 x 800 pixels, 24 of which a panel at the top covers. */
class ScreenRoomTest {
  private static final Rectangle2D ROOM = new Rectangle2D(0, 24, 1280, 776);

  private static Rectangle2D fitted(double x, double y, double width, double height) {
    return ScreenRoom.within(ROOM, new Rectangle2D(x, y, width, height));
  }

  @Test
  void aWindowThatCanBeSeenStaysWhereItIs() {
    assertThat(fitted(100, 50, 900, 600)).isEqualTo(new Rectangle2D(100, 50, 900, 600));
  }

  @Test
  void aWindowWithATitleBarThatWouldNotFitIsMadeSmaller() {
    assertThat(fitted(0, 0, 1280, 830)).isEqualTo(ROOM);
  }

  @Test
  void aWindowThatHangsOverTheEdgeIsMovedBack() {
    assertThat(fitted(700, 400, 900, 600)).isEqualTo(new Rectangle2D(380, 200, 900, 600));
    assertThat(fitted(-300, 0, 900, 600)).isEqualTo(new Rectangle2D(0, 24, 900, 600));
  }
}
