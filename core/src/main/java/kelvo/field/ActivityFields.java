package kelvo.field;

import static kelvo.field.Formulas.ratio;

import java.util.List;
import java.util.function.ToDoubleFunction;
import kelvo.market.Price;
import kelvo.market.SecurityFacts;
import kelvo.market.Session;
import kelvo.market.SymbolState;

/** Volume, prints and money traded. */
final class ActivityFields {
  private static final String NEVER = "never";

  private ActivityFields() {}

  static List<Field> all() {
    return List.of(
        live(
            "volume",
            Unit.SHARES,
            "Shares of all prints that update volume, since 04:00.",
            SymbolState::volume),
        live(
            "premarket volume",
            Unit.SHARES,
            "Shares traded from 04:00 to 09:30.",
            SymbolState::premarketVolume),
        live(
            "regular volume",
            Unit.SHARES,
            "Shares traded in regular hours.",
            SymbolState::regularVolume),
        live("trades", Unit.COUNT, "Prints that update volume, since 04:00.", SymbolState::trades),
        live(
            "premarket trades",
            Unit.COUNT,
            "Prints from 04:00 to 09:30.",
            SymbolState::premarketTrades),
        live(
            "dollar volume",
            Unit.MONEY,
            "Sum of price times shares since 04:00.",
            s -> s.dollarVolume() / (double) Price.DOLLAR),
        new Field.Number(
            "volume 5m",
            Unit.SHARES,
            Field.Pace.WINDOW,
            "Shares of the last five minutes, exact to the print.",
            NEVER,
            session -> (s, now) -> s.sharesInFiveMinutes(now)),
        new Field.Number(
            "trades 5m",
            Unit.COUNT,
            Field.Pace.WINDOW,
            "Prints of the last five minutes.",
            NEVER,
            session -> (s, now) -> s.tradesInFiveMinutes(now)),
        new Field.Number(
            "float turnover",
            Unit.TIMES,
            Field.Pace.EVENTS,
            "Volume over float.",
            "the float is unknown",
            ActivityFields::floatTurnover),
        fixed(
            "prior-day trades",
            Unit.COUNT,
            "Prints of the session before.",
            "there is no daily bar before the session",
            f -> f.history().size() == 0 ? Double.NaN : f.history().last().trades()));
  }

  static List<FieldFamily> families() {
    return List.of(
        new FieldFamily(
            "avg volume Nd",
            n ->
                fixed(
                    "avg volume " + n + "d",
                    Unit.SHARES,
                    "Mean daily volume of the last " + n + " sessions, today excluded.",
                    "there are fewer than " + n + " sessions",
                    f -> f.history().averageVolume(n))));
  }

  private static Field.Reading floatTurnover(Session session) {
    double[] floats =
        session.securities().stream().mapToDouble(SecurityFacts::floatShares).toArray();
    return (state, now) -> ratio(state.volume(), floats[state.id()]);
  }

  private static Field live(
      String words, Unit unit, String meaning, ToDoubleFunction<SymbolState> value) {
    return new Field.Number(
        words,
        unit,
        Field.Pace.EVENTS,
        meaning,
        NEVER,
        session -> (state, now) -> value.applyAsDouble(state));
  }

  /** A field computed once a session from what is known beforehand. */
  static Field fixed(
      String words,
      Unit unit,
      String meaning,
      String unknown,
      ToDoubleFunction<SecurityFacts> value) {
    return new Field.Number(
        words,
        unit,
        Field.Pace.FIXED,
        meaning,
        unknown,
        session -> {
          double[] values = session.securities().stream().mapToDouble(value).toArray();
          return (state, now) -> values[state.id()];
        });
  }
}
