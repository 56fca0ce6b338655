package kelvo.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.stage.Stage;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** What the window offers when a day cannot be opened, and what nobody has caught. */
@ExtendWith(ApplicationExtension.class)
class KelvoWindowTest {
  private static final LocalDate DATE = DemoSize.SESSION;

  @TempDir static Path folder;

  private final KelvoWindow window = new KelvoWindow();
  private final Thread.UncaughtExceptionHandler before =
      Thread.getDefaultUncaughtExceptionHandler();
  private Stage stage;

  /** Reads a date of the folder. */
  private record Dated(LocalDate date) implements OpenRequest.Load {
    @Override
    public OpenedDay day(Progress progress) {
      return OpenedDay.open(folder, date, progress);
    }

    @Override
    public OpenRequest.Load on(LocalDate other) {
      return new Dated(other);
    }
  }

  @BeforeAll
  static void invent() throws IOException {
    DemoFolder.write(folder, new DemoSize(60, 30, 6_000, DATE), 7, Progress.NONE);
  }

  @Start
  void start(Stage opened) {
    stage = opened;
  }

  @AfterEach
  void close() {
    Thread.setDefaultUncaughtExceptionHandler(before);
    WaitForAsyncUtils.waitForAsyncFx(20_000, window::stop);
  }

  private void open(OpenRequest.Load load) {
    OpenRequest request =
        new OpenRequest(load, DayTime.of(9, 0), 0, 0, Theme.DAYBREAK, null, false);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> window.show(stage, request));
  }

  private List<String> texts() {
    return stage.getScene().getRoot().lookupAll("*").stream()
        .filter(Labeled.class::isInstance)
        .map(node -> ((Labeled) node).getText())
        .toList();
  }

  private boolean says(String words) {
    return texts().stream().anyMatch(text -> text != null && text.contains(words));
  }

  private boolean offers(String words) {
    return stage.getScene().getRoot().lookupAll(".button").stream()
        .anyMatch(node -> ((Button) node).getText().equals(words));
  }

  private boolean showsTheDay() {
    return stage.getScene().lookup(TopBar.BREADTH) != null;
  }

  private static void until(BooleanSupplier so) throws Exception {
    WaitForAsyncUtils.waitFor(
        20,
        TimeUnit.SECONDS,
        () -> WaitForAsyncUtils.waitForAsyncFx(5_000, () -> so.getAsBoolean()));
  }

  @Test
  void aDateWithoutASessionLeadsToTheDatesThereAre(FxRobot robot) throws Exception {
    open(new Dated(DATE.plusDays(5)));
    until(() -> offers("Open " + DATE));

    assertThat(says("The day could not be opened.")).isTrue();
    assertThat(says("has no session of " + DATE.plusDays(5))).isTrue();
    assertThat(offers("Close")).isTrue();
    assertThat(offers("Cancel")).as("a dead button").isFalse();
    robot.clickOn("Open " + DATE);
    until(this::showsTheDay);
  }

  @Test
  void anyOtherFailureCanBeTriedAgain(FxRobot robot) throws Exception {
    int[] tries = {0};
    open(
        progress -> {
          if (tries[0]++ == 0) {
            throw new IllegalStateException("the disk has gone away");
          }
          return OpenedDay.open(folder, DATE, progress);
        });
    until(() -> offers("Try again"));

    assertThat(says("The day could not be opened. the disk has gone away.")).isTrue();
    robot.clickOn("Try again");
    until(this::showsTheDay);
  }

  @Test
  void whatNobodyHasCaughtIsToldInTheStatusLine() throws Exception {
    open(new Dated(DATE));
    until(this::showsTheDay);
    Thread failing =
        new Thread(
            () -> {
              throw new IllegalStateException("no such reef");
            },
            "soundings");
    failing.start();
    failing.join();

    until(
        () -> says("Work on the thread \"soundings\" went wrong: no such reef; the rest goes on."));
  }

  @Test
  void whatThrowsOnTheWindowsOwnThreadIsToldToo() throws Exception {
    open(new Dated(DATE));
    until(this::showsTheDay);

    WaitForAsyncUtils.waitForAsyncFx(
        5_000,
        () ->
            Platform.runLater(
                () -> {
                  throw new IllegalStateException("a listener of the window threw");
                }));

    until(() -> says("a listener of the window threw"));
  }
}
