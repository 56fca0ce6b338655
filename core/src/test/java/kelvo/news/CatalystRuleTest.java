package kelvo.news;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

class CatalystRuleTest {
  private static final Catalyst ITEM =
      new Catalyst(
          0,
          "Harbour Wire",
          "Tidal Arc Power wins $90 million contract, sector cheers",
          "",
          List.of("TIDARC", "BASINP"));

  private static boolean fits(String rule) {
    return CatalystRule.parse(rule).fits(ITEM, "TIDARC", "Tidal Arc Power");
  }

  @Test
  void oneItemMustMeetEveryPart() {
    assertThat(fits("tone above 0.3, category contract, subject")).isTrue();
    assertThat(fits("tone above 0.3, category contract, weight high")).isFalse();
    assertThat(fits("weight at least medium, source harbour wire")).isTrue();
    assertThat(fits("category is one of earnings or contract")).isTrue();
    assertThat(fits("category is not contract")).isFalse();
    assertThat(fits("tone below 0")).isFalse();
    assertThat(fits("")).isTrue();
  }

  @Test
  void aSecurityThatIsOnlyMentionedIsNoSubject() {
    assertThat(CatalystRule.parse("subject").fits(ITEM, "BASINP", "Basin Power")).isFalse();
    assertThat(CatalystRule.parse("mention").fits(ITEM, "BASINP", "Basin Power")).isTrue();
    assertThat(fits("mention")).isFalse();
  }

  @Test
  void saysWhatItExpected() {
    assertThatThrownBy(() -> CatalystRule.parse("tone above 3"))
        .hasMessageContaining("between -1 and 1");
    assertThatThrownBy(() -> CatalystRule.parse("category erning"))
        .hasMessageContaining("no news category is called \"erning\"")
        .hasMessageContaining("did you mean earnings?");
    assertThatThrownBy(() -> CatalystRule.parse("loud")).hasMessageContaining("\"loud\"");
  }
}
