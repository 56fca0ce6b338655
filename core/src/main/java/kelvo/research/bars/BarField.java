package kelvo.research.bars;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import kelvo.field.Field;
import kelvo.tape.Price;

/**
 * A field whose value changes during a session and that minute bars can tell: as {@link
 * kelvo.field.FieldCatalogue} defines it, with each bar's close for its prints' last price, its
 * high and low for their extremes and the mean of the three for the price of its shares.
 */
enum BarField {
  PRICE(
      "price",
      state -> Price.dollars(state.price()),
      day -> Price.dollars(day.leastClose()),
      day -> Price.dollars(day.mostClose())),
  OPEN("open", state -> Price.dollars(state.open())),
  CHANGE("change", state -> Price.dollars(state.price()) - Price.dollars(state.previousClose())),
  CHANGE_PERCENT(
      "change %",
      state -> percent(state.price(), state.previousClose()),
      day -> percent(day.leastClose(), day.previousClose()),
      day -> percent(day.mostClose(), day.previousClose())),
  GAP(
      "gap",
      state ->
          percent(state.open() == Price.NONE ? state.price() : state.open(), state.previousClose()),
      day ->
          percent(
              day.open() == Price.NONE ? day.leastClose() : Math.min(day.open(), day.leastClose()),
              day.previousClose()),
      day -> percent(Math.max(day.open(), day.mostClose()), day.previousClose())),
  CHANGE_FROM_OPEN("change from open %", state -> percent(state.price(), state.open())),
  VOLUME("volume", BarState::volume, day -> 0, WholeDay::volume),
  PREMARKET_VOLUME(
      "premarket volume", BarState::premarketVolume, day -> 0, WholeDay::premarketVolume),
  REGULAR_VOLUME("regular volume", BarState::regularVolume, day -> 0, WholeDay::volume),
  TRADES("trades", BarState::trades, day -> 0, WholeDay::trades),
  PREMARKET_TRADES(
      "premarket trades", BarState::premarketTrades, day -> 0, WholeDay::premarketTrades),
  DOLLAR_VOLUME(
      "dollar volume",
      state -> BarState.dollars(state.threefoldMoney()),
      day -> 0,
      WholeDay::money),
  PREMARKET_DOLLAR_VOLUME(
      "premarket dollar volume",
      state -> BarState.dollars(state.threefoldPremarketMoney()),
      day -> 0,
      WholeDay::money),
  FLOAT_TURNOVER(
      "float turnover",
      state -> over(state.volume(), state.floatShares()),
      day -> 0,
      day -> over(day.volume(), day.floatShares())),
  DAY_HIGH("day high", state -> Price.dollars(state.dayHigh())),
  DAY_LOW("day low", state -> Price.dollars(state.dayLow())),
  PREMARKET_HIGH("premarket high", state -> Price.dollars(state.premarketHigh())),
  PREMARKET_LOW("premarket low", state -> Price.dollars(state.premarketLow())),
  SESSION_HIGH("session high", state -> Price.dollars(state.sessionHigh())),
  SESSION_LOW("session low", state -> Price.dollars(state.sessionLow())),
  DAY_RANGE("day range", state -> Price.dollars(state.dayHigh()) - Price.dollars(state.dayLow())),
  DAY_RANGE_PERCENT("day range %", state -> percent(state.dayHigh(), state.dayLow())),
  RANGE_POSITION(
      "range position",
      state -> over(state.price() - state.dayLow(), state.dayHigh() - state.dayLow())),
  VWAP("vwap", BarState::vwapAt),
  DISTANCE_FROM_VWAP(
      "distance from vwap",
      (state, now) -> 100 * (Price.dollars(state.price()) - state.vwapAt(now)) / state.vwapAt(now));

  private static final Map<String, BarField> BY_WORDS = new LinkedHashMap<>();

  static {
    Arrays.stream(values()).forEach(field -> BY_WORDS.put(field.words, field));
  }

  private final String words;
  private final Reading reading;
  private final ToDoubleFunction<WholeDay> least;
  private final ToDoubleFunction<WholeDay> most;

  private interface Reading {
    double at(BarState state, long now);
  }

  BarField(
      String words,
      ToDoubleFunction<BarState> reading,
      ToDoubleFunction<WholeDay> least,
      ToDoubleFunction<WholeDay> most) {
    this(words, (state, now) -> reading.applyAsDouble(state), least, most);
  }

  BarField(
      String words,
      Reading reading,
      ToDoubleFunction<WholeDay> least,
      ToDoubleFunction<WholeDay> most) {
    this.words = words;
    this.reading = reading;
    this.least = least;
    this.most = most;
  }

  /** A field of which the day's totals tell nothing. */
  BarField(String words, ToDoubleFunction<BarState> reading) {
    this(words, (state, now) -> reading.applyAsDouble(state));
  }

  /** Likewise of one that depends on the time of day. */
  BarField(String words, Reading reading) {
    this(words, reading, day -> Double.NEGATIVE_INFINITY, day -> Double.POSITIVE_INFINITY);
  }

  /** The one that stands for a field; empty when minute bars cannot tell it. */
  static Optional<BarField> of(Field field) {
    return Optional.ofNullable(BY_WORDS.get(field.words()));
  }

  /** The words of the field that it stands for. */
  String words() {
    return words;
  }

  /** The value at a moment as the bars have told it so far; NaN when unknown. */
  double at(BarState state, long now) {
    return reading.at(state, now);
  }

  /** No value of the day is less; NaN when it stays unknown all day. */
  double least(WholeDay day) {
    return least.applyAsDouble(day);
  }

  /** No value of the day is more; NaN when it stays unknown all day. */
  double most(WholeDay day) {
    return most.applyAsDouble(day);
  }

  private static double percent(long price, long base) {
    return price == Price.NONE || base == Price.NONE ? Double.NaN : 100.0 * (price - base) / base;
  }

  private static double over(double part, double whole) {
    return whole > 0 ? part / whole : Double.NaN;
  }
}
