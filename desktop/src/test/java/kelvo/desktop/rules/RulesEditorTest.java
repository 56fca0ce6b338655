package kelvo.desktop.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.PlacedStage;
import kelvo.desktop.RealWindow;
import kelvo.rule.Rule;
import kelvo.rule.RuleCompletion;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** What the lines of rules say of the symbol in focus. */
@ExtendWith(RealWindow.class)
class RulesEditorTest {
  private RulesEditor rules;

  @Start
  void start(Stage stage) {
    rules =
        new RulesEditor(
            Vocabulary.DEFAULT,
            new RuleCompletion(Vocabulary.DEFAULT, word -> List.of()),
            changed -> {},
            chosen -> {});
    rules.show(List.of(RuleSentence.parse("gap at least 4%", Vocabulary.DEFAULT)));
    PlacedStage.show(stage, new Scene(rules, 600, 200));
  }

  private static void onTheWindowsThread(Runnable steps) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, steps);
  }

  private static Stream<String> said(FxRobot robot) {
    return robot.lookup(".label").queryAllAs(Label.class).stream().map(Label::getText);
  }

  private static TextInputControl sentence(FxRobot robot) {
    return robot.lookup((Node n) -> "Rule".equals(n.getAccessibleText())).query();
  }

  private static Rule rule(String sentence) {
    return RuleSentence.parse(sentence, Vocabulary.DEFAULT);
  }

  @Test
  void whatIsBeingTypedStaysWhileItIsNoRuleYet(FxRobot robot) {
    TextInputControl typed = sentence(robot);
    onTheWindowsThread(() -> typed.setText("gap at lea"));

    onTheWindowsThread(() -> rules.show(List.of(rule("gap at least 4%"))));

    assertThat(typed.getText()).isEqualTo("gap at lea");
    assertThat(typed.getStyleClass()).contains("wrong");
  }

  @Test
  void anErrorGoesWhenItsRuleIsMendedByAnotherHandOrAnotherScanIsShown(FxRobot robot) {
    TextInputControl typed = sentence(robot);
    onTheWindowsThread(() -> typed.setText("gap atleast 4%"));
    assertThat(said(robot)).anyMatch(text -> text.contains("atleast"));

    onTheWindowsThread(() -> rules.show(List.of(rule("gap at least 6%"))));
    assertThat(typed.getText()).isEqualTo("gap at least 6%");
    assertThat(typed.getStyleClass()).doesNotContain("wrong");
    assertThat(said(robot)).noneMatch(text -> text.contains("atleast"));

    onTheWindowsThread(
        () -> {
          typed.setText("gap atleast 4%");
          rules.showOthers(List.of(rule("gap at least 6%")));
        });
    assertThat(typed.getText()).isEqualTo("gap at least 6%");
    assertThat(said(robot)).noneMatch(text -> text.contains("atleast"));
  }

  @Test
  void anErrorNamesAndUnderlinesItsWordAndMovesNoRule(FxRobot robot) {
    TextInputControl typed = sentence(robot);
    double before = typed.localToScene(0, 0).getY();
    onTheWindowsThread(() -> typed.setText("gap atleast 4%"));
    WaitForAsyncUtils.waitForFxEvents();

    assertThat(said(robot)).anyMatch(text -> text.startsWith("\"atleast\": expected"));
    Node pointer = robot.lookup(".wrong-word").query();
    assertThat(pointer.isVisible()).isTrue();
    assertThat(pointer.getBoundsInParent().getWidth()).isBetween(20.0, 80.0);
    assertThat(pointer.getBoundsInParent().getMinX()).isGreaterThan(20);
    assertThat(typed.localToScene(0, 0).getY()).isEqualTo(before);
  }

  @Test
  void aLongRuleTakesASecondLineAndNoKeyBreaksIt(FxRobot robot) {
    TextInputControl typed = sentence(robot);
    double one = typed.getHeight();
    onTheWindowsThread(
        () ->
            typed.setText(
                "premarket volume at least 5K early, 20K premarket, 100K opening, 250K morning,"
                    + " 400K midday"));
    WaitForAsyncUtils.waitForFxEvents();

    assertThat(typed.getHeight()).isGreaterThan(one);
    robot.clickOn(typed).type(KeyCode.ENTER);
    assertThat(typed.getText()).doesNotContain("\n");
    String before = typed.getText();
    robot.type(KeyCode.TAB);
    assertThat(typed.getText()).as("Tab is no letter of a rule").isEqualTo(before);
  }

  @Test
  void whenARuleLastHeldStandsWhicheverAnswerComesFirst(FxRobot robot) {
    onTheWindowsThread(
        () -> {
          rules.answer(0, "5.0%", true);
          rules.lastHeld(0, DayTime.of(7, 12));
          rules.answer(0, "3.1%", false);
        });
    assertThat(said(robot)).contains("✗ 3.1%, 07:12");

    onTheWindowsThread(
        () -> {
          rules.forgetLastHeld();
          rules.answer(0, "3.0%", false);
        });
    assertThat(said(robot)).contains("✗ 3.0%");

    onTheWindowsThread(() -> rules.lastHeld(0, -1));
    assertThat(said(robot)).contains("✗ 3.0%, never");

    onTheWindowsThread(() -> rules.answer(0, "4.2%", true));
    assertThat(said(robot)).contains("✓ 4.2%");
  }
}
