package kelvo.desktop.grid;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.desktop.theme.Theme;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class ColumnWidthsTest {
  private static final List<GridColumn<String>> COLUMNS =
      List.of(
          GridColumn.symbols(row -> row),
          GridColumn.numbers("a title that is longer than its numbers", "", 20, row -> row),
          GridColumn.<String>words("why", "", 100, row -> row).growing(1),
          GridColumn.<String>words("headline", "", 100, row -> row).growing(3));

  @BeforeAll
  static void fonts() {
    Theme.loadFonts();
  }

  @Test
  void whatIsLeftGoesToThoseThatGrow() {
    ColumnWidths widths = new ColumnWidths(COLUMNS, 900);

    assertThat(widths.width(0)).isEqualTo(74);
    assertThat(widths.width(1)).isGreaterThan(120);
    double more = widths.width(2) - 100;
    assertThat(widths.width(3) - 100)
        .isCloseTo(3 * more, org.assertj.core.api.Assertions.within(3.0));
    assertThat(widths.all()).isLessThanOrEqualTo(900).isGreaterThan(890);
  }

  @Test
  void columnsThatNeedMoreThanThereIsKeepTheirWidths() {
    ColumnWidths widths = new ColumnWidths(COLUMNS, 200);

    assertThat(widths.width(2)).isEqualTo(100);
    assertThat(widths.all()).isGreaterThan(200);
    assertThat(widths.at(30)).isZero();
    assertThat(widths.at(10_000)).isEqualTo(-1);
  }
}
