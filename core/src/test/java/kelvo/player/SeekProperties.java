package kelvo.player;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.hit.Hit;
import kelvo.hit.HitFields;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.ScanEngine;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.replay.TapeReplay;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.trigger.TriggerCatalogue;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import net.jqwik.api.constraints.LongRange;

/** A moment reached by dragging is the same as one reached by playing: states, matches and hits. */
class SeekProperties {
  private static final int SECURITIES = 8;
  private static final int EVENTS = Boolean.getBoolean("kelvo.proofs") ? 110_000 : 40_000;
  private static final List<Scan> SCANS =
      List.of(
          TestSessions.scan(
              "busy",
              List.of(Trigger.ENTERS, Trigger.LEAVES),
              "volume 5m at least 900K",
              "change % at least 0.2%"),
          TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_DAY), "trades at least 100"),
          TestSessions.scan(
              "news", List.of(), "minutes since news between 2 and 9", "volume at least 1K"),
          TestSessions.scan(
              "everything",
              TriggerCatalogue.all().stream()
                  .filter(t -> t.effect() == 0 && !t.equals(Trigger.ENTERS))
                  .toList(),
              "trades 5m at least 5"),
          TestSessions.scan(
              "vwap",
              List.of(Trigger.RISES_THROUGH_VWAP, Trigger.HALT),
              "spread % at most 3% or unknown"));

  @Tag("proof")
  @Property(tries = 3)
  void dragAndPlayMeetAtLength(
      @ForAll long seed,
      @ForAll @LongRange(min = DayTime.FIRST, max = DayTime.LAST) long first,
      @ForAll @LongRange(min = DayTime.FIRST, max = DayTime.LAST) long second) {
    dragAndPlayMeet(seed, first, second);
  }

  @Property(tries = 1)
  void dragAndPlayMeet(
      @ForAll long seed,
      @ForAll @LongRange(min = DayTime.FIRST, max = DayTime.LAST) long first,
      @ForAll @LongRange(min = DayTime.FIRST, max = DayTime.LAST) long second) {
    Session session = RandomSessions.of(seed, SECURITIES, EVENTS);
    Program program =
        new Program(
            SCANS, List.of(Level.standing("AAAAAA", 100_300, LevelKind.BY_HAND, DayTime.of(8, 0))));
    SessionRun run = SessionRun.of(session, program, Progress.NONE);
    TapeReplay dragged = run.replay();
    run.seek(dragged, first);
    run.seek(dragged, second);
    List<Hit> playedHits = new ArrayList<>();
    TapeReplay played = ScanEngine.replay(session, program, playedHits::add);
    played.runTo(second);

    assertThat(run.hitsUntil(second)).isEqualTo(playedHits);
    assertThat(dragged.events()).isEqualTo(played.events());
    assertSameStates(session, dragged, played, second);
  }

  private static void assertSameStates(
      Session session, TapeReplay dragged, TapeReplay played, long moment) {
    List<Field.Number> fields = HitFields.recorded(List.of());
    for (Field.Number field : fields) {
      Field.Reading reading = field.bind(session);
      for (int i = 0; i < SECURITIES; i++) {
        assertThat(Double.valueOf(reading.at(dragged.state(i), moment)))
            .as(field.words())
            .isEqualTo(Double.valueOf(reading.at(played.state(i), moment)));
      }
    }
    for (int k = 0; k < SCANS.size(); k++) {
      Matches matches = new Matches(SCANS.get(k), session);
      assertThat(matches.at(dragged::state, moment))
          .extracting(Matches.Row::security)
          .isEqualTo(
              matches.at(played::state, moment).stream().map(Matches.Row::security).toList());
    }
  }

  @Tag("proof")
  @Property(tries = 3)
  void aLevelSetLaterGivesTheHitsOfAFullRunWithIt(
      @ForAll long seed, @ForAll @LongRange(min = DayTime.FIRST, max = DayTime.LAST) long setAt) {
    assertHitsOfAFullRunWithALevel(seed, setAt);
  }

  private static void assertHitsOfAFullRunWithALevel(long seed, long setAt) {
    Session session = RandomSessions.of(seed, SECURITIES, EVENTS);
    Program without = new Program(SCANS, List.of());
    Program with =
        new Program(SCANS, List.of(Level.standing("BBBBBB", 100_100, LevelKind.BY_HAND, setAt)));

    SessionRun changed = SessionRun.of(session, without, Progress.NONE).with(with, Progress.NONE);

    assertThat(changed.hits()).isEqualTo(SessionRun.of(session, with, Progress.NONE).hits());
  }
}
