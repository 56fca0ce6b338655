package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFile;
import kelvo.field.FieldCatalogue;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.rule.Vocabulary;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The invented market with sessions before the demo's. */
@Tag("proof")
class EarlierSessionsTest {
  private static final int PRINT_SESSIONS = 2;
  private static final int MINUTE_SESSIONS = 11;
  private static final DemoSize SIZE =
      new DemoSize(240, 280, 30_000, DemoSize.SESSION).withHistory(PRINT_SESSIONS, MINUTE_SESSIONS);

  @TempDir static Path folder;
  private static DataFolder data;

  @BeforeAll
  static void write() {
    DemoFolder.write(folder, SIZE, DemoFolder.SEED, Progress.NONE);
    data = new DataFolder(folder, new ExchangeCalendar());
  }

  @Test
  void theSessionsThatHavePrintsAreListed() {
    assertThat(data.sessionDates())
        .containsExactly(LocalDate.of(2031, 3, 10), LocalDate.of(2031, 3, 11), DemoSize.SESSION);
  }

  @Test
  void everySessionHasItsStoriesToFind() {
    for (LocalDate date : data.sessionDates().subList(0, PRINT_SESSIONS)) {
      Session session = data.session(date, Progress.NONE);
      List<Hit> hits = new java.util.ArrayList<>();
      ScanEngine.replay(
              session, new Program(ScanFile.shipped(Vocabulary.DEFAULT), List.of()), hits::add)
          .runTo(DayTime.LAST);
      List<Story> stories =
          EarlierSessions.stories(SIZE, DemoFolder.SEED, new ExchangeCalendar(), date);

      assertThat(stories).extracting(Story::id).contains("gapper", "stairs", "halt");
      for (String id : List.of("gapper", "stairs", "halt")) {
        Story story = stories.stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
        assertThat(hits).as(id + " on " + date).anyMatch(h -> h.symbol().equals(story.symbol()));
      }
      Story gapper =
          stories.stream().filter(s -> s.id().equals("gapper")).findFirst().orElseThrow();
      assertThat(session.catalysts())
          .anyMatch(item -> item.symbols().contains(gapper.symbol()) && item.at() >= DayTime.FIRST);
    }
  }

  @Test
  void dailyBarsAreThoseOfThePrints() {
    LocalDate date = data.sessionDates().getFirst();
    Session earlier = data.session(date, Progress.NONE);
    TapeReplay engine = new TapeReplay(earlier);
    engine.runTo(DayTime.LAST);
    Session next = data.session(data.sessionDates().get(1), Progress.NONE);

    int compared = 0;
    for (int i = 0; i < next.securities().size(); i++) {
      var bar = next.security(i).history().last();
      if (bar.date().equals(date) && engine.state(i).officialClose() != Price.NONE) {
        assertThat(bar.close()).isEqualTo(engine.state(i).officialClose());
        assertThat(bar.volume()).isEqualTo(engine.state(i).volume());
        compared++;
      }
    }
    assertThat(compared).isGreaterThan(100);
  }

  @Test
  void relativeVolumeAndMentionsAreKnown() {
    Session session = data.session(DemoSize.SESSION, Progress.NONE);
    TapeReplay engine = new TapeReplay(session);
    engine.runTo(DayTime.of(9, 45));
    int gapper = session.numberOf("TIDARC").orElseThrow();
    int benchmark = session.numberOf("MARKTA").orElseThrow();

    assertThat(value("relative volume", engine, gapper)).isBetween(5.0, 500.0);
    assertThat(value("relative volume", engine, benchmark)).isCloseTo(1, within(0.9));
    assertThat(value("mentions change %", engine, gapper)).isGreaterThan(0);
    assertThat(data.faults()).isEmpty();
  }

  private static double value(String words, TapeReplay engine, int security) {
    return FieldCatalogue.number(words)
        .bind(engine.session())
        .at(engine.state(security), engine.clock());
  }
}
