package kelvo.state;

import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.TapeRules;

/** Shares traded since the newest item was published and since trading began again. */
public final class VolumeSince extends TapeFollower.Made {
  private final Session session;
  private final EventTape tape;
  private StatusSoFar status = new StatusSoFar();
  private long newsAt;
  private long sinceNews;
  private long resumedAt;
  private long sinceResume;

  VolumeSince(Session session) {
    this.session = session;
    tape = session.tape();
    begin();
  }

  /** Those of a session's securities. */
  public static TapeFollower<VolumeSince> of(Session session) {
    return new TapeFollower<>(session, () -> new VolumeSince(session));
  }

  @Override
  void begin() {
    status = new StatusSoFar();
    newsAt = Long.MIN_VALUE;
    sinceNews = 0;
    resumedAt = Long.MAX_VALUE;
    sinceResume = 0;
  }

  @Override
  void take(int event, Corrections corrections) {
    switch (tape.kind(event)) {
      case TRADE -> trade(event, corrections);
      case STATUS -> status(event, corrections);
      case NEWS -> news(event, corrections);
      case QUOTE, CORRECTION, IMBALANCE, MENTION -> {}
    }
  }

  private void trade(int event, Corrections corrections) {
    if (TapeRules.addsVolume(tape.conditions(event)) && !corrections.cancels(tape, event)) {
      long at = tape.time(event);
      long shares = corrections.shares(tape, event);
      sinceNews += newsAt != Long.MIN_VALUE && at >= newsAt ? shares : 0;
      sinceResume += at >= resumedAt ? shares : 0;
    }
  }

  private void news(int event, Corrections corrections) {
    long published = session.catalystOf(event).at();
    if (published >= newsAt) {
      newsAt = published;
      sinceNews = tradedFrom(published, event, corrections);
    }
  }

  private void status(int event, Corrections corrections) {
    switch (status.take(tape, event)) {
      case Effect.HALTED -> {
        resumedAt = Long.MAX_VALUE;
        sinceResume = 0;
      }
      case Effect.RESUMED -> {
        resumedAt = tape.time(event);
        sinceResume = tradedFrom(resumedAt, event, corrections);
      }
      default -> {}
    }
  }

  /** Shares of the prints before an event of the tape that happened at a moment or later. */
  private long tradedFrom(long moment, int event, Corrections corrections) {
    long shares = 0;
    for (int i = tape.earlierOfSymbol(event);
        i != EventTape.NONE && tape.time(i) >= moment - tape.mostLateness();
        i = tape.earlierOfSymbol(i)) {
      boolean counts =
          tape.isTrade(i)
              && tape.time(i) >= moment
              && TapeRules.addsVolume(tape.conditions(i))
              && !corrections.cancels(tape, i);
      shares += counts ? corrections.shares(tape, i) : 0;
    }
    return shares;
  }

  /** Shares since the newest item was published, NaN without one. */
  public double volumeSinceNews() {
    return newsAt == Long.MIN_VALUE ? Double.NaN : sinceNews;
  }

  /** Shares since trading began again, NaN while it has not stopped or not begun again. */
  public double volumeSinceResume() {
    return resumedAt == Long.MAX_VALUE ? Double.NaN : sinceResume;
  }
}
