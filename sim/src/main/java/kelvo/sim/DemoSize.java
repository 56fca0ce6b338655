package kelvo.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;

/**
 * How large an invented data folder is.
 *
 * @param securities how many, stories and benchmarks included
 * @param days daily bars each
 * @param prints of the securities without a story, about
 * @param session the date of the recorded session
 * @param printSessions how many sessions before it are recorded too
 * @param minuteSessions how many sessions before it have minute bars
 * @param sharesAPrint by how much the prints of the sessions before it are larger, and fewer; those
 *     of stories less so
 * @param usualSessions how many sessions before it have a bar in every fifth minute, for what is
 *     usual by time of day
 * @param barSessions how many sessions before those with prints have minute bars only
 */
public record DemoSize(
    int securities,
    int days,
    int prints,
    LocalDate session,
    int printSessions,
    int minuteSessions,
    int sharesAPrint,
    int usualSessions,
    int barSessions) {
  /** A size with no session but one. */
  public DemoSize(int securities, int days, int prints, LocalDate session) {
    this(securities, days, prints, session, 0, 0, 1, 0, 0);
  }

  /** The same with sessions before it, for what-if and relative volume. */
  public DemoSize withHistory(int sessionsOfPrints, int sessionsOfMinutes) {
    return new DemoSize(
        securities,
        days,
        prints,
        session,
        sessionsOfPrints,
        sessionsOfMinutes,
        sharesAPrint,
        usualSessions,
        barSessions);
  }

  /** The same with a track record: sessions before it of fewer prints, all of them traded. */
  public DemoSize withRecord(int sessions) {
    return new DemoSize(
        securities,
        days,
        prints,
        session,
        sessions,
        minuteSessions,
        SHARES_A_PRINT,
        usualSessions,
        barSessions);
  }

  /** The same with what is usual by time of day, as so many sessions before it tell. */
  private DemoSize withUsual(int sessions) {
    return new DemoSize(
        securities,
        days,
        prints,
        session,
        printSessions,
        minuteSessions,
        sharesAPrint,
        sessions,
        barSessions);
  }

  /** The same with sessions of minute bars before those with prints, for research. */
  public DemoSize withBars(int sessions) {
    return new DemoSize(
        securities,
        days,
        prints,
        session,
        printSessions,
        minuteSessions,
        sharesAPrint,
        usualSessions,
        sessions);
  }

  /** The date of the demo's session. */
  public static final LocalDate SESSION = LocalDate.of(2031, 3, 12);

  private static final int USUAL = 10;
  private static final int SHARES_A_PRINT = 24;
  private static final int STORY_SHARES_A_PRINT = 4;

  /** The newest full sessions before its own, oldest first. */
  List<LocalDate> fullSessionsBefore(TradingCalendar calendar, int count) {
    List<LocalDate> dates = new ArrayList<>();
    LocalDate day = session;
    while (dates.size() < count) {
      day = calendar.before(day);
      if (calendar.hours(day).kind() == SessionHours.Kind.FULL) {
        dates.addFirst(day);
      }
    }
    return dates;
  }

  /** By how much the prints of stories in the sessions before are larger, and fewer. */
  int storySharesAPrint() {
    return Math.min(sharesAPrint, STORY_SHARES_A_PRINT);
  }

  /** How many sessions of the demo's trader there are before its own. */
  public static final int RECORD = 20;

  /** How many sessions the demo has of minute bars only: with those of prints, sixty. */
  private static final int BARS = 40;

  /** The demo: 3,000 securities, over 3 million prints. */
  public static final DemoSize DEMO =
      new DemoSize(3_000, 600, 2_950_000, SESSION)
          .withUsual(USUAL)
          .withRecord(RECORD)
          .withBars(BARS);

  /** A market of 8,000 securities, for the live feed. */
  public static final DemoSize MARKET = new DemoSize(8_000, 280, 7_000_000, SESSION);

  /** The same stories among few others, for tests. */
  public static final DemoSize SMALL = new DemoSize(240, 280, 60_000, SESSION);
}
