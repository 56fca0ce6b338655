package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import kelvo.history.CorporateAction;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.tape.Price;
import org.junit.jupiter.api.Test;

class RecordSheetTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 10);
  private static final DailyBarList BARS =
      DailyBarList.of(
          List.of(
              bar(-3, 9, 10, 9, 10),
              bar(0, 11, 15, 10.5, 14),
              bar(1, 13.3, 13.5, 11.9, 11.9),
              bar(2, 6, 6.5, 5.9, 6.3),
              bar(3, 6.3, 6.4, 6.2, 6.3)));

  private static DailyBar bar(int day, double open, double high, double low, double close) {
    return new DailyBar(
        DATE.plusDays(day),
        Price.of(open),
        Price.of(high),
        Price.of(low),
        Price.of(close),
        1_000,
        10);
  }

  private static RecordSheet.Day day(RecordSheet sheet, int number) {
    return Objects.requireNonNull(sheet.day(number));
  }

  @Test
  void daysAreToldFromTheCloseBefore() {
    RecordSheet sheet = RecordSheet.of(DATE, BARS, List.of(), LocalDate.MAX);

    assertThat(sheet.days()).hasSize(4);
    assertThat(day(sheet, 1).gap()).isCloseTo(10, within(1e-9));
    assertThat(day(sheet, 1).change()).isCloseTo(40, within(1e-9));
    assertThat(day(sheet, 2).gap()).isCloseTo(-5, within(1e-9));
    assertThat(day(sheet, 2).change()).isCloseTo(-15, within(1e-9));
    assertThat(sheet.day(5)).isNull();
  }

  @Test
  void aSplitSinceIsTakenOut() {
    List<CorporateAction> splits = List.of(new CorporateAction("TIDARC", DATE.plusDays(2), 2));
    RecordSheet sheet = RecordSheet.of(DATE, BARS, splits, LocalDate.MAX);

    assertThat(day(sheet, 3).bar().open()).isEqualTo(Price.of(12));
    assertThat(day(sheet, 3).change()).isCloseTo(100 * (12.6 - 11.9) / 11.9, within(1e-9));
  }

  @Test
  void nothingIsToldOfTheOpenDayAndLater() {
    assertThat(RecordSheet.of(DATE, BARS, List.of(), DATE.plusDays(1)).days()).hasSize(1);
    assertThat(RecordSheet.of(DATE, BARS, List.of(), DATE).days()).isEmpty();
  }

  @Test
  void withoutABarOfItsOwnDayThereIsNoSheet() {
    assertThat(RecordSheet.of(DATE.plusDays(4), BARS, List.of(), LocalDate.MAX).days()).isEmpty();
    assertThat(day(RecordSheet.of(DATE.minusDays(3), BARS, List.of(), LocalDate.MAX), 1).change())
        .isNaN();
  }
}
