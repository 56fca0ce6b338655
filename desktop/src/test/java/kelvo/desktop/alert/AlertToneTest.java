package kelvo.desktop.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class AlertToneTest {
  private static short at(byte[] samples, int place) {
    return (short) ((samples[2 * place] & 0xff) | samples[2 * place + 1] << 8);
  }

  @ParameterizedTest
  @EnumSource(AlertTone.class)
  void aToneIsShortIsHeardAndNeitherBeginsNorEndsWithAClick(AlertTone tone) {
    byte[] samples = tone.samples();
    int count = samples.length / 2;
    int loudest = 0;
    for (int i = 0; i < count; i++) {
      loudest = Math.max(loudest, Math.abs(at(samples, i)));
    }

    assertThat(count).isBetween(2_000, AlertTone.SAMPLES_A_SECOND);
    assertThat(loudest).isBetween(Short.MAX_VALUE / 2, (int) Short.MAX_VALUE);
    assertThat(Math.abs(at(samples, 0))).isLessThan(300);
    assertThat(Math.abs(at(samples, count - 1))).isLessThan(600);
  }

  /** How often a tone comes anew, and whether its waves grow shorter: its shape, not its pitch. */
  private record Shape(long onsets, int slope, double seconds) {
    static Shape of(AlertTone tone) {
      byte[] samples = tone.samples();
      int count = samples.length / 2;
      int window = AlertTone.SAMPLES_A_SECOND / 50;
      boolean[] sounds = new boolean[count / window];
      for (int w = 0; w < sounds.length; w++) {
        for (int i = 0; i < window; i++) {
          sounds[w] |= Math.abs(at(samples, w * window + i)) > Short.MAX_VALUE / 4;
        }
      }
      long onsets = 0;
      for (int w = 0; w < sounds.length; w++) {
        onsets += sounds[w] && (w == 0 || !sounds[w - 1]) ? 1 : 0;
      }
      int half = count / 2;
      int slope = Integer.compare(crossings(samples, half, count), crossings(samples, 0, half));
      return new Shape(onsets, slope, count / (double) AlertTone.SAMPLES_A_SECOND);
    }

    private static int crossings(byte[] samples, int from, int to) {
      int crossings = 0;
      for (int i = from + 1; i < to; i++) {
        crossings += at(samples, i - 1) < 0 != at(samples, i) < 0 ? 1 : 0;
      }
      return crossings / 20;
    }
  }

  @Test
  void allSixInTurnAreLongerThanEachAndEndInSilence() {
    byte[] all = AlertTone.inTurn();
    int each = Arrays.stream(AlertTone.values()).mapToInt(tone -> tone.samples().length).sum();

    assertThat(all.length).isGreaterThan(each);
    assertThat(at(all, all.length / 2 - 1)).isZero();
  }

  @Test
  void theSixDifferInShape() {
    assertThat(Arrays.stream(AlertTone.values()).map(Shape::of).distinct()).hasSize(6);
    assertThat(Shape.of(AlertTone.DOUBLE).onsets()).isEqualTo(2);
    assertThat(Shape.of(AlertTone.TRIPLE).onsets()).isEqualTo(3);
    assertThat(Shape.of(AlertTone.RISING).slope()).isEqualTo(1);
    assertThat(Shape.of(AlertTone.FALLING).slope()).isEqualTo(-1);
  }
}
