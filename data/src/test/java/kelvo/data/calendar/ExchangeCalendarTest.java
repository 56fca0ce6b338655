package kelvo.data.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.stream.Stream;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Against the exchanges' published holidays and hours; dates from memory. */
class ExchangeCalendarTest {
  private final ExchangeCalendar calendar = new ExchangeCalendar();

  private List<LocalDate> weekdaysClosed(int year) {
    return Stream.iterate(LocalDate.of(year, 1, 1), d -> d.getYear() == year, d -> d.plusDays(1))
        .filter(d -> d.getDayOfWeek() != DayOfWeek.SATURDAY && d.getDayOfWeek() != DayOfWeek.SUNDAY)
        .filter(d -> calendar.hours(d).kind() == SessionHours.Kind.CLOSED)
        .toList();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2024 | 01-01 01-15 02-19 03-29 05-27 06-19 07-04 09-02 11-28 12-25",
        "2025 | 01-01 01-09 01-20 02-17 04-18 05-26 06-19 07-04 09-01 11-27 12-25",
        "2026 | 01-01 01-19 02-16 04-03 05-25 06-19 07-03 09-07 11-26 12-25",
        "2027 | 01-01 01-18 02-15 03-26 05-31 06-18 07-05 09-06 11-25 12-24"
      })
  void closesOnThePublishedHolidays(int year, String days) {
    assertThat(weekdaysClosed(year))
        .extracting(d -> d.toString().substring(5))
        .containsExactly(days.split(" "));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "2024-07-03",
        "2024-11-29",
        "2024-12-24",
        "2025-07-03",
        "2025-11-28",
        "2025-12-24",
        "2026-11-27",
        "2026-12-24",
        "2027-11-26"
      })
  void closesEarlyOnThePublishedDays(String date) {
    assertThat(calendar.hours(LocalDate.parse(date)).close()).isEqualTo(DayTime.of(13, 0));
  }

  @ParameterizedTest
  @ValueSource(strings = {"2026-07-02", "2027-07-02", "2027-12-23", "2031-03-12"})
  void isOpenAllDayOtherwise(String date) {
    assertThat(calendar.hours(LocalDate.parse(date)))
        .isEqualTo(SessionHours.full(LocalDate.parse(date)));
  }

  /** Thanksgiving, an early Friday, a weekend: the Monday's session before closed at 13:00. */
  @ParameterizedTest
  @CsvSource({
    "2026-11-30, 13:00, 3",
    "2026-11-27, 16:00, 2",
    "2027-01-19, 16:00, 4",
    "2027-01-20, 16:00, 1"
  })
  void theCloseBeforeIsThatOfTheSessionBefore(LocalDate date, String close, int daysBack) {
    assertThat(calendar.hours(date).previousClose())
        .isEqualTo(DayTime.parse(close) - daysBack * DayTime.DAY);
  }

  @Test
  void theSessionBeforeAMondayHolidayIsTheFriday() {
    assertThat(calendar.before(LocalDate.of(2027, 1, 19))).isEqualTo(LocalDate.of(2027, 1, 15));
    assertThat(calendar.within(LocalDate.of(2027, 1, 14), LocalDate.of(2027, 1, 19), 2)).isTrue();
    assertThat(calendar.within(LocalDate.of(2027, 1, 13), LocalDate.of(2027, 1, 19), 2)).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "2031-03-07T14:30:00Z, 09:30:00",
    "2031-03-10T13:30:00Z, 09:30:00",
    "2031-10-31T13:30:00Z, 09:30:00",
    "2031-11-03T14:30:00Z, 09:30:00"
  })
  void newYorkOpensAtHalfPastNineOnBothSidesOfBothClockChanges(String instant, String there) {
    long moment =
        ZonedDateTime.parse(instant)
            .withZoneSameInstant(DayTime.NEW_YORK)
            .toLocalTime()
            .toNanoOfDay();

    assertThat(DayTime.seconds(moment)).isEqualTo(there);
  }
}
