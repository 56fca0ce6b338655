package kelvo.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.paint.Color;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Contrast of text on every ground, by the formula of WCAG 2.1 (relative luminance), from the
 * tokens.
 */
class ThemeTest {
  private static final double MIN = 4.5;
  private static final double MIN_OF_EDGES = 3;

  @ParameterizedTest
  @EnumSource(Theme.class)
  void everyTextColourCanBeReadOnEveryGround(Theme theme) {
    for (Tone text :
        new Tone[] {
          Tone.INK,
          Tone.FADED,
          Tone.ACCENT,
          Tone.UP,
          Tone.DOWN,
          Tone.GOOD,
          Tone.BAD,
          Tone.CATALYST,
          Tone.HALT
        }) {
      for (Tone ground : new Tone[] {Tone.GROUND, Tone.CARD, Tone.WASH, Tone.SELECTION}) {
        assertThat(contrast(theme.colour(text), theme.colour(ground)))
            .as("%s %s on %s", theme, text, ground)
            .isGreaterThanOrEqualTo(MIN);
      }
    }
  }

  @ParameterizedTest
  @EnumSource(Theme.class)
  void aHaltCanBeReadOnItsOwnGroundAndStandsOutFromTheRest(Theme theme) {
    Color ground = theme.colour(Tone.HALT_GROUND);

    assertThat(contrast(theme.colour(Tone.HALT_INK), ground)).isGreaterThanOrEqualTo(MIN);
    assertThat(ground.getSaturation()).isGreaterThan(theme.colour(Tone.CARD).getSaturation() + 0.2);
  }

  @ParameterizedTest
  @EnumSource(Theme.class)
  void edgesOfFieldsAndWhatHasTheKeysCanBeSeen(Theme theme) {
    for (Tone edge : new Tone[] {Tone.EDGE, Tone.ACCENT}) {
      for (Tone ground : new Tone[] {Tone.GROUND, Tone.CARD}) {
        assertThat(contrast(theme.colour(edge), theme.colour(ground)))
            .as("%s %s on %s", theme, edge, ground)
            .isGreaterThanOrEqualTo(MIN_OF_EDGES);
      }
    }
  }

  private static double contrast(Color a, Color b) {
    double first = luminance(a) + 0.05;
    double second = luminance(b) + 0.05;
    return Math.max(first, second) / Math.min(first, second);
  }

  private static double luminance(Color colour) {
    return 0.2126 * linear(colour.getRed())
        + 0.7152 * linear(colour.getGreen())
        + 0.0722 * linear(colour.getBlue());
  }

  private static double linear(double channel) {
    return channel <= 0.03928 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
  }
}
