package kelvo.rule;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Optional;
import kelvo.field.Field;
import kelvo.field.Unit;
import kelvo.time.Phases;

/** A rule with its bound moved just so far that one more value passes. */
public final class LooserRule {
  private static final int FIGURES = 2;

  private LooserRule() {}

  /**
   * The rule that lets a value pass which it kept out, with a bound rounded to its far side as one
   * would write it: 20K for 20,314.
   *
   * @param phase the phase in which the value was kept out; only the bound of that is moved
   * @param value NaN when unknown
   * @return empty when the rule has no bound that can be moved: a word, a flag, another field
   */
  public static Optional<Rule> passing(Rule rule, int phase, Phases phases, double value) {
    int step = rule.stepIn(phase, phases);
    if (step < 0 || !(rule.field() instanceof Field.Number field) || field.unit() == Unit.FLAG) {
      return Optional.empty();
    }
    if (Double.isNaN(value)) {
      return Optional.of(new Rule(field, rule.relation(), rule.steps(), true));
    }
    return switch (rule.steps().get(step).bound()) {
      case Bound.Amount amount ->
          switch (rule.relation()) {
            case AT_LEAST, ABOVE ->
                Optional.of(rule.withBound(step, amount(rule, field, value, RoundingMode.FLOOR)));
            case AT_MOST, BELOW ->
                Optional.of(rule.withBound(step, amount(rule, field, value, RoundingMode.CEILING)));
            default -> Optional.empty();
          };
      case Bound.Range range -> Optional.of(rule.withBound(step, widened(range, field, value)));
      case Bound.OtherField other -> Optional.empty();
      case Bound.Words words -> Optional.empty();
    };
  }

  /**
   * How far a value lies outside what passes in a phase, as a share of the bound that it misses; 0
   * when it passes; the furthest finite distance when it is unknown; infinite when no bound can be
   * moved.
   */
  public static double distance(Rule rule, int phase, Phases phases, double value) {
    Optional<Rule.Interval> passes = rule.intervalIn(phase, phases);
    if (passes.isEmpty()) {
      return Double.POSITIVE_INFINITY;
    }
    if (Double.isNaN(value)) {
      return Double.MAX_VALUE;
    }
    double low = passes.get().low();
    double high = passes.get().high();
    double miss = value < low ? low - value : Math.max(0, value - high);
    double bound = Math.abs(value < low ? low : high);
    return miss == 0 ? 0 : miss / Math.max(bound, Double.MIN_NORMAL);
  }

  private static Bound widened(Bound.Range range, Field.Number field, double value) {
    double low =
        value < range.low() ? rounded(value, field.unit(), RoundingMode.FLOOR) : range.low();
    double high =
        value > range.high() ? rounded(value, field.unit(), RoundingMode.CEILING) : range.high();
    return new Bound.Range(
        low, high, exactly(low, field.unit()) + " and " + exactly(high, field.unit()));
  }

  /** A bound that the value passes; one digit further when the rounded one is the value itself. */
  private static Bound amount(Rule rule, Field.Number field, double value, RoundingMode way) {
    double bound = rounded(value, field.unit(), way);
    if (!(value >= rule.relation().low(bound) && value <= rule.relation().high(bound))) {
      double digit = digit(value, field.unit()).doubleValue();
      bound = rounded(bound + (way == RoundingMode.FLOOR ? -digit : digit), field.unit(), way);
    }
    return new Bound.Amount(bound, exactly(bound, field.unit()));
  }

  private static double rounded(double value, Unit unit, RoundingMode way) {
    BigDecimal digit = digit(value, unit);
    return BigDecimal.valueOf(value).divide(digit, 0, way).multiply(digit).doubleValue();
  }

  /** The place of the last figure that is written. */
  private static BigDecimal digit(double value, Unit unit) {
    BigDecimal exact = BigDecimal.valueOf(value).round(new MathContext(FIGURES, RoundingMode.DOWN));
    if (exact.signum() == 0) {
      return new BigDecimal("0.1");
    }
    boolean leadingOne = exact.unscaledValue().abs().toString().startsWith("1");
    int figures = leadingOne ? FIGURES + 1 : FIGURES;
    int scale = figures - (exact.precision() - exact.scale());
    int least = unit == Unit.PERCENT ? Math.min(scale, 1) : scale;
    return BigDecimal.ONE.movePointLeft(Math.min(least, 4));
  }

  /** The bound in words that read back as itself. */
  private static String exactly(double bound, Unit unit) {
    String words = Amounts.words(bound, unit);
    boolean same =
        Amounts.parse(words.toLowerCase(Locale.ROOT), unit).stream().anyMatch(v -> v == bound);
    if (same) {
      return words;
    }
    String plain = BigDecimal.valueOf(bound).stripTrailingZeros().toPlainString();
    return switch (unit) {
      case PERCENT -> plain + "%";
      case TIMES -> plain + "x";
      default -> plain;
    };
  }
}
