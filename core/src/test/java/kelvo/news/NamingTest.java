package kelvo.news;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NamingTest {
  @ParameterizedTest
  @CsvSource({
    "TIDARC wins a pier, TIDARC, true",
    "Tide tables for TIDARC, TIDARC, true",
    "PRETIDARCS are no such thing, TIDARC, false",
    "tidarc in small letters, TIDARC, false",
    "A record quarter for all, A, false",
    "Quay (XNYS: A) reports, A, true",
    "Quay (A) reports, A, true",
    "Traders like $A today, A, true"
  })
  void aSymbolIsAWordOfItsOwn(String headline, String symbol, boolean named) {
    assertThat(Naming.namesSymbol(headline, symbol)).isEqualTo(named);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Quay Robotics launches a crane | Quay Robotics, Inc. | true",
        "QUAY ROBOTICS LAUNCHES A CRANE | Quay Robotics Inc. | true",
        "Quay Robotics' crane stands | Quay Robotics Corp | true",
        "Quayside life goes on | Quay Co. | false",
        "The harbour is calm | Quay Robotics, Inc. | false"
      })
  void aCompanyIsNamedWithoutItsLegalForm(String headline, String company, boolean named) {
    assertThat(Naming.names(headline.strip(), "ZZZZZZ", company.strip())).isEqualTo(named);
  }

  @Test
  void aNameThatIsALegalFormAloneStaysAsItIs() {
    assertThat(Naming.spoken("Company")).isEqualTo("Company");
    assertThat(Naming.spoken("Quay Holdings Co., Ltd.")).isEqualTo("Quay Holdings");
  }

  @Test
  void anItemOfSeveralSymbolsIsAboutTheOneItNames() {
    Catalyst item =
        new Catalyst(0, "Wire", "Quay Robotics buys a yard", "", List.of("QUAYRO", "YARDCO"));

    assertThat(item.isAbout("QUAYRO", "Quay Robotics, Inc.")).isTrue();
    assertThat(item.isAbout("YARDCO", "Yard Company")).as("a yard, in small letters").isTrue();
    assertThat(item.isAbout("OTHERS", "Quay Robotics, Inc.")).isFalse();
  }
}
