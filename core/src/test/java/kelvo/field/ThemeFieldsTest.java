package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** Six stocks of one sector that closed at $10. */
class ThemeFieldsTest {
  private static final long NOW = DayTime.of(10, 0);

  private final Session session =
      TestSessions.of(
          6,
          tape -> {
            trade(tape, 0, "10.60", 100_000);
            trade(tape, 1, "11.00", 200_000);
            trade(tape, 2, "10.80", 90_000);
            trade(tape, 3, "9.00", 300_000);
            trade(tape, 4, "10.40", 300_000);
            trade(tape, 5, "12.00", 20_000);
          });
  private final TapeReplay replay = new TapeReplay(session);

  private static void trade(EventTape tape, int security, String price, long shares) {
    tape.trade(NOW + security, security, Price.parse(price), shares, SaleCondition.REGULAR.bit());
  }

  private double value(String words, int security) {
    return FieldCatalogue.number(words).bind(session).at(replay.state(security), NOW);
  }

  private String leader(int security) {
    Field.Word leader = (Field.Word) FieldCatalogue.find("theme leader").orElseThrow();
    return leader.of(replay.state(security), NOW);
  }

  /** The 4% stock moves too little, and the 20% one on $240K trades too little. */
  @Test
  void theMoversOfTheSectorInItsDirectionAreItsTheme() {
    replay.runTo(NOW + DayTime.SECOND);

    assertThat(value("theme movers", 0)).isEqualTo(3);
    assertThat(value("theme change", 0)).isEqualTo(8);
    assertThat(leader(0)).isEqualTo("BBBBBB");
    assertThat(value("theme movers", 4)).as("a riser that moves little itself").isEqualTo(3);
    assertThat(value("theme movers", 3)).isEqualTo(1);
    assertThat(leader(3)).isEqualTo("DDDDDD");
  }

  @Test
  void aThemeGrowsWithEveryEvent() {
    replay.runTo(NOW);
    assertThat(value("theme movers", 0)).isEqualTo(1);
    replay.runTo(NOW + 1);
    assertThat(value("theme movers", 0)).isEqualTo(2);
    assertThat(value("theme change", 0)).isEqualTo(8);
    assertThat(value("theme change", 5)).as("not traded yet").isNaN();
  }
}
