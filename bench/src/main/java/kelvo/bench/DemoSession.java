package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;

/** The demo's session, or one like it with as many securities as the whole market has. */
final class DemoSession {
  private static final int DEMO = 3_000;
  private static final int DAYS = 260;

  private DemoSession() {}

  /** The market of {@link #folder}, read. */
  static Session of(int securities) throws IOException {
    return new DataFolder(folder(securities), new ExchangeCalendar())
        .session(DemoSize.SESSION, Progress.NONE);
  }

  /** The market's folder under {@code kelvo.bench.folder}, written unless it is there. */
  static Path folder(int securities) throws IOException {
    String named = System.getProperty("kelvo.bench.folder");
    Path root =
        named == null || named.isEmpty()
            ? Files.createTempDirectory("kelvo-bench")
            : Path.of(named);
    Path folder = root.resolve(Integer.toString(securities));
    if (!Files.exists(folder.resolve("scans"))) {
      int prints = securities == DEMO ? 2_950_000 : 6_000_000;
      DemoFolder.write(
          folder,
          new DemoSize(securities, DAYS, prints, DemoSize.SESSION),
          DemoFolder.SEED,
          Progress.NONE);
    }
    return folder;
  }
}
