package kelvo.data.file;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;

/**
 * Cells that begin with = + - @, a tab or a carriage return are run by spreadsheets: "CSV
 * Injection" of the Open Worldwide Application Security Project (from memory).
 */
class SpreadsheetCellTest {
  @Test
  void whatASpreadsheetWouldRunIsMadeText() {
    assertThat(SpreadsheetCell.of("=HYPERLINK(\"x\")")).isEqualTo("'=HYPERLINK(\"x\")");
    assertThat(SpreadsheetCell.of("@SUM(A1)")).startsWith("'");
    assertThat(SpreadsheetCell.of("-cmd")).startsWith("'");
    assertThat(SpreadsheetCell.of("\t=1")).startsWith("'");
  }

  @Test
  void numbersAndPlainWordsStayAsTheyAre() {
    for (String plain : new String[] {"", "-12.50", "+3", "-1,250.00", "-3.5%", "a = b", "'tis"}) {
      assertThat(SpreadsheetCell.of(plain)).isEqualTo(plain);
    }
  }

  @Property(tries = 2_000)
  void everyTextComesBack(
      @ForAll
          @StringLength(max = 6)
          @CharRange(from = '%', to = '@')
          @CharRange(from = '\t', to = '\r')
          String text) {
    assertThat(SpreadsheetCell.text(SpreadsheetCell.of(text))).isEqualTo(text);
    assertThat(SpreadsheetCell.of(text)).doesNotMatch("(?s)[=@].*");
  }
}
