package kelvo.formula;

import kelvo.field.Unit;
import org.jspecify.annotations.Nullable;

/** What the result of an arithmetic step counts. Null stands for a plain number. */
final class FormulaUnits {
  private FormulaUnits() {}

  /** Whether two parts can be added, or compared by min and max. */
  static boolean agree(@Nullable Unit left, @Nullable Unit right) {
    return left == null || right == null || left == right || (isRatio(left) && isRatio(right));
  }

  /** The unit of two that agree. */
  static @Nullable Unit common(@Nullable Unit left, @Nullable Unit right) {
    if (left == null || right == null) {
      return left == null ? right : left;
    }
    return left == right ? left : Unit.NUMBER;
  }

  static @Nullable Unit product(@Nullable Unit left, @Nullable Unit right) {
    if (left == null || right == null) {
      return left == null ? right : left;
    }
    if ((left == Unit.PRICE && right == Unit.SHARES)
        || (left == Unit.SHARES && right == Unit.PRICE)) {
      return Unit.MONEY;
    }
    if (isRatio(left) || isRatio(right)) {
      return isRatio(left) ? right : left;
    }
    return Unit.NUMBER;
  }

  static @Nullable Unit quotient(@Nullable Unit left, @Nullable Unit right) {
    if (right == null) {
      return left;
    }
    if (left == right) {
      return Unit.TIMES;
    }
    if (left == Unit.MONEY && right == Unit.SHARES) {
      return Unit.PRICE;
    }
    if (left == Unit.MONEY && right == Unit.PRICE) {
      return Unit.SHARES;
    }
    return left != null && isRatio(right) ? left : Unit.NUMBER;
  }

  private static boolean isRatio(Unit unit) {
    return unit == Unit.TIMES || unit == Unit.NUMBER || unit == Unit.COUNT || unit == Unit.FLAG;
  }
}
