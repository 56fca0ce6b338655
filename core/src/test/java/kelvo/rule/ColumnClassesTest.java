package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.hit.RandomSessions;
import kelvo.session.Session;
import org.junit.jupiter.api.Test;

class ColumnClassesTest {
  private static final Field.Number VOLUME = FieldCatalogue.number("volume");
  private static final Field.Number TRADES = FieldCatalogue.number("trades");

  private final Session session = RandomSessions.of(3, 2, 200);
  private final SharedReadings shared = new SharedReadings(session);

  @Test
  void rowsOfTheSameFieldsShareTheirClasses() {
    assertThat(column(List.of(VOLUME, TRADES)))
        .hasSameClassAs(column(List.of(VOLUME, TRADES)))
        .isNotInstanceOf(FieldColumn.class);
  }

  /** Else a call would go different ways in one class. */
  @Test
  void aFieldHasAClassForEachRowThatFollows() {
    Class<?> alone = column(List.of(VOLUME)).getClass();

    assertThat(column(List.of(VOLUME, TRADES)).getClass()).isNotEqualTo(alone);
    assertThat(column(List.of(TRADES)).getClass()).isNotEqualTo(alone);
  }

  private Column column(List<Field.Number> fields) {
    Column.Setting setting =
        new Column.Setting(
            shared,
            shared.placeOf(fields.getFirst()),
            new short[session.securities().size()],
            0,
            1,
            new Column.Reopening());
    return ColumnClasses.of(fields, setting, Column.END);
  }
}
