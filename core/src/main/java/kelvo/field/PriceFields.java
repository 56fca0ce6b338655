package kelvo.field;

import static kelvo.field.Formulas.percentOf;
import static kelvo.field.Formulas.ratio;

import java.util.List;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** Price, change, gap, highs and lows, spread. */
final class PriceFields {
  private static final String NO_CLOSE = "there is no daily bar before the session";
  private static final String NO_OPEN = "the security has not opened";

  private PriceFields() {}

  static List<Field> all() {
    return List.of(
        number(
            "price",
            Unit.PRICE,
            "Latest eligible print since 04:00, regular or extended; before any, the middle of a quote whose spread is at most 5% of it; else the previous close.",
            "none of the three exists",
            (s, now) -> Price.dollars(s.price())),
        ActivityFields.fixed(
            "previous close",
            Unit.PRICE,
            "Close of the session before, adjusted for a split effective today and less what a share gives up today.",
            NO_CLOSE,
            facts ->
                facts.previousClose() == Price.NONE
                    ? Double.NaN
                    : Price.dollars(facts.previousClose())),
        number(
            "open",
            Unit.PRICE,
            "The official open; until there is one, the first eligible print of regular hours.",
            NO_OPEN,
            (s, now) -> Price.dollars(s.open())),
        number(
            "change",
            Unit.PRICE,
            "Price less previous close.",
            NO_CLOSE,
            (s, now) -> Price.dollars(s.price()) - Price.dollars(s.previousClose())),
        number(
            "change %",
            Unit.PERCENT,
            "Price less previous close, over previous close.",
            NO_CLOSE,
            (s, now) -> percentOf(s.price(), s.previousClose())),
        number(
            "gap",
            Unit.PERCENT,
            "Open less previous close, over previous close; while the open is unknown, the same of the price.",
            NO_CLOSE,
            (s, now) ->
                percentOf(s.open() == Price.NONE ? s.price() : s.open(), s.previousClose())),
        number(
            "change from open %",
            Unit.PERCENT,
            "Price less open, over open.",
            NO_OPEN,
            (s, now) -> percentOf(s.price(), s.open())),
        number(
            "after-hours change %",
            Unit.PERCENT,
            "Price less today's official close, over it, from the close on; until it is told, less the last regular print.",
            "nothing has been told after the close, or regular hours had no print",
            (s, now) -> percentOf(s.price(), s.closeSoFar())),
        quoted(
            "bid size",
            Unit.SHARES,
            "Shares bid for by the quote in force.",
            "there is no bid",
            (s, now) -> s.bid() == Price.NONE ? Double.NaN : s.bidShares()),
        quoted(
            "ask size",
            Unit.SHARES,
            "Shares offered by the quote in force.",
            "there is no ask",
            (s, now) -> s.ask() == Price.NONE ? Double.NaN : s.askShares()),
        quoted(
            "spread",
            Unit.PRICE,
            "Ask less bid.",
            "the quote is one-sided, locked or crossed",
            (s, now) -> spread(s)),
        quoted(
            "spread %",
            Unit.PERCENT,
            "Ask less bid, over the middle of both.",
            "the quote is one-sided, locked or crossed",
            (s, now) -> 200 * ratio(s.ask() - s.bid(), twoSided(s) ? s.ask() + s.bid() : 0)));
  }

  private static double spread(SymbolState state) {
    return twoSided(state) ? Price.dollars(state.ask() - state.bid()) : Double.NaN;
  }

  private static boolean twoSided(SymbolState state) {
    return state.bid() > 0 && state.ask() > state.bid();
  }

  private static Field quoted(
      String words, Unit unit, String meaning, String unknown, Field.Reading reading) {
    return field(words, unit, Field.Pace.QUOTES, meaning, unknown, reading);
  }

  private static Field number(
      String words, Unit unit, String meaning, String unknown, Field.Reading reading) {
    return field(words, unit, Field.Pace.EVENTS, meaning, unknown, reading);
  }

  private static Field field(
      String words,
      Unit unit,
      Field.Pace pace,
      String meaning,
      String unknown,
      Field.Reading reading) {
    return new Field.Number(words, unit, pace, meaning, unknown, session -> reading);
  }
}
