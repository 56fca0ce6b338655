package kelvo.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import kelvo.history.CorporateAction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against ISO 10962's categories and groups, from memory. */
class SecurityKindTest {
  @ParameterizedTest
  @CsvSource({
    "ESVUFR, common stock", "EPNXAR, preferred", "EDSXFB, depositary receipt", "CEOGES, fund",
        "CIOIES, fund",
    "RWSTCA, warrant", "RSSXXR, right", "EUOXXX, unit", "DBFTFB, other", "E, other"
  })
  void followsTheFirstTwoLetters(String cfi, String words) {
    assertThat(SecurityKind.ofCfi(cfi).words()).isEqualTo(words);
  }

  @Test
  void splitsAreToldInWords() {
    LocalDate day = LocalDate.of(2031, 3, 12);

    assertThat(new CorporateAction("SONWEL", day, 0.1).words()).isEqualTo("1-for-10 reverse split");
    assertThat(new CorporateAction("SONWEL", day, 3).words()).isEqualTo("3-for-1 split");
    assertThat(new CorporateAction("SONWEL", day, 1.5).words()).isEqualTo("1.5-for-1 split");
  }
}
