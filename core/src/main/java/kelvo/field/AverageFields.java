package kelvo.field;

import static kelvo.field.Formulas.percentOf;

import java.util.Arrays;
import java.util.List;
import kelvo.history.Averages;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** VWAP, daily and intraday averages, the stack, the average true range. */
final class AverageFields {
  private static final String NO_PRINT = "no print has counted yet";

  private AverageFields() {}

  static List<Field> all() {
    return List.of(
        line(
            "vwap",
            "Volume-weighted average price: anchored at 04:00 before the open, at 09:30 from then on.",
            NO_PRINT,
            (s, now) -> s.vwapAt(now)),
        distance("vwap", NO_PRINT, session -> (s, now) -> s.vwapAt(now)),
        line(
            "vwap 04:00",
            "Volume-weighted average price since 04:00.",
            NO_PRINT,
            (s, now) -> s.vwapFromFour()),
        line(
            "vwap 09:30",
            "Volume-weighted average price of regular hours.",
            NO_PRINT,
            (s, now) -> s.vwapFromOpen()),
        line(
            "ema 9",
            "9-bar exponential average of 1-minute closes since 04:00.",
            "there are fewer than 9 bars",
            (s, now) -> s.ema9()),
        new Field.Number(
            "stack",
            Unit.COUNT,
            Field.Pace.EVENTS,
            "How many hold of price > ema 10d > ema 50d > ema 200d, 0 to 3; when the first fails, how many hold of the mirror, 0 to -3.",
            "ema 200d is unknown",
            AverageFields::stack));
  }

  static List<FieldFamily> families() {
    return List.of(
        FieldFamily.ofNumber(
            "ema Nd",
            n ->
                new Field.Number(
                    "ema " + n + "d",
                    Unit.PRICE,
                    Field.Pace.EVENTS,
                    "Exponential average of "
                        + n
                        + " daily closes, today's provisional close included.",
                    fewer(n),
                    session -> ema(session, n))),
        FieldFamily.ofNumber(
            "sma Nd",
            n ->
                new Field.Number(
                    "sma " + n + "d",
                    Unit.PRICE,
                    Field.Pace.EVENTS,
                    "Mean of the last " + n + " daily closes, today's provisional close included.",
                    fewer(n),
                    session -> sma(session, n))),
        FieldFamily.ofNumber(
            "distance from ema Nd",
            n -> distance("ema " + n + "d", fewer(n), session -> ema(session, n))),
        FieldFamily.ofNumber(
            "distance from sma Nd",
            n -> distance("sma " + n + "d", fewer(n), session -> sma(session, n))));
  }

  private static String fewer(int n) {
    return "there are fewer than " + n + " sessions";
  }

  private static Field.Reading ema(Session session, int n) {
    KnownNumber yesterday = KnownNumber.of(session, "ema " + n, facts -> newest(facts, n));
    return (state, now) ->
        state.price() == Price.NONE
            ? Double.NaN
            : Averages.emaStep(yesterday.of(state), Price.dollars(state.price()), n);
  }

  private static Field.Reading sma(Session session, int n) {
    KnownNumber earlier =
        KnownNumber.of(session, "sum of " + (n - 1), facts -> sumOfNewest(facts, n - 1));
    return (state, now) -> (earlier.of(state) + Price.dollars(state.price())) / n;
  }

  private static double newest(SecurityFacts facts, int n) {
    double[] closes = facts.history().closes();
    return closes.length == 0 ? Double.NaN : Averages.ema(closes, n)[closes.length - 1];
  }

  private static double sumOfNewest(SecurityFacts facts, int count) {
    double[] closes = facts.history().closes();
    return closes.length <= count
        ? Double.NaN
        : Arrays.stream(closes, closes.length - count, closes.length).sum();
  }

  private static Field.Reading stack(Session session) {
    Field.Reading ten = ema(session, 10);
    Field.Reading fifty = ema(session, 50);
    Field.Reading twoHundred = ema(session, 200);
    return (state, now) ->
        stack(
            Price.dollars(state.price()),
            ten.at(state, now),
            fifty.at(state, now),
            twoHundred.at(state, now));
  }

  private static double stack(double price, double ten, double fifty, double twoHundred) {
    if (Double.isNaN(twoHundred) || Double.isNaN(price)) {
      return Double.NaN;
    }
    if (price > ten) {
      return ten <= fifty ? 1 : fifty <= twoHundred ? 2 : 3;
    }
    return price >= ten ? 0 : ten >= fifty ? -1 : fifty >= twoHundred ? -2 : -3;
  }

  private static Field line(String words, String meaning, String unknown, Field.Reading reading) {
    return new Field.Number(
        words, Unit.PRICE, Field.Pace.EVENTS, meaning, unknown, session -> reading);
  }

  private static Field distance(String line, String unknown, Field.Binder binder) {
    return new Field.Number(
        "distance from " + line,
        Unit.PERCENT,
        Field.Pace.EVENTS,
        "Price less " + line + ", over " + line + ".",
        unknown,
        session -> {
          Field.Reading reading = binder.bind(session);
          return (SymbolState s, long now) ->
              percentOf(Price.dollars(s.price()), reading.at(s, now));
        });
  }
}
