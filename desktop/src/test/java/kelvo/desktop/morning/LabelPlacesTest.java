package kelvo.desktop.morning;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class LabelPlacesTest {
  private final LabelPlaces places = new LabelPlaces();

  @Test
  void aPlaceIsTakenOnce() {
    assertThat(places.take(10, 40, 50)).isTrue();
    assertThat(places.take(45, 40, 55)).isFalse();
    assertThat(places.take(50, 40, 50)).isTrue();
    assertThat(places.take(10, 40, 62)).isTrue();
  }

  @Test
  void goesUpFirstAndThenDown() {
    places.take(0, 100, 50);

    assertThat(places.takeNear(0, 100, 50, 8, 200).orElseThrow()).isEqualTo(38);
    assertThat(places.takeNear(0, 100, 50, 30, 200).orElseThrow()).isEqualTo(62);
  }

  @Test
  void aFullPictureGetsNoLabel() {
    places.take(0, 100, 50);

    assertThat(places.takeNear(0, 100, 50, 45, 55)).isEmpty();
  }
}
