package kelvo.news;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class ThemesTest {
  private static Themes.Mover mover(String symbol, double percent, double dollars) {
    return new Themes.Mover(symbol, "orbital towing", percent, dollars);
  }

  @Test
  void threeOfASectorThatRiseTogetherAreAThemeWithItsLeaderFirst() {
    List<Themes.Theme> themes =
        Themes.of(
            List.of(mover("TUGSAT", 9, 2e6), mover("ORBTOW", 14, 5e6), mover("LOFTRA", 7, 1e6)));

    assertThat(themes)
        .singleElement()
        .satisfies(t -> assertThat(t.members().getFirst().symbol()).isEqualTo("ORBTOW"));
  }

  @Test
  void movesInBothDirectionsOrWithLittleMoneyAreNone() {
    assertThat(
            Themes.of(
                List.of(
                    mover("TUGSAT", 9, 2e6), mover("ORBTOW", -14, 5e6), mover("LOFTRA", 7, 1e6))))
        .isEmpty();
    assertThat(
            Themes.of(
                List.of(
                    mover("TUGSAT", 9, 2e6), mover("ORBTOW", 14, 5e6), mover("LOFTRA", 7, 90_000))))
        .isEmpty();
  }
}
