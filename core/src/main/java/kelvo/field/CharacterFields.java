package kelvo.field;

import java.time.temporal.ChronoUnit;
import java.util.List;
import kelvo.history.Distribution;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.tape.Price;

/** What a security is: float, kind, venue, splits, halts, and how it went yesterday. */
final class CharacterFields {
  private static final String NOT_IN_FILE = "the securities file does not say";

  private CharacterFields() {}

  static List<Field> all() {
    return List.of(
        ActivityFields.fixed(
            "float",
            Unit.SHARES,
            "Freely tradable shares, in today's shares.",
            NOT_IN_FILE,
            SecurityFacts::floatShares),
        ActivityFields.fixed(
            "shares outstanding",
            Unit.SHARES,
            "All shares, in today's shares.",
            NOT_IN_FILE,
            SecurityFacts::sharesOutstanding),
        new Field.Number(
            "float age",
            Unit.COUNT,
            Field.Pace.FIXED,
            "Days since the float figure was taken.",
            NOT_IN_FILE,
            CharacterFields::floatAge),
        new Field.Number(
            "market cap",
            Unit.MONEY,
            Field.Pace.EVENTS,
            "Price times shares outstanding.",
            NOT_IN_FILE,
            CharacterFields::marketCap),
        ActivityFields.fixed(
            "split flag",
            Unit.FLAG,
            "A split or reverse split is effective today or was within two sessions.",
            "never",
            f -> f.recentSplit() == null ? 0 : 1),
        ActivityFields.fixed(
            "distribution",
            Unit.PRICE,
            "What a share gives up today, its ex-date: dividends and spin-offs. The previous close is less by as much, so that no gap comes of it.",
            "never",
            f ->
                f.distributions().stream().mapToLong(Distribution::amount).sum()
                    / (double) Price.DOLLAR),
        ActivityFields.fixed(
            "shortable",
            Unit.FLAG,
            "It can be sold short.",
            NOT_IN_FILE,
            CharacterFields::shortable),
        Field.Word.settled("symbol", "Its ticker.", "never", SecurityFacts::symbol),
        Field.Word.settled(
            "kind",
            "What it is, from the classification code.",
            "never",
            f -> f.security().kind().words()),
        Field.Word.settled(
            "venue", "The primary listing's venue code.", NOT_IN_FILE, f -> f.security().mic()),
        Field.Word.settled("sector", "Its broad trade.", NOT_IN_FILE, f -> f.security().sector()),
        Field.Word.settled(
            "industry", "Its narrower trade.", NOT_IN_FILE, f -> f.security().industry()),
        Field.Word.settled("country", "Its country.", NOT_IN_FILE, f -> f.security().country()));
  }

  private static double shortable(SecurityFacts facts) {
    Boolean shortable = facts.security().shortable();
    return shortable == null ? Double.NaN : shortable ? 1 : 0;
  }

  private static Field.Reading floatAge(Session session) {
    double[] ages =
        session.securities().stream()
            .mapToDouble(
                f -> {
                  var asOf = f.security().floatAsOf();
                  return asOf == null || asOf.isAfter(session.hours().date())
                      ? Double.NaN
                      : ChronoUnit.DAYS.between(asOf, session.hours().date());
                })
            .toArray();
    return (state, now) -> ages[state.id()];
  }

  private static Field.Reading marketCap(Session session) {
    double[] shares =
        session.securities().stream().mapToDouble(SecurityFacts::sharesOutstanding).toArray();
    return (state, now) -> shares[state.id()] * Price.dollars(state.price());
  }
}
