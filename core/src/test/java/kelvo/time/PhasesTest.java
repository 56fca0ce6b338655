package kelvo.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PhasesTest {
  @Test
  void onAnEarlyCloseTheAfternoonEndsAndAfterHoursBeginAtTheClose() {
    SessionHours early =
        new SessionHours(
            LocalDate.of(2031, 11, 28),
            SessionHours.Kind.EARLY_CLOSE,
            DayTime.of(13, 0),
            -8 * DayTime.HOUR);
    Phases phases = Phases.DEFAULT.in(early);

    assertThat(phases.at(DayTime.of(12, 59)).name()).isEqualTo("midday");
    assertThat(phases.at(DayTime.of(13, 0)).name()).isEqualTo("after hours");
    assertThat(phases.at(DayTime.of(15, 30)).name()).isEqualTo("after hours");
    assertThat(phases.indexOf("close")).as("rules may still name it").isPresent();
    assertThat(Phases.DEFAULT.in(SessionHours.full(LocalDate.of(2031, 3, 12))))
        .isEqualTo(Phases.DEFAULT);
  }

  @ParameterizedTest
  @CsvSource({
    "04:00, early",
    "06:59:59, early",
    "07:00, premarket",
    "09:30, opening",
    "15:59:59.999, close",
    "16:00, after hours",
    "20:00, after hours"
  })
  void everyMomentHasItsPhase(String time, String phase) {
    assertThat(Phases.DEFAULT.at(DayTime.parse(time)).name()).isEqualTo(phase);
  }

  @Test
  void phasesWithAGapAreRefused() {
    assertThatThrownBy(() -> new Phases(List.of(new Phase("a", 0, 10), new Phase("b", 11, 20))))
        .hasMessageContaining("b must start where a ends");
  }

  @ParameterizedTest
  @ValueSource(strings = {"9", "abc", "25:00"})
  void aWrongTimeIsQuoted(String text) {
    assertThatThrownBy(() -> DayTime.parse(text)).hasMessageContaining("\"" + text + "\"");
  }
}
