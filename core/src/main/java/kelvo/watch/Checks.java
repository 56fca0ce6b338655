package kelvo.watch;

import java.util.List;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Unit;
import kelvo.market.CorporateAction;
import kelvo.market.SecurityFacts;
import kelvo.market.SecurityKind;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.watch.Check.Result;

/**
 * The checks of the morning on one symbol. Bounds are common practice of the trade, no source: a
 * spread of 1% eats a trade, a float figure older than a quarter is stale, fewer than 25 prints is
 * one order.
 */
public final class Checks {
  private static final double WIDE_SPREAD = 1;
  private static final double VERY_WIDE_SPREAD = 3;
  private static final double OLD_FLOAT_DAYS = 92;
  private static final double FEW_TRADES = 25;
  private static final double FRESH_NEWS_MINUTES = 16 * 60;

  private final Session session;
  private final Field.Reading spread;
  private final Field.Reading stack;
  private final Field.Reading fromEma200;
  private final Field.Reading trades;
  private final Field.Reading news;
  private final Field.Reading floatAge;
  private final Field.Reading priorTrades;

  /** Checks for a session. */
  public Checks(Session session) {
    this.session = session;
    spread = FieldCatalogue.number("spread %").bind(session);
    stack = FieldCatalogue.number("stack").bind(session);
    fromEma200 = FieldCatalogue.number("distance from ema 200d").bind(session);
    trades = FieldCatalogue.number("trades").bind(session);
    news = FieldCatalogue.number("minutes since news").bind(session);
    floatAge = FieldCatalogue.number("float age").bind(session);
    priorTrades = FieldCatalogue.number("prior-day trades").bind(session);
  }

  /** All checks of a security at a moment. */
  public List<Check> of(SymbolState state, long now) {
    SecurityFacts facts = session.security(state.id());
    return List.of(
        kind(facts),
        split(facts),
        number("spread", spread.at(state, now), Unit.PERCENT, WIDE_SPREAD, VERY_WIDE_SPREAD, "%"),
        activity(trades.at(state, now)),
        stack(stack.at(state, now)),
        longAverage(fromEma200.at(state, now)),
        news(news.at(state, now)),
        number(
            "float age",
            floatAge.at(state, now),
            Unit.COUNT,
            OLD_FLOAT_DAYS,
            4 * OLD_FLOAT_DAYS,
            " days"),
        yesterday(priorTrades.at(state, now)));
  }

  private static Check kind(SecurityFacts facts) {
    SecurityKind kind = facts.security().kind();
    return new Check(
        "kind", kind == SecurityKind.COMMON_STOCK ? Result.PASS : Result.FAIL, kind.words());
  }

  private static Check split(SecurityFacts facts) {
    CorporateAction split = facts.recentSplit();
    return split == null
        ? new Check("split", Result.PASS, "none lately")
        : new Check("split", Result.FAIL, split.words() + " on " + split.date());
  }

  /** Passes up to a bound, warns up to a second one. */
  private static Check number(
      String name, double value, Unit unit, double warn, double fail, String suffix) {
    if (Double.isNaN(value)) {
      return new Check(name, Result.UNKNOWN, "unknown");
    }
    Result result = value <= warn ? Result.PASS : value <= fail ? Result.WARN : Result.FAIL;
    return new Check(name, result, unit.text(value) + suffix);
  }

  private static Check activity(double count) {
    return new Check(
        "prints",
        count >= FEW_TRADES ? Result.PASS : count > 1 ? Result.WARN : Result.FAIL,
        Unit.COUNT.text(count) + " since 04:00");
  }

  private static Check stack(double value) {
    if (Double.isNaN(value)) {
      return new Check("stack", Result.UNKNOWN, "fewer than 200 sessions");
    }
    Result result = Math.abs(value) == 3 ? Result.PASS : Result.WARN;
    return new Check(
        "stack",
        result,
        value >= 0 ? (int) value + " of 3 rising" : (int) -value + " of 3 falling");
  }

  private static Check longAverage(double distance) {
    if (Double.isNaN(distance)) {
      return new Check("200-day", Result.UNKNOWN, "fewer than 200 sessions");
    }
    return new Check(
        "200-day",
        distance >= 0 ? Result.PASS : Result.WARN,
        Unit.PERCENT.text(Math.abs(distance)) + (distance >= 0 ? "% above" : "% below"));
  }

  private static Check news(double minutes) {
    if (Double.isNaN(minutes)) {
      return new Check("catalyst", Result.WARN, "no item names it");
    }
    return new Check(
        "catalyst",
        minutes <= FRESH_NEWS_MINUTES ? Result.PASS : Result.WARN,
        Unit.MINUTES.text(minutes) + " min old");
  }

  private static Check yesterday(double count) {
    if (Double.isNaN(count)) {
      return new Check("yesterday", Result.UNKNOWN, "no daily bar");
    }
    return new Check(
        "yesterday",
        count >= FEW_TRADES ? Result.PASS : Result.WARN,
        Unit.COUNT.text(count) + " trades");
  }
}
