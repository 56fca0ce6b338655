package kelvo.universe;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.tape.Price;
import org.jspecify.annotations.Nullable;

/**
 * A security as the list of a universe shows it.
 *
 * @param close of the session before, dollars; NaN when unknown
 * @param averageVolume mean of the last 20 sessions, shares; NaN when unknown
 * @param floatShares in today's shares; NaN when unknown
 * @param floatAgeDays days since the float figure was right; NaN when unknown
 * @param byHand what was said of it by hand
 * @param whyOut why it is out; empty when it is in
 * @param source where its float was read when it was put right by hand; empty otherwise
 */
public record Listing(
    String symbol,
    String name,
    double close,
    double averageVolume,
    double floatShares,
    double floatAgeDays,
    ByHand byHand,
    String whyOut,
    String source) {
  /** From how many days on a float figure is older than a quarter. */
  public static final int STALE_DAYS = 92;

  private static final int AVERAGE = 20;

  /** What was said of a security by hand. */
  public enum ByHand {
    NOTHING,
    ADDED,
    EXCLUDED
  }

  /** Everyone in a session, as a universe has them. */
  public static List<Listing> of(
      Universe universe, Membership members, Session session, List<Figure> figures) {
    LocalDate today = session.hours().date();
    Map<String, String> sources = new HashMap<>();
    for (Figure figure : figures) {
      if (figure.kind() == Figure.Kind.FLOAT && !figure.asOf().isAfter(today)) {
        sources.put(figure.symbol(), figure.source());
      }
    }
    List<Listing> listings = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      SecurityFacts facts = session.security(i);
      listings.add(
          new Listing(
              facts.symbol(),
              facts.security().name(),
              facts.previousClose() == Price.NONE
                  ? Double.NaN
                  : Price.dollars(facts.previousClose()),
              facts.history().averageVolume(AVERAGE),
              facts.floatShares(),
              age(facts.security().floatAsOf(), today),
              byHand(universe, facts.symbol()),
              members.whyOut(i),
              sources.getOrDefault(facts.symbol(), "")));
    }
    return listings;
  }

  private static double age(@Nullable LocalDate asOf, LocalDate today) {
    return asOf == null ? Double.NaN : ChronoUnit.DAYS.between(asOf, today);
  }

  private static ByHand byHand(Universe universe, String symbol) {
    return universe.excluded().contains(symbol)
        ? ByHand.EXCLUDED
        : universe.added().contains(symbol) ? ByHand.ADDED : ByHand.NOTHING;
  }

  /** Whether the float figure is older than a quarter. */
  public boolean isFloatStale() {
    return floatAgeDays > STALE_DAYS;
  }
}
