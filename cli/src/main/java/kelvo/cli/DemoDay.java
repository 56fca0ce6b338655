package kelvo.cli;

import java.nio.file.Path;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.shell.OpenRequest.Load;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.DemoTrader;

/** The demo's day: invented first if it is not there yet. */
record DemoDay(Path root) implements Load {
  private static final double WRITING = 0.5;

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
  public String words() {
    return "the demo, an invented market of " + DemoSize.SESSION.getYear();
  }
}
