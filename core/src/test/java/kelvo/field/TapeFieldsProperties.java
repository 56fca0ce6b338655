package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Objects;
import kelvo.engine.RandomSessions;
import kelvo.market.EventTape;
import kelvo.market.Market;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/**
 * What is read from the tape later is what a rule would have read then, cancelled and corrected
 * prints included.
 */
class TapeFieldsProperties {
  private static final int SECURITIES = 3;
  private static final int EVENTS = 4_000;

  @Property(tries = 20)
  void theTapeTellsLaterWhatTheStateToldThen(
      @ForAll long seed, @ForAll @IntRange(min = 300, max = 900) int every) {
    Session session = RandomSessions.of(seed, SECURITIES, EVENTS);
    List<Field.Number> fields =
        FieldCatalogue.usual().stream()
            .filter(Field.Number.class::isInstance)
            .map(Field.Number.class::cast)
            .filter(field -> field.fromTape() != null)
            .toList();
    List<Field.Reading> readings = fields.stream().map(field -> field.bind(session)).toList();
    Market market = Market.of(session);
    EventTape tape = session.tape();
    for (int event = 0; event < tape.size(); event++) {
      SymbolState state = market.states().get(tape.symbol(event));
      state.apply(event);
      if (event % every == 0) {
        for (int k = 0; k < readings.size(); k++) {
          Field.Number field = fields.get(k);
          long now = tape.time(event);
          Double later = Objects.requireNonNull(field.fromTape()).at(state.moment(now));
          assertThat(later)
              .as("%s at event %d", field.words(), event)
              .isEqualTo(Double.valueOf(readings.get(k).at(state, now)));
        }
      }
    }
  }
}
