package kelvo.universe;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Test;

class PastedSymbolsTest {
  private static final Set<String> LISTED = Set.of("KELPOR", "TIDARC", "ORBTOW");

  private static PastedSymbols in(String text) {
    return PastedSymbols.in(text, LISTED::contains);
  }

  @Test
  void symbolsAreFoundInAColumnInProseAndWithADollarSign() {
    assertThat(in("KELPOR\nTIDARC\r\nORBTOW").known()).isEqualTo(LISTED);
    assertThat(in("watch $KELPOR and (tidarc), maybe").known())
        .containsExactlyInAnyOrder("KELPOR", "TIDARC");
  }

  @Test
  void wordsInCapitalsThatAreNotListedAreTold() {
    PastedSymbols found = in("KELPOR, ZZZQQQ; $NOPE and the rest");

    assertThat(found.known()).containsExactly("KELPOR");
    assertThat(found.others()).containsExactly("ZZZQQQ", "$NOPE");
  }
}
