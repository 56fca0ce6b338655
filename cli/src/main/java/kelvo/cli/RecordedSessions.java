package kelvo.cli;

import java.time.LocalDate;
import java.util.List;
import kelvo.data.past.PastSessions;
import kelvo.data.past.SessionsAsked;
import kelvo.job.Progress;
import kelvo.refusal.RefusedException;
import kelvo.research.Question;
import kelvo.trackrecord.TrackRecord;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** Which of a folder's recorded sessions a command is about. */
final class RecordedSessions {
  @Option(
      names = "--from",
      paramLabel = "D",
      description = "the first date; the oldest if not given")
  @Nullable LocalDate from;

  @Option(names = "--to", paramLabel = "D", description = "the last date; the newest if not given")
  @Nullable LocalDate to;

  @Option(names = "--last", paramLabel = "N", description = "only the newest N of them")
  int last = Integer.MAX_VALUE;

  /** Those of a folder with prints, oldest first; at least one. */
  List<LocalDate> of(FolderArguments arguments) {
    return wanted(arguments, new SessionsAsked(arguments.data().sessionDates(), List.of(), ""))
        .dates();
  }

  /** Those of a folder that a question can be put to, oldest first; at least one. */
  SessionsAsked of(FolderArguments arguments, PastSessions past, Question question) {
    return wanted(arguments, past.asked(question));
  }

  private SessionsAsked wanted(FolderArguments arguments, SessionsAsked all) {
    LocalDate first = from == null ? LocalDate.MIN : from;
    LocalDate newest = to == null ? LocalDate.MAX : to;
    if (first.isAfter(newest)) {
      throw new RefusedException(
          "--from " + first + " is after --to " + newest + "; change one of them");
    }
    if (last < 1) {
      throw new RefusedException("--last " + last + ": expected 1 or more");
    }
    SessionsAsked wanted =
        all.only(date -> !date.isBefore(first) && !date.isAfter(newest)).newest(last);
    if (wanted.dates().isEmpty()) {
      throw new DataAtFault(
          arguments.folder
              + " has no session there; "
              + (wanted.leftOut().isEmpty() ? "" : wanted.words() + " ")
              + (all.dates().isEmpty()
                  ? "expected a folder sessions/DATE with trades.csv"
                  : "its sessions are of "
                      + all.dates().getFirst()
                      + " to "
                      + all.dates().getLast()));
    }
    return wanted;
  }

  /** Those of a folder, reviewed together. */
  TrackRecord reviewed(FolderArguments arguments, PastSessions past, Progress progress) {
    return TrackRecord.of(
        past.reviews(
            of(arguments),
            arguments.wanted(),
            arguments.data().settings().review(),
            review -> {},
            progress));
  }
}
