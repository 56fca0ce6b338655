package kelvo.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.Test;

/** Alerts through the engine that also runs the scans. */
class AlertScansTest {
  private static final Scan RISERS =
      TestSessions.scan("risers", List.of(Trigger.ENTERS), "price at least 11");

  /**
   * Two securities that rise from 10 to 12 by 20 cents a minute from 09:31, the second a cent more.
   */
  private static void events(EventTape tape) {
    for (int i = 0; i <= 10; i++) {
      long at = DayTime.of(9, 31) + i * DayTime.MINUTE;
      tape.trade(at, 0, 100_000 + 2_000 * i, 500, SaleCondition.REGULAR.bit());
      tape.trade(at + 1, 1, 100_100 + 2_000 * i, 500, SaleCondition.REGULAR.bit());
    }
  }

  private final Session session = TestSessions.of(2, AlertScansTest::events);

  private static Alert alert(String sentence, long armedAt) {
    return AlertSentence.parse(sentence, Vocabulary.DEFAULT, TestSessions.DATE)
        .alert()
        .arm(TestSessions.DATE.atTime(LocalTime.ofNanoOfDay(armedAt)));
  }

  private List<String> hits(Alert... alerts) {
    List<Scan> asked =
        new AlertScans(
                TestSessions.DATE,
                List.of(Watchlist.of("mine", List.of("BBBBBB"))),
                List.of("AAAAAA"),
                List.of(RISERS))
            .of(List.of(alerts));
    SessionRun run =
        SessionRun.of(session, new Program(List.of(), List.of(), asked), Progress.NONE);
    List<String> hits = new ArrayList<>();
    for (Hit hit : run.hits()) {
      hits.add(hit.symbol() + " " + DayTime.minutes(hit.at()) + " " + Price.text(hit.price()));
    }
    return hits;
  }

  @Test
  void anAlertFindsItsSymbolAtItsPriceAndNobodyElse() {
    assertThat(hits(alert("AAAAAA rises through 11.10", DayTime.of(9, 0))))
        .containsExactly("AAAAAA 09:37 11.20");
  }

  @Test
  void aListAScanAndEverything() {
    assertThat(hits(alert("list mine: rises through 11.10", DayTime.of(9, 0))))
        .containsExactly("BBBBBB 09:37 11.21");
    assertThat(hits(alert("the ten: rises through 11.10", DayTime.of(9, 0))))
        .containsExactly("AAAAAA 09:37 11.20");
    assertThat(hits(alert("everything: rises through 11.10", DayTime.of(9, 0)))).hasSize(2);
    assertThat(hits(alert("scan risers:", DayTime.of(9, 0))))
        .containsExactly("AAAAAA 09:36 11.00", "BBBBBB 09:36 11.01");
    assertThat(hits(alert("scan risers: rises through 11.50", DayTime.of(9, 0))))
        .containsExactly("AAAAAA 09:39 11.60", "BBBBBB 09:39 11.61");
  }

  @Test
  void rulesNarrowWhatATriggerFinds() {
    assertThat(hits(alert("everything: rises through 11.10 while price at least 11.21", 0)))
        .containsExactly("BBBBBB 09:37 11.21");
  }

  @Test
  void beforeItIsArmedAnAlertIsNotLookedForAndAfterItsTimeNeither() {
    assertThat(hits(alert("AAAAAA price at least 11", DayTime.of(9, 38))))
        .as("it holds already when the alert is made")
        .containsExactly("AAAAAA 09:38 11.20");
    assertThat(hits(alert("AAAAAA rises through 11.10 before 09:37", DayTime.of(9, 0)))).isEmpty();
    assertThat(hits(alert("list nowhere: halt", 0), alert("scan nothing:", 0))).isEmpty();
  }

  @Test
  void moreAlertsThanABoardOfScansHoldsAreAllLookedFor() {
    List<Alert> many = new ArrayList<>();
    for (int i = 0; i < 150; i++) {
      many.add(alert("AAAAAA rises through 11." + (100 + i), 0));
    }
    assertThat(hits(many.toArray(Alert[]::new))).hasSize(150);
  }

  @Test
  void alertsLeaveTheHitsOfScansAsTheyAre() {
    List<Scan> alerts =
        new AlertScans(TestSessions.DATE, List.of(), List.of(), List.of())
            .of(List.of(alert("everything: rises through 11.10", 0)));
    SessionRun without =
        SessionRun.of(session, new Program(List.of(RISERS), List.of()), Progress.NONE);
    SessionRun with =
        SessionRun.of(session, new Program(List.of(RISERS), List.of(), alerts), Progress.NONE);

    assertThat(with.hits().stream().filter(hit -> hit.scan().equals("risers")))
        .extracting(Hit::at, Hit::symbol)
        .isEqualTo(
            without.hits().stream()
                .map(h -> org.assertj.core.groups.Tuple.tuple(h.at(), h.symbol()))
                .toList());
    assertThat(without.with(new Program(List.of(RISERS), List.of(), alerts), Progress.NONE).hits())
        .as("set while the day goes on")
        .isEqualTo(with.hits());
  }

  /** A session that goes on finds what a recorded one finds. */
  @Test
  void alertsFindTheSameLiveAndReplayed() {
    List<Scan> alerts =
        new AlertScans(TestSessions.DATE, List.of(), List.of(), List.of(RISERS))
            .of(
                List.of(
                    alert("everything: rises through 11.10", 0),
                    alert("scan risers:", 0),
                    alert("AAAAAA new high of day, again after 1m", DayTime.of(9, 35))));
    Program program = new Program(List.of(RISERS), List.of(), alerts);
    Session live = TestSessions.of(2, tape -> {});
    SessionRun going = SessionRun.begun(live, program, Progress.NONE);
    for (int i = 0; i < session.tape().size(); i++) {
      live.tape()
          .trade(
              session.tape().time(i),
              session.tape().symbol(i),
              session.tape().price(i),
              500,
              SaleCondition.REGULAR.bit());
      going.grow(Progress.NONE);
    }

    assertThat(going.hits()).isEqualTo(SessionRun.of(session, program, Progress.NONE).hits());
  }
}
