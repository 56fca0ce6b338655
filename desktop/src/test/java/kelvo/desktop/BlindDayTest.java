package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** A whole day on paper without its name, by keyboard. */
@ExtendWith(RealWindow.class)
class BlindDayTest {
  private OpenedWindow opened;

  @Start
  void start(Stage stage) throws IOException {
    opened = OpenedWindow.open(stage, DayTime.of(9, 45));
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private static String text(FxRobot robot, String id) {
    return robot.lookup(id).<Labeled>query().getText();
  }

  private static String allWords(FxRobot robot) {
    return robot.lookup("#blind-day").query().lookupAll(".label").stream()
        .map(label -> ((Labeled) label).getText())
        .collect(Collectors.joining("\n"));
  }

  @Tag("proof")
  @Test
  void itIsTradedWithoutBeingKnownAndToldAtTheEnd(FxRobot robot) {
    until(() -> opened.shown().isThere());
    robot.interact(() -> opened.window.goBlind());
    until(() -> text(robot, "#blind-standing").equals("Nothing is held."));
    String symbol = opened.workspace.focus().symbol().get();
    int year = opened.workspace.day().getYear();
    assertThat(robot.lookup("#blind-day").query().getBoundsInParent())
        .isEqualTo(robot.window(0).getScene().getRoot().getLayoutBounds());

    robot.type(KeyCode.UP, KeyCode.B);
    until(() -> text(robot, "#blind-told").contains("stop 2.5% away"));
    robot.type(KeyCode.CLOSE_BRACKET);
    until(() -> text(robot, "#blind-clock").equals("09:46:00"));
    until(() -> text(robot, "#blind-standing").startsWith("You are long, "));
    assertThat(opened.workspace.practice().account().get().fills())
        .allMatch(fill -> fill.symbol().equals(symbol));
    assertThat(allWords(robot))
        .contains("% of a position so far")
        .doesNotContain(symbol)
        .doesNotContain(Integer.toString(year));

    // Keys that open what could tell it do nothing.
    robot.type(KeyCode.SLASH, KeyCode.DIGIT4);
    robot.type(KeyCode.X);
    robot.type(KeyCode.CLOSE_BRACKET);
    until(() -> text(robot, "#blind-standing").startsWith("Nothing is held, "));
    assertThat(opened.workspace.practice().blind().get()).isTrue();

    robot.type(KeyCode.ESCAPE);
    until(() -> robot.lookup("#blind-day").tryQuery().isEmpty());
    assertThat(opened.workspace.practice().blind().get()).isFalse();
    assertThat(opened.workspace.window().action().get())
        .startsWith("It was " + symbol + " on " + opened.workspace.day() + ": Nothing is held, ");
    assertThat(List.of(symbol)).doesNotContain("");
  }
}
