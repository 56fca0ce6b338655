package kelvo.data.folder;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import org.jspecify.annotations.Nullable;

/**
 * What a session was read with that can be read and is doubtful all the same: daily bars that end
 * too early, and share figures dated later than the session.
 */
final class StaleFigures {
  private static final int NAMED = 5;

  private StaleFigures() {}

  /** A sentence for each kind, with how many securities it concerns and some of them. */
  static List<String> of(Session session, LocalDate sessionBefore) {
    LocalDate date = session.hours().date();
    List<String> doubts = new ArrayList<>();
    add(
        doubts,
        session,
        facts ->
            facts.history().size() > 0 && facts.history().last().date().isBefore(sessionBefore),
        "daily.csv: stale daily bars, without that of " + sessionBefore);
    add(
        doubts,
        session,
        facts -> isAfter(facts.security().floatAsOf(), date),
        "securities.csv: a float dated later than the session of " + date);
    add(
        doubts,
        session,
        facts -> isAfter(facts.security().sharesAsOf(), date),
        "securities.csv: shares outstanding dated later than the session of " + date);
    return doubts;
  }

  private static boolean isAfter(@Nullable LocalDate asOf, LocalDate date) {
    return asOf != null && asOf.isAfter(date);
  }

  private static void add(
      List<String> doubts, Session session, Predicate<SecurityFacts> doubtful, String what) {
    List<String> symbols =
        session.securities().stream().filter(doubtful).map(SecurityFacts::symbol).toList();
    if (!symbols.isEmpty()) {
      String named = String.join(", ", symbols.subList(0, Math.min(NAMED, symbols.size())));
      int more = symbols.size() - NAMED;
      doubts.add(what + ": " + named + (more > 0 ? " and " + more + " more" : ""));
    }
  }
}
