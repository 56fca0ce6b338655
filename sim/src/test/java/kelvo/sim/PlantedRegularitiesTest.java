package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.ResearchData;
import kelvo.data.scanfile.ScanFile;
import kelvo.job.Progress;
import kelvo.research.Answer;
import kelvo.research.CaseMoment;
import kelvo.research.Cut;
import kelvo.research.CutCell;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.research.Sample;
import kelvo.research.UsualSpreads;
import kelvo.research.bars.BarCases;
import kelvo.research.bars.BarSession;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.trade.Fees;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** Research finds what is planted in sessions of minute bars, at its size, and nothing else. */
@Tag("proof")
class PlantedRegularitiesTest {
  private static final DemoSize SIZE = new DemoSize(900, 120, 6_000, DemoSize.SESSION).withBars(45);
  private static final int SHUFFLES = 200;
  private static final double FALSE_AT_MOST = 0.05;

  @TempDir static Path folder;
  private static final List<BarSession> SESSIONS = new ArrayList<>();
  private static ResearchData data;
  private static UsualSpreads spreads;

  @BeforeAll
  static void write() {
    ExchangeCalendar calendar = new ExchangeCalendar();
    DemoFolder.write(folder, SIZE, DemoFolder.SEED, Progress.NONE);
    DataFolder read = new DataFolder(folder, calendar);
    data = read.research(LocalDate.MAX);
    spreads = read.usualSpreads(date -> true, Progress.NONE);
    for (LocalDate date : read.barDates()) {
      SESSIONS.add(data.barSession(date));
    }
    assertThat(SESSIONS).hasSize(45);
    assertThat(read.faultSentences()).isEmpty();
  }

  private static Answer answer(String scan, long at, Direction direction, Held until) {
    Scan parsed = ScanFile.parse("scan", scan, Vocabulary.DEFAULT, List.of());
    Question question =
        new Question(
            parsed,
            new CaseMoment.AtTime(at),
            direction,
            new Question.Costs(new Fees(BigDecimal.ZERO, BigDecimal.ZERO), 10_000));
    List<ResearchCase> cases = new ArrayList<>();
    for (BarSession session : SESSIONS) {
      cases.addAll(BarCases.of(session, question, data.after(session.date()), spreads));
    }
    return Answer.of(question, until, cases);
  }

  private static CutCell cell(Answer answer, Cut cut, String name) {
    return answer.cells().stream()
        .filter(cell -> cell.cut().equals(cut) && cell.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private static Answer runners() {
    return answer(
        """
        {"kelvo":1,"name":"Runners","rules":["kind is common stock","price at least 1",
         "change % at least 12%","volume at least 4x avg volume 20d"]}
        """,
        SessionHours.USUAL_CLOSE, Direction.SHORT, Held.NEXT_CLOSE);
  }

  private static Answer risers() {
    return answer(
        """
        {"kelvo":1,"name":"Risers","rules":["kind is common stock","price at least 1",
         "change % between 4% and 8%","volume at least 1x avg volume 20d"]}
        """,
        DayTime.of(10, 30), Direction.LONG, Held.CLOSE);
  }

  @Test
  void runnersOfLowFloatFadeOnTheNextDay() {
    Answer answer = runners();

    CutCell low = cell(answer, Cut.FLOAT, "5-10M");
    assertThat(low.sample()).isEqualTo(Sample.CARRIES_IT);
    assertFound(low, PlantedRegularities.FADE, answer);
    CutCell high = cell(answer, Cut.FLOAT, "over 20M");
    assertThat(high.figures().mean().low()).isLessThan(0.002);
    assertThat(high.figures().mean().high()).isGreaterThan(-0.002);
  }

  @Test
  void gapsOnEarningsCarryNothing() {
    Answer answer =
        answer(
            """
            {"kelvo":1,"name":"Gaps","rules":["kind is common stock","price at least 1"],
             "any":[["gap at least 4%","gap at most -4%"]]}
            """,
            SessionHours.OPEN, Direction.LONG, Held.CLOSE);

    List<ResearchCase> onEarnings =
        answer.cases().stream()
            .filter(one -> "earnings".equals(one.cells().get(Cut.CATALYST)))
            .toList();
    assertThat(onEarnings).hasSizeGreaterThan(100);
    assertThat(Answer.of(answer.question(), Held.CLOSE, onEarnings).sample())
        .isEqualTo(Sample.SAYS_NOTHING);
  }

  /** What was planted lies within the interval, once the half spreads paid are given back. */
  private static void assertFound(CutCell cell, double planted, Answer answer) {
    double paid =
        answer.cases().stream()
            .filter(one -> cell.name().equals(one.cells().get(cell.cut())))
            .mapToDouble(
                one ->
                    Price.dollars(
                            spreads.assumed(one.symbol(), one.enteredAt(), Price.of(one.entry())))
                        / 2
                        / one.entry())
            .average()
            .orElseThrow();
    assertThat(planted)
        .isBetween(cell.figures().mean().low() + paid, cell.figures().mean().high() + paid);
  }

  @Test
  void theMorningsRisersOfOneSectorRiseOn() {
    Answer answer = risers();

    CutCell sector = cell(answer, Cut.SECTOR, PlantedRegularities.SECTOR);
    assertThat(sector.sample()).isEqualTo(Sample.CARRIES_IT);
    assertFound(sector, PlantedRegularities.FOLLOW_THROUGH, answer);
    assertThat(
            answer.cells().stream()
                .filter(
                    cell -> cell.cut().equals(Cut.SECTOR) && cell.sample() == Sample.CARRIES_IT))
        .hasSize(1);
  }

  @Test
  @Timeout(value = 5, unit = TimeUnit.MINUTES)
  void nothingIsFoundOnceTheResultsAreThoseOfOtherDates() {
    Answer answer = risers();

    long found =
        IntStream.range(0, SHUFFLES).parallel().filter(seed -> carries(answer, seed)).count();

    assertThat(found).isLessThanOrEqualTo((long) (SHUFFLES * FALSE_AT_MOST));
  }

  /** Whether some cell carries it once each case has the results of another. */
  private static boolean carries(Answer answer, int seed) {
    List<ResearchCase> others = new ArrayList<>(answer.cases());
    Collections.shuffle(others, new Random(seed));
    List<ResearchCase> shuffled = new ArrayList<>();
    for (int i = 0; i < others.size(); i++) {
      shuffled.add(withResultsOf(answer.cases().get(i), others.get(i)));
    }
    return Answer.of(answer.question(), Held.CLOSE, shuffled).cells().stream()
        .anyMatch(cell -> cell.sample() == Sample.CARRIES_IT);
  }

  private static ResearchCase withResultsOf(ResearchCase one, ResearchCase other) {
    return new ResearchCase(
        one.date(),
        one.symbol(),
        one.at(),
        one.enteredAt(),
        one.entry(),
        one.spreadAssumed(),
        other.results(),
        other.best(),
        other.worst(),
        other.timesTo(),
        other.gone(),
        one.traits());
  }
}
