package kelvo.cli;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.setting.RecentFolders;
import kelvo.desktop.shell.OpenRequest.Load;
import kelvo.desktop.shell.Places;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;

/** The data folders of this machine, and the demo. */
final class FoldersAndDemo implements Places {
  private final RecentFolders recent = new RecentFolders(DemoData.home());

  @Override
  public List<Path> recent() {
    return recent.all();
  }

  @Override
  public void opened(Path folder) {
    recent.opened(folder);
  }

  @Override
  public List<LocalDate> sessions(Path folder) {
    return new DataFolder(folder, new ExchangeCalendar()).sessionDates();
  }

  @Override
  public Load folder(Path folder, LocalDate date) {
    return new FolderDay(folder, date);
  }

  @Override
  public Load demo() {
    return new DemoDay(DemoData.root(null));
  }

  /** A session of a folder. */
  private record FolderDay(Path folder, LocalDate date) implements Load {
    @Override
    public OpenedDay day(Progress progress) {
      return OpenedDay.open(folder, date, progress);
    }

    @Override
    public String words() {
      return folder + ", " + date;
    }
  }
}
