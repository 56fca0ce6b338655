package kelvo.formula;

import java.util.EnumSet;
import java.util.Set;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleUnaryOperator;
import kelvo.field.Field;
import kelvo.field.Unit;
import org.jspecify.annotations.Nullable;

/**
 * A part of a formula.
 *
 * @param unit what it counts; null for a plain number, which takes the unit of whatever it meets
 * @param paces what makes it change
 * @param binder what reads it
 */
record Part(@Nullable Unit unit, Set<Field.Pace> paces, Field.Binder binder) {
  static Part number(double value, @Nullable Unit unit) {
    return new Part(unit, Set.of(), session -> (state, now) -> value);
  }

  static Part of(Field.Number field) {
    return new Part(field.unit(), Set.of(field.pace()), field::bind);
  }

  Part with(DoubleUnaryOperator change) {
    return new Part(
        unit,
        paces,
        session -> {
          Field.Reading one = binder.bind(session);
          return (state, now) -> change.applyAsDouble(one.at(state, now));
        });
  }

  Part with(Part other, @Nullable Unit both, DoubleBinaryOperator join) {
    Set<Field.Pace> all = EnumSet.noneOf(Field.Pace.class);
    all.addAll(paces);
    all.addAll(other.paces);
    return new Part(
        both,
        all,
        session -> {
          Field.Reading left = binder.bind(session);
          Field.Reading right = other.binder.bind(session);
          return (state, now) -> join.applyAsDouble(left.at(state, now), right.at(state, now));
        });
  }
}
