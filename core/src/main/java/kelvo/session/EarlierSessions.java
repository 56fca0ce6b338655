package kelvo.session;

import java.time.LocalDate;
import java.util.List;
import kelvo.job.Progress;

/** The recorded sessions before the one that is open. Any thread may ask but the window's. */
public interface EarlierSessions {
  /** The dates of those that are there now, the newest first; looks into the folder. */
  List<LocalDate> dates();

  /**
   * Reads one of them; takes seconds.
   *
   * @param progress hears how far it is, and may stop it
   */
  Session read(LocalDate date, Progress progress);
}
