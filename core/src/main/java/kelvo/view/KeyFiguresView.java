package kelvo.view;

import java.util.List;
import java.util.Locale;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Unit;
import kelvo.history.UsualDay;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * Shows the five figures that decide about a security: how many times its usual volume, how often
 * its float, the last five minutes, its range in usual days, and how far from its VWAP it is.
 */
public final class KeyFiguresView implements View<List<KeyFiguresView.Figure>> {
  private static final String UNKNOWN = "–";
  private static final long FIVE_MINUTES = 5 * DayTime.MINUTE;

  private final int security;
  private final UsualDay usual;
  private final Field.Reading relativeVolume;
  private final Field.Reading floatTurnover;
  private final Field.Reading floatShares;
  private final Field.Reading volumeOfFive;
  private final Field.Reading atr;
  private final Field.Reading fromVwap;
  private final Field.Reading vwap;

  /**
   * One figure.
   *
   * @param value as shown; a dash when unknown
   * @param detail what it is made of
   * @param meaning one sentence
   * @param field the field that it is of; empty when it is of none
   * @param number the value without sign and unit, as a rule on the field has it; empty when
   *     unknown
   */
  public record Figure(
      String label, String value, String detail, String meaning, String field, String number) {}

  /** The figures of a security, by its number. */
  public KeyFiguresView(Session session, int security) {
    this.security = security;
    usual = session.earlier().volume();
    relativeVolume = bound(session, "relative volume");
    floatTurnover = bound(session, "float turnover");
    floatShares = bound(session, "float");
    volumeOfFive = bound(session, "volume 5m");
    atr = bound(session, "atr 14d");
    fromVwap = bound(session, "distance from vwap");
    vwap = bound(session, "vwap");
  }

  private static Field.Reading bound(Session session, String field) {
    return FieldCatalogue.number(field).bind(session);
  }

  @Override
  public List<Figure> look(Moment moment) {
    SymbolState state = moment.state(security);
    long now = moment.now();
    return List.of(
        relativeVolume(state, now),
        floatTurnover(state, now),
        lastFive(state, now),
        range(state, now),
        fromVwap(state, now));
  }

  private Figure relativeVolume(SymbolState state, long now) {
    double expected = usual.meanUpTo(security, now);
    String soFar = Unit.SHARES.text(state.volume());
    String number = Unit.PERCENT.text(relativeVolume.at(state, now));
    return new Figure(
        "times usual",
        times(number),
        Double.isNaN(expected) ? soFar + " so far" : "usual " + Unit.SHARES.text(expected),
        "Volume since 04:00, " + soFar + ", over what is usual by this time of day.",
        "relative volume",
        number);
  }

  private Figure floatTurnover(SymbolState state, long now) {
    double shares = floatShares.at(state, now);
    String number = Unit.TIMES.text(floatTurnover.at(state, now));
    return new Figure(
        "float turnover",
        times(number),
        Double.isNaN(shares) ? "float unknown" : "of " + Unit.SHARES.text(shares),
        "Volume since 04:00 over the float.",
        "float turnover",
        number);
  }

  private Figure lastFive(SymbolState state, long now) {
    double volume = volumeOfFive.at(state, now);
    double expected = usual.meanOf(FIVE_MINUTES, security, now);
    return new Figure(
        "last 5 min",
        known(Unit.SHARES.text(volume)),
        expected > 0 ? times(Unit.PERCENT.text(volume / expected)) + " usual" : "usual –",
        "Shares of the last five minutes, and how many times what is usual in these five.",
        "volume 5m",
        Unit.SHARES.text(volume));
  }

  /** Of regular hours; before them, of the premarket. */
  private Figure range(SymbolState state, long now) {
    boolean regular = state.dayHigh() != Price.NONE;
    long high = regular ? state.dayHigh() : state.premarketHigh();
    long low = regular ? state.dayLow() : state.premarketLow();
    double range = high == Price.NONE ? Double.NaN : Price.dollars(high) - Price.dollars(low);
    double usualRange = atr.at(state, now);
    String number = Unit.PERCENT.text(range / usualRange);
    return new Figure(
        regular ? "range" : "pm range",
        times(number),
        "of ATR " + dollars(usualRange),
        "High less low, "
            + (regular ? "of regular hours, " : "of the premarket, ")
            + "in average true ranges of 14 sessions; the usual one in dollars.",
        regular ? "range in atrs" : "",
        number);
  }

  private Figure fromVwap(SymbolState state, long now) {
    double distance = fromVwap.at(state, now);
    String number = Unit.PERCENT.text(distance);
    return new Figure(
        "from VWAP",
        number.isEmpty() ? UNKNOWN : (distance >= 0.05 ? "+" : "") + Unit.PERCENT.withSign(number),
        known(Unit.PRICE.text(vwap.at(state, now))),
        "How far the price is from the volume-weighted average price, and that price.",
        "distance from vwap",
        number);
  }

  private static String times(String number) {
    return number.isEmpty() ? UNKNOWN : number + "×";
  }

  /** In cents, or finer where a usual range is of few of them. */
  private static String dollars(double range) {
    return Double.isNaN(range)
        ? UNKNOWN
        : String.format(Locale.ROOT, range < 0.1 ? "%.4f" : "%.2f", range);
  }

  private static String known(String text) {
    return text.isEmpty() ? UNKNOWN : text;
  }
}
