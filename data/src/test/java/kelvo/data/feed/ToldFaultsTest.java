package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ToldFaultsTest {
  private final List<String> told = new ArrayList<>();
  private final ToldFaults faults = new ToldFaults(told::add);

  @Test
  void eventsThatAreWrongInTheSameWayAreToldOnceAndCounted() {
    for (int frame = 1; frame <= 150_000; frame++) {
      faults.add(
          "frame " + frame + ", event 3: expected a price below 100 million, found -" + frame);
      faults.add("no security has the symbol \"S" + frame % 977 + "\"; it was left out");
    }
    faults.summary();

    assertThat(told)
        .containsExactly(
            "frame 1, event 3: expected a price below 100 million, found -1",
            "no security has the symbol \"S1\"; it was left out",
            "300000 faults in all, 299998 of them like those that were told");
    assertThat(faults.count()).isEqualTo(300_000);
  }

  @Test
  void afterTenKindsTheRestIsOnlyCounted() {
    for (char kind = 'a'; kind <= 'z'; kind++) {
      faults.add("wrong in the way " + kind);
    }
    faults.summary();

    assertThat(told).hasSize(12);
    assertThat(told.get(10)).startsWith("more is wrong in other ways");
    assertThat(told.getLast()).startsWith("26 faults in all");
  }

  @Test
  void noSentenceIsLongerThanTwoHundredCharacters() {
    faults.add("expected a symbol, found " + "x".repeat(10_000_000));

    assertThat(told).singleElement().asString().hasSizeLessThanOrEqualTo(200).endsWith(" ..");
  }
}
