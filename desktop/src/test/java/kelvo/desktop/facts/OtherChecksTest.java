package kelvo.desktop.facts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import kelvo.check.Check;
import org.junit.jupiter.api.Test;

class OtherChecksTest {
  private static List<Check> checks(int passing, int failing) {
    return Stream.concat(
            Collections.nCopies(passing, new Check("kind", Check.Result.PASS, "")).stream(),
            Collections.nCopies(failing, new Check("spread", Check.Result.FAIL, "")).stream())
        .toList();
  }

  @Test
  void onlyThoseThatPassAreCountedAsPassing() {
    assertThat(OtherChecks.words(checks(9, 0))).isEqualTo("and 9 that pass");
    assertThat(OtherChecks.words(checks(1, 0))).isEqualTo("and 1 that passes");
    assertThat(OtherChecks.words(checks(7, 3)))
        .isEqualTo("and 3 more that do not pass, 7 that pass");
    assertThat(OtherChecks.words(checks(0, 1))).isEqualTo("and 1 more that does not pass");
    assertThat(OtherChecks.words(List.of())).isEmpty();
  }
}
