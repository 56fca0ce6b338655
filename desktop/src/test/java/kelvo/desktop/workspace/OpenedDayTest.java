package kelvo.desktop.workspace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.SessionRecorder;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.FolderLock;
import kelvo.data.ledger.Ledger;
import kelvo.data.scanfile.ScanFile;
import kelvo.desktop.RealWindow;
import kelvo.desktop.theme.Theme;
import kelvo.job.Progress;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.FeedServer;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.util.WaitForAsyncUtils;

/** Opening a folder, opening it twice, and what is on disk once a window has closed. */
@ExtendWith(RealWindow.class)
class OpenedDayTest {
  private static final LocalDate DATE = DemoSize.SESSION;

  @TempDir static Path folder;

  @BeforeAll
  static void invent() throws IOException {
    DemoFolder.write(folder, new DemoSize(60, 30, 6_000, DATE), 7, Progress.NONE);
  }

  private static OpenedDay open() {
    return OpenedDay.open(folder, DATE, Progress.NONE);
  }

  private static Workspace workspace(OpenedDay day) {
    AtomicReference<Workspace> made = new AtomicReference<>();
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> made.set(new Workspace(day, DayTime.of(9, 0), Theme.DAYBREAK)));
    return made.get();
  }

  private static void close(Workspace workspace) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, workspace::close);
  }

  @Test
  void aDateWithoutASessionOffersThoseThatThereAre() {
    assertThatThrownBy(() -> OpenedDay.open(folder, DATE.plusDays(3), Progress.NONE))
        .isInstanceOfSatisfying(
            NoSuchSession.class, e -> assertThat(e.dates()).containsExactly(DATE))
        .hasMessageContaining("has no session of 2031-03-15; there is 2031-03-12");
    OpenedDay day = open();
    assertThat(day.connections().isWritable()).as("a failed opening lets the folder go").isTrue();
    day.connections().release();
    day.connections().ledger().close();
  }

  private static Set<Thread> ledgers() {
    return Thread.getAllStackTraces().keySet().stream()
        .filter(thread -> thread.getName().equals("ledger"))
        .collect(Collectors.toSet());
  }

  /** Cancelled when everything is open and only the window is missing. */
  @Test
  void aLiveOpeningThatIsCancelledLetsLedgerRecordAndFolderGo(@TempDir Path live)
      throws IOException, InterruptedException {
    Files.copy(folder.resolve("securities.csv"), live.resolve("securities.csv"));
    Progress cancelled =
        new Progress() {
          @Override
          public void done(double part) {}

          @Override
          public void step(String words) {
            if (words.equals("playing the session up to now")) {
              throw new CancellationException(words);
            }
          }
        };
    Set<Thread> before = ledgers();
    try (FeedServer server =
        new FeedServer(
            new DataFolder(folder, new ExchangeCalendar()).session(DATE, Progress.NONE),
            List.of(),
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
            "",
            null,
            DayTime.FIRST,
            1,
            System::nanoTime)) {
      server.start();
      FeedAddress address = new FeedAddress(URI.create("ws://localhost:" + server.port()), "");

      assertThatThrownBy(() -> OpenedDay.live(address, live, null, cancelled))
          .isInstanceOf(CancellationException.class);
    }

    assertThat(ledgers()).as("threads that keep the process from ending").isEqualTo(before);
    try (FolderLock lock = FolderLock.of(live, "a test").orElseThrow();
        SessionRecorder again = new SessionRecorder(live, DATE)) {
      assertThat(again.lastFrame()).isZero();
      assertThat(lock).isNotNull();
    }
  }

  @Test
  void theSecondWindowReadsOnlyAndTheFolderIsFreeOnceTheFirstHasClosed() throws IOException {
    Workspace first = workspace(open());
    Workspace second = workspace(open());
    assertThat(first.isKept()).isTrue();
    assertThat(second.isKept()).isFalse();

    List<String> before = scanFiles();
    Scan scan = second.scans().getFirst();
    WaitForAsyncUtils.waitForAsyncFx(
        5_000,
        () -> {
          second.desk().add(List.of(scan.named("Of the second window")));
          second.trader().addNote("TIDARC", "of the second window");
        });
    close(second);
    assertThat(scanFiles()).isEqualTo(before);
    close(first);

    OpenedDay again = open();
    assertThat(again.connections().isWritable()).isTrue();
    assertThat(again.book().notes()).isEmpty();
    again.connections().release();
    again.connections().ledger().close();
  }

  private static List<String> scanFiles() throws IOException {
    try (var files = Files.list(folder.resolve("scans"))) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    }
  }

  @Test
  void anEditRightBeforeTheWindowClosesIsOnDisk() throws IOException {
    Workspace workspace = workspace(open());
    Scan before = workspace.scans().getFirst();
    Scan after =
        before.withRules(List.of(RuleSentence.parse("price at least 3.21", Vocabulary.DEFAULT)));
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          workspace.desk().change(before, after);
          workspace.trader().addNote("TIDARC", "the last word");
          workspace.close();
        });

    String written = "";
    for (String file : scanFiles()) {
      written += Files.readString(folder.resolve("scans").resolve(file));
    }
    assertThat(written).contains("price at least 3.21");
    try (Ledger ledger = Ledger.readOnly(folder.resolve(OpenedDay.LEDGER))) {
      assertThat(ledger.day(DATE).notes()).extracting(n -> n.text()).contains("the last word");
      assertThat(ledger.scanOfVersion(before.version())).contains(ScanFile.write(before));
    }
  }
}
