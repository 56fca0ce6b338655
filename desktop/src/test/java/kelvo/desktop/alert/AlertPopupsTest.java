package kelvo.desktop.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.stage.Stage;
import kelvo.desktop.PlacedStage;
import kelvo.desktop.RealWindow;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Alerts that pop up stand in a stack of three and take neither the keyboard nor for ever. */
@ExtendWith(RealWindow.class)
class AlertPopupsTest {
  private static final double LONG = 600;
  private static final long AT = DayTime.of(9, 41);
  private static final long PAST = DayTime.of(9, 46);

  private final List<String> done = new ArrayList<>();
  private AlertPopups popups;
  private Stage stage;
  private TextField field;

  @Start
  void start(Stage opened) {
    stage = opened;
    field = new TextField();
    popups = new AlertPopups();
    PlacedStage.show(stage, new Scene(field, 600, 400));
    field.requestFocus();
  }

  private void pop(String symbol, double seconds) {
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            popups.show(
                stage,
                seconds,
                symbol,
                "09:41:07  at 8.20",
                now -> now >= AT && now < PAST,
                () -> done.add(symbol + " in focus"),
                () -> done.add(symbol + " silent")));
  }

  private int shown() {
    return WaitForAsyncUtils.waitForAsyncFx(20_000, popups::shown);
  }

  @Test
  void threeStandAtMostAndTheKeyboardStaysWhereItIs() {
    for (String symbol : List.of("KELPOR", "TIDARC", "ORBTOW", "GENSED")) {
      pop(symbol, LONG);
    }

    assertThat(shown()).isEqualTo(3);
    assertThat(field.isFocused()).isTrue();
  }

  @Test
  void aClickPutsInFocusAndTheButtonSilences(FxRobot robot) {
    pop("KELPOR", LONG);
    pop("TIDARC", LONG);
    robot.clickOn((javafx.scene.Node n) -> n instanceof Label l && l.getText().equals("KELPOR"));
    assertThat(done).containsExactly("KELPOR in focus");
    assertThat(shown()).isEqualTo(1);

    robot.clickOn("Silent for 10 min");
    assertThat(done).containsExactly("KELPOR in focus", "TIDARC silent");
    assertThat(shown()).isZero();
  }

  @Test
  void noneStandsWhereItIsStillToComeOrPast() {
    pop("KELPOR", LONG);
    at(AT);
    assertThat(shown()).isEqualTo(1);
    at(AT - DayTime.SECOND);
    assertThat(shown()).isZero();

    pop("TIDARC", LONG);
    at(PAST - 1);
    assertThat(shown()).isEqualTo(1);
    at(PAST);
    assertThat(shown()).isZero();
  }

  private void at(long moment) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> popups.at(moment));
  }

  @Test
  void oneGoesByItself() throws Exception {
    pop("KELPOR", 0.05);
    WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> shown() == 0);
  }
}
