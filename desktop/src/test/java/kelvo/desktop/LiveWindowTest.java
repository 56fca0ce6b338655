package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedGap;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.FeedWriter;
import kelvo.data.feed.TapeSink;
import kelvo.data.folder.DataFolder;
import kelvo.desktop.catalysts.CatalystsStage;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.shell.MainWindow;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.news.Catalyst;
import kelvo.news.SourceKind;
import kelvo.player.SessionRun;
import kelvo.session.Session;
import kelvo.sim.DemoSize;
import kelvo.sim.EveOfSession;
import kelvo.sim.FeedServer;
import kelvo.sim.NewsServer;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.view.NewsView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The real window on the simulated feed, over a connection on loopback. */
@ExtendWith(RealWindow.class)
class LiveWindowTest {
  /** A morning's worth, so that a test takes seconds. */
  private static final int EVENTS = 120_000;

  /** By how much the market's day is ahead of the time that really goes by. */
  private final AtomicLong leaped = new AtomicLong();

  private Path folder;
  private Path whole;
  private Session session;
  private List<Fill> fills;
  private FeedServer server;
  private Workspace workspace;
  private MainWindow window;
  private Stage stage;

  @Start
  void start(Stage opened) throws IOException, InterruptedException {
    stage = opened;
    folder = Files.createTempDirectory("kelvo-live");
    whole = DemoCopy.make();
    EveOfSession.write(whole, folder);
    DataFolder recorded = new DataFolder(whole, new ExchangeCalendar());
    session = firstEvents(recorded.session(DemoSize.SESSION, Progress.NONE));
    fills = recorded.fills(DemoSize.SESSION);
    server =
        new FeedServer(
            session,
            fills,
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
            "",
            null,
            DayTime.FIRST,
            1,
            () -> System.nanoTime() + leaped.get());
    server.start();
    Theme.loadFonts();
    open();
  }

  private static Session firstEvents(Session whole) throws IOException {
    Session first =
        new Session(
            whole.hours(),
            whole.phases(),
            whole.securities(),
            List.of(),
            whole.knownEvents(),
            new EventTape(whole.securities().size()));
    String frame = new FeedWriter(whole, List.of()).frame(1, 0, EVENTS);
    new FeedReader(
            DemoSize.SESSION,
            new TapeSink(first, seq -> {}),
            fault -> {
              throw new AssertionError(fault);
            })
        .frame(1, new ObjectMapper().readTree(frame).get("e"));
    return first;
  }

  private void open() {
    OpenedDay day =
        OpenedDay.live(
            new FeedAddress(URI.create("ws://localhost:" + server.port()), ""),
            folder,
            null,
            Progress.NONE);
    workspace = new Workspace(day, DayTime.FIRST, Theme.NIGHT);
    window = new MainWindow(workspace, day.faults());
    PlacedStage.show(stage, window.scene(1280, 800));
  }

  @AfterEach
  void close() {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> workspace.close());
    server.close();
    DemoCopy.remove(folder);
    DemoCopy.remove(whole);
  }

  private ShownDay shown() {
    return new ShownDay(workspace);
  }

  /** Lets the market's day leap to a moment, or a little beyond. */
  private void leapTo(long moment) {
    leaped.set(moment - DayTime.FIRST);
  }

  private void awaitEnd() {
    leapTo(DayTime.LAST);
    until(
        () ->
            shown().isThere()
                && shown().events() == session.tape().size()
                && shown().moment() >= DayTime.LAST - 2 * DayTime.SECOND);
  }

  @Test
  void theSessionComesInWithItsHitsAndFills() {
    awaitEnd();

    assertThat(shown().hits()).isEqualTo(allHits());
    until(() -> workspace.book().get().fills().size() == fills.size());
    assertThat(workspace.book().get().fills()).containsExactlyInAnyOrderElementsOf(fills);
  }

  @Tag("proof")
  @Test
  void aSessionThatIsOverKeepsItsColumnsWhenTheWindowIsClosed() throws IOException {
    awaitEnd();
    WaitForAsyncUtils.waitForAsyncFx(60_000, () -> workspace.close());
    Path columns = folder.resolve(".kelvo/columns/sessions/2031-03-12.columns");
    FileTime kept = Files.getLastModifiedTime(columns);

    Session again =
        new DataFolder(folder, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);

    assertThat(again.tape().size()).isEqualTo(session.tape().size());
    assertThat(Files.getLastModifiedTime(columns)).as("nothing had to be made").isEqualTo(kept);
  }

  private List<Hit> allHits() {
    return SessionRun.of(session, new Program(workspace.scans(), List.of()), Progress.NONE).hits();
  }

  @Tag("proof")
  @Test
  void theDayCanBeDraggedWhileTheSessionComesIn(FxRobot robot) {
    List<Hit> all = allHits();
    long half = DayTime.of(8, 0);
    leapTo(half);
    until(() -> shown().moment() >= half - 2 * DayTime.SECOND);
    int eventsByThen = workspace.session().tape().size();
    assertThat(eventsByThen).isBetween(1_000, session.tape().size() - 1_000);

    for (long moment : new long[] {DayTime.of(7, 0), DayTime.of(6, 15), DayTime.of(7, 30)}) {
      Platform.runLater(() -> workspace.clock().seek(moment));
      until(() -> shown().moment() == moment);
      assertThat(shown().hits()).isEqualTo(all.stream().filter(h -> h.at() <= moment).toList());
    }
    leapTo(DayTime.LAST);
    until(() -> workspace.session().tape().size() == session.tape().size());
    assertThat(shown().moment()).isEqualTo(DayTime.of(7, 30));
    robot.type(KeyCode.P);
    until(() -> shown().moment() >= DayTime.LAST - 2 * DayTime.SECOND);
    assertThat(shown().hits()).isEqualTo(all).hasSizeGreaterThan(20);
  }

  @Tag("proof")
  @Test
  void aCutIsSeenAtOnceAndMendedAndOpeningAgainGoesOn(FxRobot robot) {
    awaitEnd();
    until(() -> loud(robot).isEmpty());
    server.cut();
    until(() -> workspace.feed().status().connection() != FeedClient.Status.LIVE);
    until(() -> workspace.feed().status().connection() == FeedClient.Status.LIVE);
    assertThat(workspace.feed().status().leftOut()).isZero();
    until(() -> workspace.feedGaps().size() == 1);
    assertThat(workspace.feedGaps().getFirst().kind()).isEqualTo(FeedGap.Kind.LOST);
    until(
        () ->
            robot.lookup(".pill").queryAllAs(Label.class).stream()
                .anyMatch(pill -> pill.getText().equals("Feed is back")));
    assertThat(loud(robot)).isEmpty();

    until(() -> workspace.book().get().fills().size() == fills.size());
    int hits = shown().hits().size();
    openAgain();
    awaitEnd();
    assertThat(shown().hits()).hasSize(hits);
    assertThat(workspace.book().get().fills()).containsExactlyInAnyOrderElementsOf(fills);
  }

  @Tag("proof")
  @Test
  void aFeedThatIsLostIsSaidInTheHeaderAsLongAsItLasts(FxRobot robot) {
    awaitEnd();
    until(() -> loud(robot).isEmpty());

    server.close();

    until(() -> loud(robot).startsWith("Feed lost since "));
  }

  /** What the header says loudly; empty for nothing. */
  private static String loud(FxRobot robot) {
    return robot.lookup(".loud").queryAllAs(Label.class).stream()
        .map(Label::getText)
        .collect(Collectors.joining());
  }

  @Tag("proof")
  @Test
  void whatASourceTellsIsWrittenDownOnceAndIsTheSameWhenTheDayIsOpenedAgain(FxRobot robot)
      throws Exception {
    awaitEnd();
    Catalyst told =
        new Catalyst(
            DayTime.of(10, 0), "Quay", "TIDARC files its report", "A body.", List.of("TIDARC"));
    Session wire =
        new Session(
            session.hours(),
            session.phases(),
            session.securities(),
            List.of(told),
            List.of(),
            new EventTape(session.securities().size()));
    try (NewsServer news =
        new NewsServer(
            wire, () -> DayTime.LAST, new InetSocketAddress(InetAddress.getLoopbackAddress(), 0))) {
      Files.writeString(
          folder.resolve("sources.json"),
          "{\"kelvo\":1,\"sources\":[{\"name\":\"Filings\",\"kind\":\"regulator"
              + " filing\",\"url\":\"http://localhost:"
              + news.port()
              + "/atom\"}]}");
      openAgain();
      until(() -> filings(workspace.session()).size() == 1);
      WaitForAsyncUtils.waitForAsyncFx(
          5_000, () -> workspace.window().stage().set(CatalystsStage.KIND));
      Grid<NewsView.NewsRow> listed = robot.lookup(LiveWindowTest::isNewsList).query();
      until(() -> listed.rows().stream().anyMatch(row -> row.item().source().equals("Filings")));
      Catalyst first = filings(workspace.session()).getFirst();
      assertThat(first.at()).isEqualTo(DayTime.of(10, 0));
      assertThat(first.known()).isGreaterThan(DayTime.of(10, 0));
      assertThat(first.kind()).isEqualTo(SourceKind.REGULATOR_FILING);

      openAgain();
      until(() -> shown().isThere() && shown().events() == session.tape().size() + 1);
      assertThat(filings(workspace.session())).containsExactly(first);
    }
  }

  private static boolean isNewsList(Node node) {
    return node.getAccessibleRole() == AccessibleRole.TABLE_VIEW
        && "News".equals(node.getAccessibleText());
  }

  private static List<Catalyst> filings(Session of) {
    return of.catalysts().stream().filter(item -> item.source().equals("Filings")).toList();
  }

  private void openAgain() {
    WaitForAsyncUtils.waitForAsyncFx(
        60_000,
        () -> {
          workspace.close();
          open();
        });
  }
}
