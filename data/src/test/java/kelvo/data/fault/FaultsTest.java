package kelvo.data.fault;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class FaultsTest {
  private static Fault fault(String file, long line, String column) {
    return new Fault(file, line, column, "a price above 0", "x");
  }

  @Test
  void manyOfAKindAreToldInOneSentenceWithTheirCount() {
    Faults faults = new Faults();
    for (int line = 1; line <= 255_044; line++) {
      faults.add(fault("trades.csv", line, "price"));
    }
    faults.add(fault("trades.csv", 3, "size"));
    for (int line = 1; line <= Faults.MAX_OF_A_KIND; line++) {
      faults.add(fault("quotes.csv", line, "bid"));
    }

    assertThat(faults.count()).isEqualTo(255_055);
    assertThat(faults.leftOut("trades.csv")).isEqualTo(255_045);
    assertThat(faults.all()).hasSize(2 * Faults.MAX_OF_A_KIND + 1);
    assertThat(faults.sentences())
        .hasSize(Faults.MAX_OF_A_KIND + 2)
        .contains(
            "trades.csv, line 1, column price: expected a price above 0, found \"x\"; the line was left"
                + " out; and 255,043 more, the last in line 255044");
  }

  @Test
  void whatIsCountedIsTakenOverAndNothingIsForgotten() {
    Faults faults = new Faults();
    for (int line = 1; line <= 50; line++) {
      faults.add(fault("trades.csv", line, "price"));
    }
    for (int kind = 1; kind <= Faults.MAX_KINDS; kind++) {
      faults.add(fault("trades.csv", 1, "column " + kind));
    }
    Faults others = new Faults();
    others.addAll(faults);

    assertThat(others.isWhole()).isFalse();
    assertThat(others.count()).isEqualTo(faults.count()).isEqualTo(50 + Faults.MAX_KINDS);
    assertThat(others.sentences())
        .isEqualTo(faults.sentences())
        .endsWith("One more fault of another kind.");
  }

  @Test
  void aSentenceIsShortHoweverLongTheLine() {
    Fault fault = new Fault("trades.csv", 7, "price", "a price above 0", "y\n".repeat(3_000_000));

    assertThat(fault.sentence())
        .hasSizeLessThanOrEqualTo(Fault.LONGEST)
        .contains("y y y")
        .endsWith("…\"; the line was left out");
    assertThat(new Fault("f".repeat(300), 1, "", "x", "y").sentence()).hasSize(Fault.LONGEST);
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
