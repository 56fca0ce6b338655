package kelvo.data.fault;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class FaultsTest {
  private static Fault fault(String file, long line, String column) {
    return new Fault(file, line, column, "a price above 0", "x");
  }

  @Test
  void theFirstThousandAreKeptAndTheRestCountedByKind() {
    Faults faults = new Faults();
    for (int line = 1; line <= 700; line++) {
      faults.add(fault("trades.csv", line, "price"));
      faults.add(fault("quotes.csv", line, "bid"));
    }

    assertThat(faults.count()).isEqualTo(1_400);
    assertThat(faults.all()).hasSize(Faults.MAX_KEPT);
    assertThat(faults.sentences())
        .hasSize(Faults.MAX_KEPT + 2)
        .contains(
            "trades.csv, column price: 200 more: expected a price above 0",
            "quotes.csv, column bid: 200 more: expected a price above 0");
  }

  @Test
  void theyAreToldByFileAndLine() {
    Faults faults = new Faults();
    faults.add(fault("trades.csv", 12, "price"));
    faults.add(fault("quotes.csv", 3, ""));
    faults.add(fault("trades.csv", 2, "price"));
    faults.add(new Fault("trades.csv", 20, "seq", "a number above 9", "8", false));

    assertThat(faults.sentences())
        .containsExactly(
            "quotes.csv, line 3: expected a price above 0, found \"x\"; the line was left out",
            "trades.csv, line 2, column price: expected a price above 0, found \"x\"; the line was left out",
            "trades.csv, line 12, column price: expected a price above 0, found \"x\"; the line was left out",
            "trades.csv, line 20, column seq: expected a number above 9, found \"8\"; the line counts all the same");
  }
}
