package kelvo.session;

import java.time.LocalDate;
import java.util.List;
import kelvo.job.Progress;

/** The recorded sessions before the one that is open. Any thread may ask. */
public interface EarlierSessions {
  /** Their dates, the newest first. */
  List<LocalDate> dates();

  /**
   * Reads one of them; takes seconds.
   *
   * @param progress hears how far it is, and may stop it
   */
  Session read(LocalDate date, Progress progress);
}
