package kelvo.desktop.grid;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class ShownOrderTest {
  private static List<String> sorted(boolean descending, String... cells) {
    GridColumn<String> column = GridColumn.numbers("x", "", 50, cell -> cell);
    return List.of(cells).stream().sorted(ShownOrder.of(column, descending)).toList();
  }

  @Test
  void numbersGoBySizeWhateverTheirUnit() {
    assertThat(sorted(false, "2.4M", "688K", "9,120", "-3.1%", "+12.0%", "$1.50"))
        .containsExactly("-3.1%", "$1.50", "+12.0%", "9,120", "688K", "2.4M");
  }

  @Test
  void emptyCellsComeLastInBothDirections() {
    assertThat(sorted(false, "", "2", "1")).containsExactly("1", "2", "");
    assertThat(sorted(true, "", "2", "1")).containsExactly("2", "1", "");
  }

  @Test
  void clearIsMoreThanAnyNumberAndWordsGoByLetter() {
    assertThat(sorted(true, "5.0", "clear", "99.1")).containsExactly("clear", "99.1", "5.0");
    assertThat(sorted(false, "TIDARC", "KELPOR")).containsExactly("KELPOR", "TIDARC");
  }
}
