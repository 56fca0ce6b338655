package kelvo.cli;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.concurrent.Callable;
import kelvo.desktop.shell.KelvoWindow;
import kelvo.desktop.shell.OpenRequest.Load;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code kelvo open [FOLDER]}: the window on a data folder, or the page that asks for one. */
@Command(
    name = "open",
    description = "Opens the window on a data folder; asks which if none is named.")
final class OpenCommand implements Callable<Integer> {
  @Parameters(index = "0", arity = "0..1", paramLabel = "FOLDER", description = "a data folder")
  @Nullable Path folder;

  @Option(names = "--date", paramLabel = "D", description = "the session; the newest if not given")
  @Nullable LocalDate date;

  @Mixin WindowOptions window = new WindowOptions();

  @Override
  public Integer call() {
    return KelvoWindow.open(
        window.request(folder == null ? null : new Asked(folder, date), SessionHours.OPEN));
  }

  /** The session that was asked for, or the newest one. */
  private record Asked(Path folder, @Nullable LocalDate date) implements Load {
    @Override
    public OpenedDay day(Progress progress) {
      return date == null
          ? OpenedDay.newest(folder, progress)
          : OpenedDay.open(folder, date, progress);
    }

    @Override
    public String words() {
      return folder + (date == null ? "" : ", " + date);
    }
  }
}
