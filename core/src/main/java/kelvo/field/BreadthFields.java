package kelvo.field;

import java.util.List;
import java.util.OptionalInt;
import kelvo.session.KnownEvent;
import kelvo.session.Session;
import kelvo.state.MarketBreadth;
import kelvo.state.MarketGauge;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;

/** Fields of the whole market, the same for every security. */
final class BreadthFields {
  private static final String NOT_SEEN = "one security is looked at alone";

  private BreadthFields() {}

  private static double shareUp(SymbolState state) {
    MarketGauge gauge = state.market().gauge();
    return gauge == null ? Double.NaN : gauge.shareUp();
  }

  private static double movers(SymbolState state) {
    MarketGauge gauge = state.market().gauge();
    return gauge == null ? Double.NaN : gauge.movers();
  }

  static List<Field> all() {
    return List.of(
        market(
            "market share up",
            Unit.PERCENT,
            "Share of the common stocks with a print today whose price is above the previous close.",
            "no stock has a print yet, or one security is looked at alone",
            session -> (s, now) -> shareUp(s)),
        market(
            "market movers",
            Unit.COUNT,
            "Common stocks more than 10% away from their previous close.",
            NOT_SEEN,
            session -> (s, now) -> movers(s)),
        market(
            "market movers ratio",
            Unit.TIMES,
            "Market movers over their median at the close of the last 20 sessions.",
            "there is no history, or one security is looked at alone",
            session -> {
              double usual = MarketBreadth.usualMovers(session);
              return (s, now) -> Formulas.ratio(movers(s), usual);
            }),
        market(
            "minutes to next event",
            Unit.MINUTES,
            "Whole minutes to the next known event of the whole market.",
            "none is left today",
            BreadthFields::minutesToNext));
  }

  static List<FieldFamily> families() {
    return List.of(
        FieldFamily.ofSymbol(
            "change of SYM",
            symbol ->
                market(
                    "change of " + symbol,
                    Unit.PERCENT,
                    "Change of "
                        + symbol
                        + ", such as a benchmark, whatever security is asked about.",
                    symbol + " has no print today, or no previous close",
                    session -> changeOf(session, symbol))));
  }

  private static Field.Reading changeOf(Session session, String symbol) {
    OptionalInt number = session.numberOf(symbol);
    if (number.isEmpty()) {
      return (s, now) -> Double.NaN;
    }
    long close = session.security(number.getAsInt()).previousClose();
    return (s, now) -> Formulas.percentOf(s.market().lastPrice(number.getAsInt()), close);
  }

  private static Field.Reading minutesToNext(Session session) {
    long[] times =
        session.knownEvents().stream()
            .filter(e -> e.symbol().isEmpty())
            .mapToLong(KnownEvent::at)
            .sorted()
            .toArray();
    return (s, now) -> {
      for (long at : times) {
        if (at > now) {
          return Math.floorDiv(at - now, DayTime.MINUTE);
        }
      }
      return Double.NaN;
    };
  }

  private static Field market(
      String words, Unit unit, String meaning, String unknown, Field.Binder binder) {
    return new Field.Number(words, unit, Field.Pace.CLOCK, meaning, unknown, binder);
  }
}
