package kelvo.setting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.stream.Collectors;
import kelvo.alert.AlertLimits;
import kelvo.review.ReviewSettings;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.trade.CostMethod;
import org.junit.jupiter.api.Test;

class SettingsTest {
  @Test
  void whatShipsIsAllowedAndIsWhatTheCoreStartsWith() {
    for (Setting setting : SettingCatalogue.ALL) {
      assertThat(setting.allowed().checked(setting.initial()))
          .as(setting.key())
          .isEqualTo(setting.initial());
    }
    assertThat(Settings.NONE.phases()).isEqualTo(Phases.DEFAULT);
    assertThat(Settings.NONE.review()).isEqualTo(ReviewSettings.DEFAULT);
    assertThat(Settings.NONE.alerts()).isEqualTo(AlertLimits.DEFAULT);
  }

  @Test
  void keysAreDifferent() {
    assertThat(SettingCatalogue.ALL.stream().map(Setting::key).collect(Collectors.toSet()))
        .hasSameSizeAs(SettingCatalogue.ALL);
  }

  @Test
  void aValueOutsideItsBoundsIsRefusedWithWhatIsAllowed() {
    assertThatThrownBy(() -> Settings.NONE.with(SettingCatalogue.VOLUME, "120"))
        .hasMessage("expected a number from 5 to 100, found \"120\"");
    assertThatThrownBy(() -> Settings.NONE.with(SettingCatalogue.THEME, "sepia"))
        .hasMessage("expected daybreak or night, found \"sepia\"");
    assertThatThrownBy(() -> Settings.NONE.with(SettingCatalogue.POPUPS, "maybe"))
        .hasMessage("expected true or false, found \"maybe\"");
    assertThatThrownBy(() -> Settings.NONE.with(SettingCatalogue.MIDDAY, "noon"))
        .hasMessageContaining("expected a time such as 09:30");
  }

  @Test
  void phasesBeginWhereTheyAreSetAndEndWhereTheNextBegins() {
    Phases phases = Settings.NONE.with(SettingCatalogue.MIDDAY, "12:00").phases();

    assertThat(phases.at(DayTime.of(11, 45)).name()).isEqualTo("morning");
    assertThat(phases.at(DayTime.of(12, 0)).name()).isEqualTo("midday");
    assertThatThrownBy(() -> Settings.NONE.with(SettingCatalogue.MIDDAY, "13:30"))
        .hasMessage("midday must begin before afternoon does at 13:00");
    assertThatThrownBy(() -> Settings.NONE.with(SettingCatalogue.PREMARKET, "09:45"))
        .hasMessage("premarket must begin before opening does at 09:30");
  }

  @Test
  void theReviewGoesByWhatIsSet() {
    ReviewSettings review =
        Settings.NONE
            .with(SettingCatalogue.LATE_CHASE, "3.5")
            .with(SettingCatalogue.COST, "Average cost")
            .with(SettingCatalogue.FEE_PER_SHARE, "0.005")
            .review();

    assertThat(review.lateChasePercent()).isEqualTo(3.5);
    assertThat(review.cost()).isEqualTo(CostMethod.AVERAGE_COST);
    assertThat(review.fees().perShare()).isEqualByComparingTo(new BigDecimal("0.005"));
    assertThat(review.moveGap()).isEqualTo(ReviewSettings.DEFAULT.moveGap());
  }

  @Test
  void theValueThatShipsIsKeptAsNothing() {
    Settings loud = Settings.NONE.with(SettingCatalogue.VOLUME, "100");

    assertThat(loud.isSet(SettingCatalogue.VOLUME)).isTrue();
    assertThat(loud.with(SettingCatalogue.VOLUME, "80.0")).isEqualTo(Settings.NONE);
  }
}
