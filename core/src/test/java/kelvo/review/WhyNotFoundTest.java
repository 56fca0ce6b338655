package kelvo.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.Set;
import java.util.concurrent.CancellationException;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.review.WhyNotFound.Answer;
import kelvo.review.WhyNotFound.Looser;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;
import org.junit.jupiter.api.Test;

/**
 * AAAAAA rises by 5% at 10:00 with 2,000 shares traded and by 20% at 10:20; BBBBBB stands still.
 */
class WhyNotFoundTest {
  private static final long END = DayTime.of(16, 0);
  private static final Session SESSION =
      TestSessions.of(
          2,
          tape -> {
            TestSessions.print(tape, "09:40:00", 0, 10.00);
            TestSessions.print(tape, "09:40:00", 1, 10.00);
            TestSessions.print(tape, "10:00:00", 0, 10.50);
            TestSessions.print(tape, "10:20:00", 0, 12.00);
            TestSessions.print(tape, "15:00:00", 0, 10.20);
          });

  private static WhyNotFound why(Scan scan, int security) {
    return WhyNotFound.of(SESSION, scan, security, END, Progress.NONE);
  }

  private static int minute(int hour, int minute) {
    return (hour - 4) * 60 + minute;
  }

  @Test
  void theOneBoundThatKeptItOutIsMovedToWhatItHadThen() {
    Scan scan = TestSessions.scan("busy", List.of(), "change % at least 5%", "volume at least 50K");

    WhyNotFound why = why(scan, 0);

    assertThat(why.found()).isEmpty();
    assertThat(why.looser())
        .extracting(Looser::words, looser -> DayTime.seconds(looser.at()), Looser::price)
        .containsExactly(tuple("with volume at least 3000", "10:20:00", 120_000L));
    assertThat(TestSessions.hits(SESSION, why.looser().getFirst().scan()))
        .first()
        .matches(hit -> hit.at() == DayTime.of(10, 20));
  }

  @Test
  void eachRuleHasItsMinutes() {
    Scan scan =
        TestSessions.scan(
            "busy",
            List.of(Trigger.NEW_HIGH_OF_SESSION),
            "change % at least 5%",
            "volume at least 50K");

    List<WhyNotFound.Strip> strips = why(scan, 0).strips();

    assertThat(strips)
        .extracting(WhyNotFound.Strip::rule)
        .containsExactly(
            "change % at least 5%", "volume at least 50K", Trigger.NEW_HIGH_OF_SESSION.words());
    List<Answer> change = strips.getFirst().minutes();
    assertThat(change.get(minute(9, 59))).isEqualTo(Answer.FAILS);
    assertThat(change.get(minute(10, 0))).isEqualTo(Answer.PASSES);
    assertThat(change.get(minute(14, 59))).isEqualTo(Answer.PASSES);
    assertThat(change.get(minute(15, 0))).isEqualTo(Answer.FAILS);
    assertThat(strips.get(1).passing()).isZero();
    assertThat(strips.get(2).minutes().get(minute(10, 20))).isEqualTo(Answer.PASSES);
    assertThat(strips.get(2).minutes().get(minute(10, 21))).isEqualTo(Answer.FAILS);
  }

  @Test
  void aBoundIsMovedNoFurtherThanTheSymbolCameToIt() {
    Scan scan = TestSessions.scan("risers", List.of(), "change % at least 25%", "price at most 20");

    assertThat(why(scan, 0).looser())
        .extracting(Looser::words, looser -> DayTime.seconds(looser.at()))
        .containsExactly(tuple("with change % at least 20%", "10:20:00"));
  }

  @Test
  void ofSeveralChangesTheSmallestComesFirst() {
    Scan scan =
        TestSessions.scan(
            "risers",
            List.of(Trigger.NEW_HIGH_OF_SESSION),
            "change % at least 21%",
            "change % at least 4%",
            "trades at least 1");
    Scan wide =
        TestSessions.scan(
            "wide", List.of(Trigger.NEW_HIGH_OF_SESSION), "trades at least 4", "price at most 20");

    assertThat(why(scan, 0).looser())
        .extracting(Looser::words)
        .containsExactly("with change % at least 20%");
    assertThat(why(wide, 0).looser())
        .extracting(Looser::words, looser -> DayTime.seconds(looser.at()))
        .containsExactly(tuple("with trades at least 3", "10:20:00"));
  }

  @Test
  void whatWasFoundNeedsNoChange() {
    WhyNotFound why = why(TestSessions.scan("risers", List.of(), "change % at least 5%"), 0);

    assertThat(why.found()).get().matches(hit -> hit.at() == DayTime.of(10, 0));
    assertThat(why.looser()).isEmpty();
    assertThat(why.why()).isEmpty();
  }

  @Test
  void whatTwoRulesKeptOutSaysSo() {
    WhyNotFound why =
        why(TestSessions.scan("busy", List.of(), "change % at least 5%", "volume at least 50K"), 1);

    assertThat(why.looser()).isEmpty();
    assertThat(why.why())
        .isEqualTo("No single change would have found BBBBBB: more than one rule kept it out.");
  }

  @Test
  void outsideTheUniverseOnlyThatIsTheReason() {
    Scan others =
        TestSessions.scan("risers", List.of(), "change % at least 5%")
            .within(Universe.EVERYONE.named("others").excluding(Set.of("AAAAAA")));

    assertThat(why(others, 0).looser())
        .extracting(Looser::words)
        .containsExactly("without in universe others");
  }

  @Test
  void itCanBeStopped() {
    Scan scan = TestSessions.scan("risers", List.of(), "change % at least 5%");

    assertThatExceptionOfType(CancellationException.class)
        .isThrownBy(
            () ->
                WhyNotFound.of(
                    SESSION,
                    scan,
                    0,
                    END,
                    part -> {
                      throw new CancellationException();
                    }));
  }

  @Test
  void aGroupOfWhichNoRuleHeldIsLeftOutAsAWhole() {
    Scan scan =
        TestSessions.scan("busy", List.of(), "change % at least 5%")
            .withAnyOf(
                List.of(
                    RuleSentence.parseAny(
                        "volume at least 50K or price at least 100", Vocabulary.DEFAULT)));

    WhyNotFound why = why(scan, 0);

    assertThat(why.found()).isEmpty();
    assertThat(why.looser())
        .extracting(Looser::words, looser -> DayTime.seconds(looser.at()))
        .containsExactly(tuple("without volume at least 50K or price at least 100", "10:00:00"));
    assertThat(why.why()).isEmpty();
  }

  @Test
  void aMoveSaysWhenItWouldHaveBeenHitWithoutEachRule() {
    Scan scan = TestSessions.scan("busy", List.of(), "change % at least 10%", "volume at least 1K");
    Move move =
        Moves.of(SESSION, TestSessions.hits(SESSION, scan), 15 * DayTime.MINUTE, END).getFirst();
    assertThat(DayTime.seconds(move.start())).isEqualTo("10:20:00");

    List<EarlierHit> earlier = EarlierHit.of(SESSION, scan, move, DayTime.HOUR, Progress.NONE);

    assertThat(earlier)
        .extracting(EarlierHit::rule, hit -> DayTime.seconds(hit.at()), EarlierHit::price)
        .containsExactly(tuple("change % at least 10%", "09:40:00", 100_000L));
    assertThat(EarlierHit.of(SESSION, scan, move, 5 * DayTime.MINUTE, Progress.NONE)).isEmpty();
  }
}
