package kelvo.trackrecord;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.hit.Hit;
import kelvo.hit.TestSessions;
import kelvo.journal.DayBook;
import kelvo.journal.JournalPage;
import kelvo.journal.Remark;
import kelvo.journal.Subject;
import kelvo.review.DayReview;
import kelvo.review.ReviewSettings;
import kelvo.review.ReviewedTrade;
import kelvo.review.TradeGroup;
import kelvo.review.TradeGrouping;
import kelvo.session.Session;
import kelvo.statistics.MeanInterval;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.TestFills;
import org.apache.commons.math3.stat.descriptive.moment.Mean;
import org.junit.jupiter.api.Test;

class TrackRecordTest {
  private static final LocalDate DATE = TestSessions.DATE;

  /** Sessions of other dates, each with trades of given results. */
  private static TrackRecord record(SplittableRandom random, int sessions) {
    List<PastReview> reviews = new ArrayList<>();
    for (int day = 0; day < sessions; day++) {
      reviews.add(review(DATE.plusDays(day), random, JournalPage.EMPTY));
    }
    return TrackRecord.of(reviews.reversed());
  }

  private static PastReview review(LocalDate date, SplittableRandom random, JournalPage page) {
    List<Fill> fills = new ArrayList<>();
    int trades = random.nextInt(4);
    for (int i = 0; i < trades; i++) {
      double price = 1 + random.nextInt(6_000) / 100.0;
      double exit = price + random.nextInt(-50, 51) / 100.0;
      fills.add(TestFills.fill("%02d:01:01 AAAAAA buy 100 %.2f".formatted(10 + i, price)));
      fills.add(TestFills.fill("%02d:30:01 AAAAAA sell 100 %.2f".formatted(10 + i, exit)));
    }
    Session session = TestSessions.on(date);
    DayBook book = DayBook.EMPTY.withFills(fills).with(page);
    return new PastReview(
        date,
        DayReview.of(
            session, List.of(), List.<Hit>of(), book, ReviewSettings.DEFAULT, DayTime.LAST),
        List.of(),
        page);
  }

  @Test
  void theEquityLineEndsAtTheSumOfAllResultsToTheCentAndItsDeepestFallIsTheDrawdown() {
    for (long seed = 1; seed <= 30; seed++) {
      TrackRecord record = record(new SplittableRandom(seed), 12);
      List<EquityPoint> line = record.equity();
      BigDecimal net =
          record.trades().stream()
              .map(trade -> trade.trade().result())
              .reduce(BigDecimal.ZERO, BigDecimal::add);

      assertThat(line).hasSameSizeAs(record.trades());
      assertThat(line.isEmpty() ? 0 : line.getLast().sum()).isEqualTo(net.doubleValue());
      assertThat(line.stream().mapToDouble(EquityPoint::fall).max().orElse(0))
          .isCloseTo(record.totals().drawdown(), within(1e-6));
    }
  }

  @Test
  void tradesAreInOrderOfTheirSessionsAndPeriodsShareThemOut() {
    TrackRecord record = record(new SplittableRandom(7), 40);

    assertThat(record.trades()).isSortedAccordingTo(ReviewedTrade.BY_EXIT);
    int byWeek = 0;
    for (LocalDate monday = DATE.with(java.time.DayOfWeek.MONDAY);
        monday.isBefore(DATE.plusDays(40));
        monday = monday.plusWeeks(1)) {
      byWeek += record.over(Period.WEEK, monday.plusDays(3)).trades().size();
    }
    assertThat(byWeek).isEqualTo(record.trades().size());
    assertThat(record.over(Period.DAY, DATE).sessions()).hasSize(1);
    assertThat(record.over(Period.ALL, DATE)).isEqualTo(record);
    assertThat(record.over(Period.MONTH, DATE).sessions())
        .allMatch(one -> one.date().getMonth() == DATE.getMonth());
  }

  @Test
  void theLastHundredTradesAreThoseWithTheirSessions() {
    TrackRecord record = record(new SplittableRandom(3), 120);
    TrackRecord last = record.over(Period.LAST_100, DATE);

    assertThat(record.trades()).hasSizeGreaterThan(100);
    assertThat(last.trades())
        .hasSize(100)
        .isEqualTo(record.trades().subList(record.trades().size() - 100, record.trades().size()));
    assertThat(last.sessions().getFirst().date())
        .isEqualTo(last.trades().getFirst().context().date());
  }

  @Test
  void noSessionLaterThanTheOneLookedFromIsIn() {
    List<CalendarDay> days = new ArrayList<>();
    for (int day = 0; day < 60; day++) {
      days.add(
          new CalendarDay(
              DATE.plusDays(day),
              day % 7 == 3 ? CalendarDay.Known.NOTHING : CalendarDay.Known.PRINTS,
              3,
              BigDecimal.ONE,
              false));
    }
    LocalDate today = DATE.plusDays(40);
    for (Period period : Period.values()) {
      assertThat(period.sessions(days, today, today))
          .as(period.words())
          .isSorted()
          .allMatch(date -> !date.isAfter(today))
          .contains(today);
    }
    assertThat(Period.ALL.sessions(days, today, today)).hasSize(35);
    assertThat(Period.LAST_100.sessions(days, today, today)).hasSize(34);
    assertThat(Period.WEEK.sessions(days, today, today))
        .allMatch(date -> !date.isBefore(today.minusDays(6)));
  }

  @Test
  void aTagPicksItsTrades() {
    SplittableRandom random = new SplittableRandom(5);
    PastReview plain = review(DATE, random, JournalPage.EMPTY);
    while (plain.review().trades().size() < 2) {
      plain = review(DATE, random, JournalPage.EMPTY);
    }
    ReviewedTrade first = plain.review().trades().getFirst();
    Subject subject = first.subject();
    JournalPage page = JournalPage.EMPTY.with(new Remark(subject, "", List.of("bored", "tired")));
    DayBook book =
        DayBook.EMPTY
            .withFills(
                plain.review().trades().stream().flatMap(t -> t.trade().fills().stream()).toList())
            .with(page);
    DayReview tagged =
        DayReview.of(
            TestSessions.on(DATE),
            List.of(),
            List.<Hit>of(),
            book,
            ReviewSettings.DEFAULT,
            DayTime.LAST);
    TrackRecord record = TrackRecord.of(List.of(new PastReview(DATE, tagged, List.of(), page)));

    assertThat(record.tags()).containsExactly("bored", "tired");
    assertThat(record.tagged("tired").trades())
        .singleElement()
        .extracting(ReviewedTrade::subject)
        .isEqualTo(subject);
    assertThat(record.groups(TradeGrouping.TAG))
        .extracting(TradeGroup::name)
        .containsExactly("bored", "tired", "no tag");
  }

  @Test
  void theMeanIsThatOfTheReferenceLibraryAndLiesInItsInterval() {
    for (long seed = 1; seed <= 10; seed++) {
      TrackRecord record = record(new SplittableRandom(seed), 20);
      double mean =
          new Mean()
              .evaluate(record.trades().stream().mapToDouble(ReviewedTrade::result).toArray());
      ResultRange range = ResultRange.of(record, TradeGrouping.SYMBOL).getFirst();

      assertThat(range.result().mean()).isCloseTo(mean, within(1e-9));
      assertThat(mean).isBetween(range.result().low(), range.result().high());
    }
  }

  @Test
  void ofOneSessionChanceCannotBeTold() {
    MeanInterval one = MeanInterval.of(List.of(new double[] {1, 2, 6}));

    assertThat(one.mean()).isEqualTo(3);
    assertThat(one.low()).isNaN();
    assertThat(MeanInterval.of(List.of()).mean()).isNaN();
  }

  /** With as many draws the percentile interval of normal means is the one of the handbooks. */
  @Test
  void theIntervalOfManySessionsIsThatOfTheNormalLaw() {
    SplittableRandom random = new SplittableRandom(11);
    List<double[]> sessions = new ArrayList<>();
    for (int i = 0; i < 400; i++) {
      sessions.add(new double[] {10 + 4 * random.nextGaussian()});
    }
    double[] all = sessions.stream().mapToDouble(one -> one[0]).toArray();
    double error =
        new org.apache.commons.math3.stat.descriptive.moment.StandardDeviation().evaluate(all)
            / Math.sqrt(all.length);
    MeanInterval interval = MeanInterval.of(sessions);

    assertThat(interval.high() - interval.low()).isCloseTo(2 * 1.96 * error, within(0.05));
  }
}
