package kelvo.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.RealWindow;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.OtherDay;
import kelvo.job.Progress;
import kelvo.refusal.RefusedException;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** What the window offers when a day cannot be opened, and what nobody has caught. */
@ExtendWith(RealWindow.class)
class KelvoWindowTest {
  private static final LocalDate DATE = DemoSize.SESSION;

  @TempDir static Path folder;

  private final KelvoWindow window = new KelvoWindow();
  private final Thread.UncaughtExceptionHandler before =
      Thread.getDefaultUncaughtExceptionHandler();
  private Stage stage;
  private boolean locked;

  /** The folder is what was opened last. */
  private final class OneFolder implements Places {
    @Override
    public List<Path> recent() {
      return List.of(folder);
    }

    @Override
    public void opened(Path opened) {
      assertThat(opened).isEqualTo(folder);
    }

    @Override
    public List<LocalDate> sessions(Path of) {
      if (locked) {
        throw new IllegalStateException("the folder is locked");
      }
      return List.of(DATE);
    }

    @Override
    public OpenRequest.Load folder(Path of, LocalDate date) {
      return progress -> OpenedDay.open(of, date, progress);
    }

    @Override
    public OpenRequest.Load demo() {
      return dated(DATE);
    }
  }

  private static OpenRequest.Load dated(LocalDate date) {
    return progress -> OpenedDay.open(folder, date, progress);
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

  private void open(OpenRequest.@Nullable Load load) {
    OpenRequest request =
        new OpenRequest(load, new OneFolder(), DayTime.of(9, 0), 0, 0, Theme.DAYBREAK, null, false);
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
        () -> WaitForAsyncUtils.waitForAsyncFx(20_000, () -> so.getAsBoolean()));
  }

  /** The day before, with the same events. */
  private LocalDate dayBefore() throws IOException {
    LocalDate earlier = DATE.minusDays(1);
    Path sessions = folder.resolve("sessions");
    Path copied = Files.createDirectories(sessions.resolve(earlier.toString()));
    try (Stream<Path> files = Files.list(sessions.resolve(DATE.toString()))) {
      for (Path file : files.toList()) {
        Files.copy(file, copied.resolve(file.getFileName()), StandardCopyOption.REPLACE_EXISTING);
      }
    }
    return earlier;
  }

  @Tag("proof")
  @Test
  void aDayThatIsOpenedBlindIsCoveredAndSilentUntilItIsEnded(FxRobot robot) throws Exception {
    LocalDate earlier = dayBefore();
    open(dated(DATE));
    until(this::showsTheDay);
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            window.opened().navigation().open(new OtherDay(earlier, DayTime.of(11, 5), "", true)));

    until(() -> window.opened() != null && window.opened().day().equals(earlier));
    assertThat(stage.getScene().lookup("#blind-day")).isNotNull();
    assertThat(window.opened().practice().blind().get()).isTrue();
    robot.type(KeyCode.ESCAPE);
    until(() -> stage.getScene().lookup("#blind-day") == null);
    assertThat(window.opened().window().action().get()).contains(earlier.toString());
  }

  @Tag("proof")
  @Test
  void anotherDateOfTheFolderOpensInTheSameWindowAtTheSameTimeOfDay() throws Exception {
    LocalDate earlier = dayBefore();
    open(dated(DATE));
    until(this::showsTheDay);
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> window.opened().navigation().open(OtherDay.of(earlier, DayTime.of(11, 5), "TIDARC")));

    until(() -> window.opened() != null && window.opened().day().equals(earlier));
    until(() -> window.opened().clock().now() == DayTime.of(11, 5));
    assertThat(window.opened().focus().symbol().get()).isEqualTo("TIDARC");
  }

  @Tag("proof")
  @Test
  void aDateWithoutASessionLeadsBackToTheDatesThereAre(FxRobot robot) throws Exception {
    open(dated(DATE.plusDays(5)));
    until(() -> offers("Open"));

    assertThat(says("The day could not be opened: ")).isTrue();
    assertThat(says("has no session of " + DATE.plusDays(5))).isTrue();
    assertThat(offers("Demo")).isTrue();
    assertThat(offers("Cancel")).as("a dead button").isFalse();
    robot.clickOn("Open");
    until(this::showsTheDay);
  }

  @Test
  void withoutAFolderTheLastOnesAreOffered(FxRobot robot) throws Exception {
    open(null);
    until(() -> offers("Open"));

    assertThat(says(String.valueOf(folder.getFileName()))).isTrue();
    robot.clickOn("Open");
    until(this::showsTheDay);
  }

  @Tag("proof")
  @Test
  void aFolderThatCannotBeLookedAtStandsThereWithoutASession() throws Exception {
    locked = true;
    open(null);
    until(() -> says("no recorded session"));

    assertThat(says(String.valueOf(folder.getFileName()))).isTrue();
    assertThat(offers("Open")).isFalse();
    assertThat(offers("Demo")).isTrue();
  }

  @Test
  void anyOtherFailureCanBeTriedAgain(FxRobot robot) throws Exception {
    int[] tries = {0};
    open(
        progress -> {
          if (tries[0]++ == 0) {
            throw new RefusedException("the disk has gone away");
          }
          return OpenedDay.open(folder, DATE, progress);
        });
    // The folders come a little later and move what is above and below them.
    until(() -> offers("Try again") && offers("Open"));

    assertThat(says("The day could not be opened: the disk has gone away.")).isTrue();
    robot.clickOn("Try again");
    until(this::showsTheDay);
  }

  @Tag("proof")
  @Test
  void otherPhasesCountOnceThePageOfSettingsIsClosed(FxRobot robot) throws Exception {
    open(dated(DATE));
    until(this::showsTheDay);
    robot.press(KeyCode.CONTROL).type(KeyCode.COMMA).release(KeyCode.CONTROL);
    robot.write("morning");
    until(() -> !says("How loud an alert sounds."));
    robot.clickOn("#setting-morning-from").press(KeyCode.CONTROL).type(KeyCode.A);
    robot.release(KeyCode.CONTROL).write("12:00").type(KeyCode.ENTER);
    until(() -> says("morning must begin before midday does at 11:30"));
    robot.press(KeyCode.CONTROL).type(KeyCode.A).release(KeyCode.CONTROL);
    robot.write("10:30").type(KeyCode.ENTER);
    until(() -> says("the day is saved and read again"));
    Node asItWas = stage.getScene().lookup(TopBar.BREADTH);
    robot.type(KeyCode.ESCAPE);
    // The loading pane may have come and gone unseen.
    until(() -> showsTheDay() && stage.getScene().lookup(TopBar.BREADTH) != asItWas);

    assertThat(Files.readString(folder.resolve("settings.json")))
        .contains("\"morning from\" : \"10:30\"");
  }

  @Tag("proof")
  @Test
  void whatNobodyHasCaughtIsToldInTheStatusLine() throws Exception {
    open(dated(DATE));
    until(this::showsTheDay);
    Thread failing =
        new Thread(
            () -> {
              throw new RefusedException("no such reef");
            },
            "soundings");
    failing.start();
    failing.join();

    until(
        () -> says("Work on the thread \"soundings\" went wrong: no such reef; the rest goes on."));
  }

  @Tag("proof")
  @Test
  void whatThrowsOnTheWindowsOwnThreadIsToldToo() throws Exception {
    open(dated(DATE));
    until(this::showsTheDay);

    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            Platform.runLater(
                () -> {
                  throw new RefusedException("a listener of the window threw");
                }));

    until(() -> says("a listener of the window threw"));
  }

  /** A day with work beside it, which goes on until it may. */
  private static OpenRequest.Load withBeside(Consumer<Progress> work) {
    return new OpenRequest.Load() {
      @Override
      public OpenedDay day(Progress progress) {
        return OpenedDay.open(folder, DATE, progress);
      }

      @Override
      public OpenRequest.Beside beside() {
        return new OpenRequest.Beside() {
          @Override
          public void work(Progress progress) {
            work.accept(progress);
          }

          @Override
          public String words() {
            return "Charting the reef";
          }

          @Override
          public String done() {
            return "The reef is charted";
          }
        };
      }
    };
  }

  @Tag("proof")
  @Test
  void workBesideTheDayTellsHowFarItIsAndWhenItIsDone() throws Exception {
    CountDownLatch going = new CountDownLatch(1);
    open(
        withBeside(
            progress -> {
              progress.done(0.4);
              try {
                assertThat(going.await(60, TimeUnit.SECONDS)).isTrue();
              } catch (InterruptedException e) {
                throw new IllegalStateException(e);
              }
            }));
    until(this::showsTheDay);
    until(() -> says("Charting the reef, 40%"));
    assertThat(window.opened().window().pastSessions().get()).isZero();

    going.countDown();

    until(() -> says("The reef is charted"));
    assertThat(says("Charting the reef")).isFalse();
    assertThat(window.opened().window().pastSessions().get()).isOne();
  }

  @Tag("proof")
  @Test
  void workBesideTheDayThatThrowsIsTold() throws Exception {
    open(
        withBeside(
            progress -> {
              throw new RefusedException("the reef has moved");
            }));
    until(this::showsTheDay);

    until(() -> says("Charting the reef went wrong: the reef has moved; the rest goes on."));
  }

  @Tag("proof")
  @Test
  void workBesideTheDayEndsWithTheWindow() throws Exception {
    CountDownLatch ended = new CountDownLatch(1);
    open(
        withBeside(
            progress -> {
              try {
                while (true) {
                  progress.done(0.1);
                }
              } finally {
                ended.countDown();
              }
            }));
    until(this::showsTheDay);
    until(() -> says("Charting the reef, 10%"));

    WaitForAsyncUtils.waitForAsyncFx(20_000, window::stop);

    assertThat(ended.await(20, TimeUnit.SECONDS)).isTrue();
  }
}
