package kelvo.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.review.WhatIf.Change;
import kelvo.review.WhatIf.Kind;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trade.TestFills;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

/** AAAAAA rises by 2%, 5% and 20%; BBBBBB by 3%; CCCCCC by 6% and stays there. */
class WhatIfTest {
  private static final long END = DayTime.of(16, 0);
  private static final Session SESSION =
      TestSessions.of(
          3,
          tape -> {
            TestSessions.print(tape, "09:40:00", 0, 10.00);
            TestSessions.print(tape, "09:40:00", 1, 10.00);
            TestSessions.print(tape, "09:40:00", 2, 10.00);
            TestSessions.print(tape, "09:50:00", 0, 10.20);
            TestSessions.print(tape, "09:50:10", 0, 10.30);
            TestSessions.print(tape, "09:55:00", 2, 10.60);
            TestSessions.print(tape, "10:00:00", 0, 10.50);
            TestSessions.print(tape, "10:05:00", 1, 10.30);
            TestSessions.print(tape, "10:12:00", 0, 12.00);
          });

  private static Scan highs(String rule) {
    return TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), rule);
  }

  private static WhatIf whatIf(Session session, Scan was, Scan changed, DayBook book) {
    return WhatIf.of(session, was, changed, book, ReviewSettings.DEFAULT, END, Progress.NONE);
  }

  private static WhatIf.Line line(WhatIf whatIf, String name) {
    return whatIf.lines().stream()
        .filter(line -> line.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void movesComeEarlierAreNewStayAndGo() {
    WhatIf looser =
        whatIf(
            SESSION, highs("change % at least 5%"), highs("change % at least 2%"), DayBook.EMPTY);

    assertThat(looser.changes())
        .extracting(change -> change.move().move().symbol(), Change::kind)
        .containsExactlyInAnyOrder(
            tuple("AAAAAA", Kind.EARLIER), tuple("CCCCCC", Kind.SAME), tuple("BBBBBB", Kind.NEW));
    assertThat(looser.medianEarlier()).hasValue(10 * DayTime.MINUTE);
    assertThat(looser.words())
        .startsWith("1 move comes, 0 go. Those earlier come 10 min 0 s earlier in the median.");

    WhatIf tighter =
        whatIf(
            SESSION, highs("change % at least 2%"), highs("change % at least 5%"), DayBook.EMPTY);

    assertThat(tighter.of(Kind.GONE))
        .extracting(change -> change.move().move().symbol())
        .containsExactly("BBBBBB");
    assertThat(tighter.of(Kind.LATER)).hasSize(1);
  }

  @Test
  void aTradeIsShownAsItWouldHaveBeenAtTheHit() {
    DayBook book =
        DayBook.EMPTY.withFills(
            List.of(
                TestFills.fill("10:10:00 AAAAAA buy 100 11.00"),
                TestFills.fill("10:20:00 AAAAAA sell 100 12.00")));
    WhatIf looser =
        whatIf(SESSION, highs("change % at least 5%"), highs("change % at least 2%"), book);

    assertThat(line(looser, "as changed").totals().net()).isCloseTo(100, within(1e-9));
    assertThat(line(looser, "the 1 earlier").atTheHit()).isCloseTo(70, within(1e-9));
  }

  @Test
  void nothingChangesWhenNothingIsChanged() {
    Session session = RandomSessions.of(11, 6, 6_000);
    Scan scan = highs("trades at least 10");
    WhatIf same = whatIf(session, scan, scan.named("another name"), DayBook.EMPTY);

    assertThat(same.changes()).isNotEmpty().allMatch(change -> change.kind() == Kind.SAME);
    assertThat(same.noise()).allMatch(noise -> noise.before() == noise.after());
    assertThat(same.lines())
        .extracting(WhatIf.Line::name)
        .containsExactly("as it was", "as changed");
    assertThat(same.lines().get(1).totals()).isEqualTo(same.lines().getFirst().totals());
    assertThat(same.words()).isEqualTo("0 moves come, 0 go.");
  }

  @Test
  void eachMoveIsCountedOnceAndTheHitsAreThoseOfTheScansPlayedAlone() {
    Session session = RandomSessions.of(12, 6, 6_000);
    Scan was = highs("trades at least 100");
    Scan changed = highs("trades at least 50");
    WhatIf looser = whatIf(session, was, changed, DayBook.EMPTY);
    long kept = looser.changes().stream().filter(c -> c.kind() != Kind.GONE).count();

    assertThat(kept).isEqualTo(looser.now().moves().size());
    assertThat(looser.now().moves().stream().mapToInt(m -> m.move().hits().size()).sum())
        .isEqualTo(
            (int) TestSessions.hits(session, changed).stream().filter(h -> h.at() <= END).count());
  }

  @Test
  void severalSessionsAreTheSumOfEach() {
    WhatIf one =
        whatIf(
            SESSION, highs("change % at least 5%"), highs("change % at least 2%"), DayBook.EMPTY);
    WhatIf three = WhatIf.together(List.of(one, one, one));

    assertThat(three.sessions()).isEqualTo(3);
    assertThat(three.of(Kind.NEW)).hasSize(3 * one.of(Kind.NEW).size());
    assertThat(three.now().totals().hits()).isEqualTo(3 * one.now().totals().hits());
    assertThat(three.now().totals().hitsPerHour()).isEqualTo(one.now().totals().hitsPerHour());
    assertThat(three.noise().getFirst().after()).isEqualTo(one.noise().getFirst().after());
    assertThat(three.medianEarlier()).isEqualTo(one.medianEarlier());
    assertThat(WhatIf.together(List.of(one)).lines())
        .extracting(WhatIf.Line::atTheHit)
        .isEqualTo(one.lines().stream().map(WhatIf.Line::atTheHit).toList());
  }
}
