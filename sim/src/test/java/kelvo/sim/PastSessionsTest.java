package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import kelvo.alert.AlertBook;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.ledger.KeptFills;
import kelvo.data.ledger.Ledger;
import kelvo.data.past.PastSessions;
import kelvo.data.past.WantedHits;
import kelvo.data.report.Report;
import kelvo.data.scanfile.ScanFile;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.journal.Remark;
import kelvo.journal.Subject;
import kelvo.player.SessionRun;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.review.DayReview;
import kelvo.review.ReviewSettings;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Security;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trackrecord.CalendarDay;
import kelvo.trackrecord.PastReview;
import kelvo.trackrecord.TrackRecord;
import kelvo.trade.Fees;
import kelvo.trade.RoundTrips;
import kelvo.trade.Trade;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Sessions that are over, read and played again. */
class PastSessionsTest {
  private static final DemoSize SIZE = new DemoSize(60, 30, 6_000, DemoSize.SESSION).withRecord(3);
  private static final List<Scan> SCANS = ScanFile.shipped(Vocabulary.DEFAULT);
  private static final WantedHits WANTED = new WantedHits(SCANS, List.of(), AlertBook.EMPTY);

  @TempDir static Path folder;
  @TempDir Path other;

  @BeforeAll
  static void write() {
    DemoFolder.write(folder, SIZE, DemoFolder.SEED, Progress.NONE);
  }

  private static DataFolder data() {
    return new DataFolder(folder, new ExchangeCalendar());
  }

  private static final Question QUESTION =
      new Question(
          SCANS.getFirst(),
          new CaseMoment.FirstHit(DayTime.FIRST),
          Direction.LONG,
          new Question.Costs(Fees.NONE, Question.Costs.USUAL_POSITION));

  private static PastSessions past(Ledger ledger) {
    return new PastSessions(folder, ledger, Vocabulary.DEFAULT);
  }

  private static List<PastReview> reviews(PastSessions past) {
    return past.reviews(past.recorded(), WANTED, ReviewSettings.DEFAULT, one -> {}, Progress.NONE);
  }

  @Tag("proof")
  @Test
  void eachIsReviewedAsIfItWerePlayedAlone() {
    try (Ledger ledger = Ledger.readOnly(other.resolve("none"))) {
      List<LocalDate> heard = new ArrayList<>();
      PastSessions past = past(ledger);
      List<PastReview> reviews =
          past.reviews(
              past.recorded(),
              WANTED,
              ReviewSettings.DEFAULT,
              one -> heard.add(one.date()),
              Progress.NONE);

      assertThat(reviews).extracting(PastReview::date).isEqualTo(past.recorded()).hasSize(4);
      assertThat(heard).containsExactlyInAnyOrderElementsOf(past.recorded());
      LocalDate date = past.recorded().get(1);
      Session session = data().session(date, Progress.NONE);
      DayBook book = KeptFills.of(ledger, data(), date);
      SessionRun run = SessionRun.of(session, WANTED.on(date, book), Progress.NONE);
      DayReview alone =
          DayReview.of(session, SCANS, run.hits(), book, ReviewSettings.DEFAULT, DayTime.LAST);
      assertThat(reviews.get(1).review().scans()).isEqualTo(alone.scans());
      assertThat(reviews.get(1).review().figures()).isEqualTo(alone.figures());
      assertThat(reviews.get(1).review().all()).isEqualTo(alone.all());
    }
  }

  /** The newest session stands for the one that is open: its daily bar is not looked at. */
  @Test
  void aQuestionOfResearchIsPlayedOnceAndNothingLaterIsLookedAt() {
    try (Ledger ledger = Ledger.readOnly(other.resolve("none"))) {
      PastSessions past = past(ledger);
      List<LocalDate> dates = past.recorded();
      LocalDate newest = dates.getLast();
      List<ResearchCase> cases = past.cases(dates, QUESTION, newest, one -> {}, Progress.NONE);
      List<ResearchCase> again = past.cases(dates, QUESTION, newest, one -> {}, Progress.NONE);

      assertThat(cases).hasSizeGreaterThan(4);
      assertThat(cases).extracting(ResearchCase::date).isSorted();
      for (int i = 0; i < cases.size(); i++) {
        assertThat(again.get(i)).isSameAs(cases.get(i));
      }
      LocalDate before = dates.get(dates.size() - 2);
      assertThat(cases)
          .filteredOn(one -> one.date().equals(before))
          .allMatch(one -> Double.isNaN(one.result(Held.NEXT_CLOSE)));
      assertThat(cases)
          .filteredOn(one -> one.date().isBefore(before))
          .isNotEmpty()
          .noneMatch(one -> Double.isNaN(one.result(Held.NEXT_CLOSE)));
    }
  }

  @Tag("proof")
  @Test
  void aSessionThatHadOnlyMinuteBarsIsAskedAnewOnceItsPrintsAreThere() throws IOException {
    LocalDate date = data().sessionDates().get(1);
    Path trades = SessionFolder.of(folder, date).resolve(SessionFolder.TRADES);
    Path away = other.resolve("trades");
    Files.move(trades, away);
    MinutesTable.write(
        MinutesTable.folder(folder),
        date,
        table -> {
          for (Security security : data().securities()) {
            long price = Price.of(7);
            table.row(security.symbol(), "10:00:00", price, price, price, price, 5_000, 20);
            table.row(security.symbol(), "10:31:00", price, price, price, price, 5_000, 20);
          }
        });
    Question question =
        new Question(
            SCANS
                .getFirst()
                .withRules(List.of(RuleSentence.parse("price at least 1", Vocabulary.DEFAULT))),
            new CaseMoment.AtTime(DayTime.of(10, 30)),
            Direction.LONG,
            QUESTION.costs());
    try (Ledger ledger = Ledger.readOnly(other.resolve("none"))) {
      PastSessions past = past(ledger);
      List<ResearchCase> ofBars =
          past.cases(List.of(date), question, DemoSize.SESSION, one -> {}, Progress.NONE);
      assertThat(ofBars).isNotEmpty().allMatch(one -> one.enteredAt() == DayTime.of(10, 31));

      Files.move(away, trades);
      List<ResearchCase> ofPrints =
          past.cases(List.of(date), question, DemoSize.SESSION, one -> {}, Progress.NONE);

      assertThat(ofPrints)
          .isNotEmpty()
          .isEqualTo(
              past(ledger)
                  .cases(List.of(date), question, DemoSize.SESSION, one -> {}, Progress.NONE))
          .isNotEqualTo(ofBars);
    } finally {
      if (Files.exists(away)) {
        Files.move(away, trades);
      }
      Files.delete(MinutesTable.folder(folder).resolve(MinutesTable.name(date)));
    }
  }

  @Test
  void theCalendarHasTheSameResultsWithoutPlayingAnything() {
    try (Ledger ledger = Ledger.readOnly(other.resolve("none"))) {
      PastSessions past = past(ledger);
      List<CalendarDay> days =
          past.calendar(ReviewSettings.DEFAULT, DemoSize.SESSION, DayTime.LAST);
      List<PastReview> reviews = reviews(past);

      assertThat(days).extracting(CalendarDay::date).isEqualTo(past.recorded());
      for (int i = 0; i < days.size(); i++) {
        assertThat(days.get(i).recorded()).isTrue();
        assertThat(days.get(i).reviewed()).isFalse();
        assertThat(days.get(i).trades()).isEqualTo(reviews.get(i).closed().size()).isPositive();
        assertThat(days.get(i).net().doubleValue()).isEqualTo(reviews.get(i).review().all().net());
      }
    }
  }

  @Tag("proof")
  @Test
  void theCalendarKnowsNothingThatIsStillToCome() {
    List<LocalDate> dates = data().sessionDates();
    LocalDate today = dates.get(2);
    try (Ledger ledger = Ledger.readOnly(other.resolve("none"))) {
      PastSessions past = past(ledger);
      List<CalendarDay> atTheEnd =
          past.calendar(ReviewSettings.DEFAULT, dates.getLast(), DayTime.LAST);
      long firstExit =
          RoundTrips.of(data().fills(today), ReviewSettings.DEFAULT.cost()).trades().stream()
              .filter(Trade::closed)
              .mapToLong(Trade::exitAt)
              .min()
              .orElseThrow();

      List<CalendarDay> before = past.calendar(ReviewSettings.DEFAULT, today, firstExit - 1);
      List<CalendarDay> then = past.calendar(ReviewSettings.DEFAULT, today, firstExit);

      assertThat(before.subList(0, 2)).isEqualTo(atTheEnd.subList(0, 2));
      assertThat(before.get(2).trades()).isZero();
      assertThat(before.get(2).net()).isZero();
      assertThat(then.get(2).trades()).isOne();
      assertThat(before.get(3))
          .isEqualTo(CalendarDay.ahead(dates.get(3), CalendarDay.Known.PRINTS));
      assertThat(atTheEnd.get(3).trades()).isPositive();
    }
  }

  @Tag("proof")
  @Test
  void oldHitsAreJudgedByTheRulesOfTheirDay() {
    List<LocalDate> dates = data().sessionDates();
    Scan now = SCANS.getFirst();
    Scan then =
        now.withRules(List.of(RuleSentence.parse("price at least 100000", Vocabulary.DEFAULT)));
    try (Ledger ledger = Ledger.open(other.resolve("ledger.sqlite"))) {
      ledger.add(dates.get(1), then);
      ledger.add(dates.get(2), now);
      assertThat(ledger.awaitSaved()).isTrue();
      List<PastReview> reviews = reviews(past(ledger));

      assertThat(reviews)
          .extracting(one -> one.review().scans().getFirst().hits() > 0)
          .as("before it was known, of its day, and changed since")
          .containsExactly(true, false, true, true);
    }
  }

  @Tag("proof")
  @Test
  void aDamagedSessionIsReviewedAsFarAsItCanBeReadAndStopsNoOther() throws IOException {
    LocalDate last = data().sessionDates().getLast();
    LocalDate saturday = last.with(TemporalAdjusters.next(DayOfWeek.SATURDAY));
    Path recorded = Files.createDirectory(folder.resolve("sessions").resolve(saturday.toString()));
    Path prints = recorded.resolve("trades.csv.gz");
    Files.write(prints, new byte[] {0x1f, (byte) 0x8b, 8, 0, 0, 0, 0});
    Path quotes = Files.createDirectory(recorded.resolve("quotes.csv"));
    try (Ledger ledger = Ledger.readOnly(other.resolve("none"))) {
      List<PastReview> reviews = reviews(past(ledger));

      assertThat(reviews).hasSize(5);
      assertThat(reviews.getLast().date()).isEqualTo(saturday);
      assertThat(reviews.getLast().review().moves()).isEmpty();
      assertThat(reviews.get(3).review().moves()).isNotEmpty();

      PastSessions past = past(ledger);
      List<ResearchCase> cases =
          past.cases(past.recorded(), QUESTION, LocalDate.MAX, one -> {}, Progress.NONE);
      assertThat(cases).hasSizeGreaterThan(4).noneMatch(one -> one.date().equals(saturday));
      assertThat(past.faults())
          .anyMatch(sentence -> sentence.contains("sessions/" + saturday + "/trades.csv.gz"))
          .anyMatch(sentence -> sentence.contains("sessions/" + saturday + "/quotes.csv"));
      assertThat(past.faults(past.recorded().subList(0, 3))).isEmpty();

      Files.delete(quotes);
      past.session(saturday);
      assertThat(past.faults(past.recorded()))
          .anyMatch(sentence -> sentence.contains("sessions/" + saturday + "/trades.csv.gz"))
          .noneMatch(sentence -> sentence.contains("sessions/" + saturday + "/quotes.csv"));
    } finally {
      Files.deleteIfExists(quotes);
      Files.delete(prints);
      Files.delete(recorded);
    }
  }

  @Test
  void itCanBeStopped() {
    try (Ledger ledger = Ledger.readOnly(other.resolve("none"))) {
      PastSessions past = past(ledger);
      assertThatThrownBy(
              () ->
                  past.reviews(
                      past.recorded(),
                      WANTED,
                      ReviewSettings.DEFAULT,
                      one -> {},
                      part -> {
                        throw new CancellationException();
                      }))
          .isInstanceOf(CancellationException.class);
    }
  }

  @Tag("proof")
  @Test
  void whatTheTraderWroteStandsInTheReportAsItWas() {
    LocalDate date = data().sessionDates().getFirst();
    try (Ledger ledger = Ledger.open(other.resolve("ledger.sqlite"))) {
      ledger.add(date, new Remark(Subject.SESSION, "<b>too & \"late\"</b>", List.of("a<b")));
      assertThat(ledger.awaitSaved()).isTrue();
      PastSessions past = past(ledger);
      TrackRecord record =
          TrackRecord.of(List.of(past.review(date, WANTED, ReviewSettings.DEFAULT, Progress.NONE)));
      String html = Report.of(record, ReviewSettings.DEFAULT, past::session, Progress.NONE).html();

      assertThat(html).contains("&lt;b&gt;too &amp; ", "tags: a&lt;b").doesNotContain("<b>");
      assertThat(
              past.calendar(ReviewSettings.DEFAULT, DemoSize.SESSION, DayTime.LAST)
                  .getFirst()
                  .reviewed())
          .isTrue();
    }
  }
}
