package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import kelvo.hit.RandomSessions;
import kelvo.session.Session;
import kelvo.state.Market;
import kelvo.state.SymbolState;
import kelvo.state.TapeMoment;
import kelvo.tape.EventTape;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/**
 * What is read from the tape later, in any order, is what a rule would have read then, cancelled
 * and corrected prints included.
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
    List<Asked> later = new ArrayList<>();
    for (int event = 0; event < tape.size(); event++) {
      SymbolState state = market.states().get(tape.symbol(event));
      state.apply(event);
      if (event % every == 0) {
        long now = tape.time(event);
        Asked asked =
            new Asked(
                state.moment(now),
                readings.stream().map(reading -> reading.at(state, now)).toList());
        if (event % 2 == 0) {
          asked.check(fields);
        } else {
          later.addFirst(asked);
        }
      }
    }
    later.forEach(asked -> asked.check(fields));
  }

  /** What a rule read at a moment. */
  private record Asked(TapeMoment moment, List<Double> then) {
    void check(List<Field.Number> fields) {
      for (int k = 0; k < fields.size(); k++) {
        Double now = Objects.requireNonNull(fields.get(k).fromTape()).at(moment);
        assertThat(now).as(fields.get(k).words()).isEqualTo(then.get(k));
      }
    }
  }
}
