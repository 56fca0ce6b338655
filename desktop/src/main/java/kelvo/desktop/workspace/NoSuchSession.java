package kelvo.desktop.workspace;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.refusal.RefusedException;

/**
 * A folder has no session of the date that was asked for; the message names those that there are.
 */
public final class NoSuchSession extends RefusedException {
  private static final long serialVersionUID = 1L;

  private final transient Path folder;
  private final transient List<LocalDate> dates;

  NoSuchSession(Path folder, LocalDate asked, List<LocalDate> dates) {
    super(
        folder
            + " has no session of "
            + asked
            + "; "
            + (dates.isEmpty()
                ? "it has none at all"
                : "there "
                    + (dates.size() == 1 ? "is " : "are ")
                    + String.join(", ", dates.stream().map(LocalDate::toString).toList())));
    this.folder = folder;
    this.dates = List.copyOf(dates);
  }

  /** The folder. */
  public Path folder() {
    return folder;
  }

  /** The dates that there are, oldest first. */
  public List<LocalDate> dates() {
    return dates;
  }
}
