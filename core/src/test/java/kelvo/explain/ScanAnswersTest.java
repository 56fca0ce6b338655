package kelvo.explain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.Hit;
import kelvo.hit.HitFold;
import kelvo.hit.HitFolding;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.hit.SymbolStream;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class ScanAnswersTest {
  private static final Scan SCAN =
      TestSessions.scan(
          "risers",
          List.of(),
          "kind is common stock",
          "change % at least 5%",
          "volume 5m at least 500");
  private final Session session =
      TestSessions.of(
          3,
          tape -> {
            tape.trade(DayTime.of(10, 0), 0, 106_000, 600, SaleCondition.REGULAR.bit());
            tape.trade(DayTime.of(10, 1), 1, 107_000, 100, SaleCondition.REGULAR.bit());
            tape.trade(DayTime.of(10, 20), 2, 100_100, 900, SaleCondition.REGULAR.bit());
          });

  private TapeReplay engineAt(long moment) {
    TapeReplay engine =
        ScanEngine.replay(session, new Program(List.of(SCAN), List.of()), hit -> {});
    engine.runTo(moment);
    return engine;
  }

  @Test
  void matchesAreThoseWhoFitNow() {
    TapeReplay engine = engineAt(DayTime.of(10, 2));

    assertThat(new Matches(SCAN, session).at(engine::state, DayTime.of(10, 2)))
        .extracting(Matches.Row::security)
        .containsExactly(0);
  }

  @Test
  void anEmptyListSaysWhichRuleEndsIt() {
    TapeReplay engine = engineAt(DayTime.of(10, 21));
    WhyEmpty why = WhyEmpty.of(session, SCAN, engine::state, DayTime.of(10, 21));

    assertThat(why.counts()).extracting(WhyEmpty.Count::alone).containsExactly(3, 2, 1);
    assertThat(why.counts()).extracting(WhyEmpty.Count::left).containsExactly(3, 2, 0);
    assertThat(why.sentence()).contains("volume 5m at least 500").contains("1 pass it alone");
  }

  @Test
  void afterTheCloseItSaysThatNothingTrades() {
    TapeReplay engine = engineAt(DayTime.of(16, 30));

    assertThat(WhyEmpty.of(session, SCAN, engine::state, DayTime.of(16, 30)).sentence())
        .contains("market is closed");
  }

  @Test
  void whyNotTellsValueBoundAndWhenTheRuleLastHeld() {
    List<RuleAnswer> answers = WhyNot.explain(session, SCAN, 0, DayTime.of(10, 21));

    assertThat(answers.get(1).passes()).isTrue();
    assertThat(answers.get(1).value()).isEqualTo("6");
    assertThat(answers.get(2).passes()).isFalse();
    assertThat(answers.get(2).value()).isEqualTo("0");
    assertThat(DayTime.seconds(answers.get(2).lastPassed())).isEqualTo("10:04:59");
  }

  @Test
  void repeatsFoldUntilTheFoldTimePassesWithoutAFiring() {
    Session busy =
        TestSessions.of(
            1,
            tape -> {
              long price = 100_000;
              for (String time : List.of("10:00:00", "10:10:00", "10:20:00", "10:40:00")) {
                tape.trade(DayTime.parse(time), 0, price += 500, 100, SaleCondition.REGULAR.bit());
              }
            });
    Scan highs = TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_DAY));

    assertThat(HitFolding.fold(TestSessions.hits(busy, highs), List.of(highs)))
        .extracting(HitFold::count)
        .containsExactly(2, 1);
  }

  @Test
  void theStreamHasOneRowASymbolNewestFirst() {
    Scan any = TestSessions.scan("any", List.of(Trigger.ENTERS), "volume at least 50");
    List<Hit> hits = TestSessions.hits(session, any, SCAN);

    assertThat(SymbolStream.of(hits, List.of(any, SCAN), name -> true))
        .extracting(r -> r.newest().security())
        .containsExactly(2, 1, 0);
    assertThat(SymbolStream.of(hits, List.of(any, SCAN), name -> name.equals("risers"))).hasSize(1);
  }
}
