package kelvo.cli;

import java.time.LocalDate;
import java.util.concurrent.Callable;
import kelvo.desktop.shell.KelvoWindow;
import kelvo.desktop.shell.OpenRequest;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.time.SessionHours;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/** {@code kelvo open FOLDER}: the window on a data folder. */
@Command(name = "open", description = "Opens the window on a data folder.")
final class OpenCommand implements Callable<Integer> {
  @Mixin final FolderArguments arguments;
  @Mixin WindowOptions window = new WindowOptions();

  OpenCommand(Terminal terminal) {
    arguments = new FolderArguments(terminal);
  }

  @Override
  public Integer call() {
    LocalDate date = arguments.date();
    return KelvoWindow.open(window.request(new Day(date), SessionHours.OPEN));
  }

  /** Opens a date of the folder, and offers the others when there is no session of it. */
  private final class Day implements OpenRequest.Load {
    private final LocalDate date;

    Day(LocalDate date) {
      this.date = date;
    }

    @Override
    public OpenedDay day(Progress progress) {
      return OpenedDay.open(arguments.folder, date, progress);
    }

    @Override
    public OpenRequest.Load on(LocalDate other) {
      return new Day(other);
    }
  }
}
