package kelvo.cli;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.FolderLock;
import kelvo.data.folder.ResearchData;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.shell.OpenRequest.Beside;
import kelvo.desktop.shell.OpenRequest.Load;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.job.SideBySide;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoHistory;
import kelvo.sim.DemoSize;
import kelvo.sim.DemoTrader;
import org.jspecify.annotations.Nullable;

/**
 * The demo's day: invented first if it is not there yet. The sessions before it are invented beside
 * it once it is open.
 */
record DemoDay(Path root) implements Load {
  private static final double WRITING = 0.5;
  private static final double HISTORY = 0.75;

  @Override
  public OpenedDay day(Progress progress) {
    progress.step("inventing the market, once");
    boolean written =
        DemoData.ready(root, DemoSize.DEMO, DemoFolder.SEED, progress.within(0, WRITING));
    try (Ledger ledger = Ledger.open(root.resolve(OpenedDay.LEDGER))) {
      DemoTrader.prepareRecord(ledger, DemoSize.DEMO, new DataFolder(root, new ExchangeCalendar()));
      DemoTrader.prepare(ledger, DemoSize.SESSION);
    }
    return OpenedDay.open(root, DemoSize.SESSION, progress.within(written ? 0 : WRITING, 1));
  }

  @Override
  public @Nullable Beside beside() {
    return isWhole(root) ? null : new History(root);
  }

  private static boolean isWhole(Path root) {
    return DemoHistory.isThere(root, DemoSize.DEMO, new ExchangeCalendar());
  }

  /** Invents the sessions before the day. */
  private record History(Path root) implements Beside {
    @Override
    public void work(Progress progress) {
      writeHistory(root, progress);
    }

    @Override
    public String words() {
      return "Inventing earlier sessions";
    }

    @Override
    public String done() {
      return "All earlier sessions are there now";
    }
  }

  /** Writes the sessions before the day, and the columns that research reads. */
  private static void writeHistory(Path root, Progress progress) {
    ExchangeCalendar calendar = new ExchangeCalendar();
    DemoHistory.write(root, DemoSize.DEMO, DemoFolder.SEED, calendar, progress.within(0, HISTORY));
    DataFolder data = new DataFolder(root, calendar);
    ResearchData research = data.research(LocalDate.MAX);
    SideBySide.each(
        data.barDates(),
        (date, going) -> Optional.ofNullable(research.barSession(date)),
        session -> {},
        progress.within(HISTORY, 1));
  }

  /** Writes all of the demo, where nothing is to be added while the window is open. */
  static void writeAll(Path root) {
    DemoData.ready(root, DemoSize.DEMO, DemoFolder.SEED, Progress.NONE);
    FolderLock lock = isWhole(root) ? null : DemoData.lock(root);
    try (lock) {
      writeHistory(root, Progress.NONE);
    }
  }

  @Override
  public String words() {
    return "the demo, an invented market of " + DemoSize.SESSION.getYear();
  }
}
