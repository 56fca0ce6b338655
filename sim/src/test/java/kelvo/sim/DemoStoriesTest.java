package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import kelvo.alert.StairWarning;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFile;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.player.SessionRun;
import kelvo.review.DayReview;
import kelvo.review.ReviewSettings;
import kelvo.review.ReviewedTrade;
import kelvo.review.TradeVerdict;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.tape.EventKind;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The shipped scans find the planted stories, and leave out what only looks like one. */
class DemoStoriesTest {
  @TempDir static Path folder;
  private static DataFolder data;
  private static Session session;
  private static SessionRun run;
  private static final List<Scan> SCANS = ScanFile.shipped(Vocabulary.DEFAULT);

  @BeforeAll
  static void play() {
    SmallDemo.copyTo(folder);
    data = new DataFolder(folder, new ExchangeCalendar());
    session = data.session(DemoSize.SESSION, Progress.NONE);
    run = SessionRun.of(session, new Program(SCANS, List.of()), Progress.NONE);
  }

  private static List<String> scansThatHit(String story) {
    List<String> symbols =
        PlantedStories.all().stream().filter(s -> s.id().equals(story)).map(Story::symbol).toList();
    return run.hits().stream()
        .filter(h -> symbols.contains(h.symbol()))
        .map(Hit::scan)
        .distinct()
        .toList();
  }

  @Test
  void theFolderIsReadWithoutFault() {
    assertThat(data.faults()).isEmpty();
    assertThat(session.securities()).hasSize(DemoSize.SMALL.securities());
    assertThat(session.catalysts()).hasSizeGreaterThan(40);
  }

  @Test
  void theGapperTheStairsTheThemeAndTheOfferingAreFound() {
    assertThat(scansThatHit("gapper"))
        .contains("Morning gaps", "Morning risers", "Fresh news", "Opening highs");
    assertThat(scansThatHit("stairs")).contains("Thin stairs");
    assertThat(scansThatHit("theme")).contains("Morning gaps", "Opening highs");
    assertThat(scansThatHit("offering"))
        .contains("Morning gaps", "Morning fallers", "Opening lows");
  }

  @Test
  void theHaltAndTheFadeAreFound() {
    assertThat(scansThatHit("halt")).contains("Halts");
    assertThat(scansThatHit("fader")).contains("Opening highs", "Afternoon fade");
  }

  @Test
  void theStairsAreFoundWhileTheyAreThinWithWhatSpeaksAgainstThem() {
    assertThat(run.hits())
        .filteredOn(
            hit -> hit.symbol().equals("KELPOR") && hit.trigger().words().startsWith("stair step"))
        .first()
        .satisfies(
            hit -> {
              assertThat(hit.fields().of("volume")).isLessThan(50_000);
              assertThat(StairWarning.of(hit)).contains("shares so far");
            });
  }

  @Test
  void theTurnOfTheMorningAndTheMoveAfterTheCloseAreFound() {
    assertThat(scansThatHit("red to green")).contains("Red to green");
    assertThat(scansThatHit("after hours")).contains("After hours");
    assertThat(run.hits())
        .filteredOn(hit -> hit.symbol().equals("BREGLA") && hit.scan().equals("Red to green"))
        .first()
        .satisfies(hit -> assertThat(hit.at()).isBetween(DayTime.of(10, 10), DayTime.of(10, 25)));
  }

  @Test
  void everyShippedScanSaysWhatItIsForAndFindsAPlantedStory() {
    List<String> planted = PlantedStories.all().stream().map(Story::symbol).toList();
    for (Scan scan : SCANS) {
      assertThat(scan.purpose()).as(scan.name()).endsWith(".");
      assertThat(run.hits())
          .as(scan.name())
          .anyMatch(h -> h.scan().equals(scan.name()) && planted.contains(h.symbol()));
    }
  }

  @Test
  void theFundTheWarrantTheFakeAndTheSplitAreNot() {
    assertThat(scansThatHit("fund")).isEmpty();
    assertThat(scansThatHit("warrant")).isEmpty();
    assertThat(scansThatHit("fake")).isEmpty();
    assertThat(scansThatHit("reverse split")).isEmpty();
  }

  @Test
  void theTradersFillsGetTheVerdictsTheyWereWrittenFor() {
    DayBook book = DayBook.EMPTY.withFills(data.fills(DemoSize.SESSION));
    DayReview review =
        DayReview.of(session, SCANS, run.hits(), book, ReviewSettings.DEFAULT, DayTime.LAST);

    assertThat(review.trades())
        .extracting(t -> t.trade().symbol())
        .containsExactly("TIDARC", "KELPOR", "MARKTA", "GENSED");
    assertThat(review.trades())
        .extracting(ReviewedTrade::verdict)
        .contains(TradeVerdict.LATE, TradeVerdict.OFF_PLAN, TradeVerdict.ON_A_HIT);
    assertThat(review.moves())
        .anyMatch(m -> m.move().symbol().equals("DENBOT") && m.verdict().word().equals("missed"));
  }

  @Test
  void symbolsHaveSixLettersSoThatNoneIsListed() {
    assertThat(session.securities()).allSatisfy(f -> assertThat(f.symbol()).matches("[A-Z]{6}"));
    assertThat(session.securities().stream().map(f -> f.security().kind()).distinct())
        .contains(SecurityKind.FUND, SecurityKind.WARRANT);
  }

  @Test
  void theSameSeedWritesTheSameSession(@TempDir Path other) throws IOException {
    DemoFolder.write(other, DemoSize.SMALL, DemoFolder.SEED, Progress.NONE);
    for (String file :
        List.of(
            "securities.csv", "daily.csv.zst", "sessions/2031-03-12/trades.csv.zst", "fills.csv")) {
      assertThat(Files.mismatch(folder.resolve(file), other.resolve(file))).as(file).isEqualTo(-1);
    }
  }

  @Test
  void aDayHasTradesQuotesNewsAndAHalt() {
    var kinds =
        java.util.stream.IntStream.range(0, session.tape().size())
            .mapToObj(session.tape()::kind)
            .distinct();

    assertThat(kinds).contains(EventKind.TRADE, EventKind.QUOTE, EventKind.NEWS, EventKind.STATUS);
  }
}
