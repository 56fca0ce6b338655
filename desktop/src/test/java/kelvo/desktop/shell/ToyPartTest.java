package kelvo.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.stage.Stage;
import kelvo.desktop.PlacedStage;
import kelvo.desktop.RealWindow;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import kelvo.view.Moment;
import kelvo.view.View;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A part needs a view, a part and a line in a list, as CONTRIBUTING says; it is served only while
 * it is shown.
 */
@Tag("proof")
@ExtendWith(RealWindow.class)
class ToyPartTest {
  private static final PartKind TOY =
      new PartKind("toy", "Toy", (workspace, choice) -> new ToyPart(workspace));
  private static final AtomicInteger LOOKS = new AtomicInteger();

  @TempDir static Path folder;
  private Workspace workspace;

  /** How many events there have been, and of which symbol the part is. */
  private record Told(String symbol, int events) {}

  /** Counts how often it is asked. */
  private record ToyView(String symbol) implements View<Told> {
    @Override
    public Told look(Moment moment) {
      LOOKS.incrementAndGet();
      return new Told(symbol, moment.events());
    }
  }

  private static final class ToyPart extends Label implements SymbolPart {
    private final Followed<Told> followed;

    ToyPart(Workspace workspace) {
      setId("toy");
      followed =
          new Followed<>(workspace.clock(), told -> setText(told.symbol() + " " + told.events()));
    }

    @Override
    public Node node() {
      return this;
    }

    @Override
    public void show(String symbol) {
      followed.follow(new ToyView(symbol));
    }

    @Override
    public void hide() {
      followed.stop();
    }
  }

  @Start
  void start(Stage stage) throws Exception {
    LOOKS.set(0);
    DemoFolder.write(folder, new DemoSize(60, 30, 6_000, DemoSize.SESSION), 7, Progress.NONE);
    OpenedDay day = OpenedDay.open(folder, DemoSize.SESSION, Progress.NONE);
    workspace = new Workspace(day, DayTime.of(9, 0), Theme.DAYBREAK);
    List<PartKind> parts = new ArrayList<>(Parts.ALL);
    parts.add(TOY);
    MainWindow window = new MainWindow(workspace, day.faults(), Stages.of(workspace), parts);
    PlacedStage.show(stage, window.scene(1280, 800));
  }

  @AfterEach
  void close() {
    WaitForAsyncUtils.waitForAsyncFx(20_000, workspace::close);
  }

  private static void until(BooleanSupplier so) throws Exception {
    WaitForAsyncUtils.waitFor(
        20, TimeUnit.SECONDS, () -> WaitForAsyncUtils.waitForAsyncFx(20_000, so::getAsBoolean));
  }

  private void goTo(long moment) throws Exception {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> workspace.clock().seek(moment));
    until(() -> workspace.clock().now() == moment);
  }

  @Test
  void aNewPartIsServedWhileItIsShownAndNoLonger(FxRobot robot) throws Exception {
    goTo(DayTime.of(9, 10));
    assertThat(LOOKS).as("asked before anybody saw it").hasValue(0);

    robot.clickOn("Toy");
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> workspace.focus().on("TIDARC"));
    goTo(DayTime.of(9, 30));
    int events = workspace.clock().shown().get().events();
    Label toy = robot.lookup("#toy").query();
    until(() -> toy.getText().equals("TIDARC " + events));

    robot.clickOn("Facts and checks");
    int looks = LOOKS.get();
    goTo(DayTime.of(9, 40));
    assertThat(LOOKS).as("asked after it was hidden").hasValue(looks);
    assertThat(toy.getText()).isEqualTo("TIDARC " + events);
  }
}
