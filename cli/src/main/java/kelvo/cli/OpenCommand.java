package kelvo.cli;

import java.util.concurrent.Callable;
import kelvo.desktop.shell.KelvoWindow;
import kelvo.desktop.shell.OpenedDay;
import kelvo.time.SessionHours;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/** {@code kelvo open FOLDER}: the window on a data folder. */
@Command(name = "open", description = "Opens the window on a data folder.")
final class OpenCommand implements Callable<Integer> {
  @Mixin FolderArguments arguments = new FolderArguments();
  @Mixin WindowOptions window = new WindowOptions();

  @Override
  public Integer call() {
    var date = arguments.date();
    return KelvoWindow.open(
        window.request(
            progress -> OpenedDay.open(arguments.folder, date, progress), SessionHours.OPEN));
  }
}
