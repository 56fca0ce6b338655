package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.field.FieldCatalogue;
import kelvo.hit.TestSessions;
import kelvo.news.Catalyst;
import kelvo.replay.TapeReplay;
import kelvo.rule.Vocabulary;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;

class NewsViewTest {
  private static final long NINE = DayTime.of(9, 0);

  private static Catalyst item(long at, String headline, String... symbols) {
    return new Catalyst(at, "Harbour Wire", headline, "", List.of(symbols));
  }

  private static TapeReplay replayAt(long moment) {
    EventTape tape = new EventTape(2);
    print(tape, NINE - DayTime.MINUTE, 100_000);
    print(tape, NINE + DayTime.MINUTE, 110_000);
    Session plain = TestSessions.of(2, t -> {});
    Session session =
        new Session(
            SessionHours.full(TestSessions.DATE),
            Phases.DEFAULT,
            plain.securities(),
            List.of(
                item(NINE - DayTime.HOUR, "AAAAAA Works prices offering", "AAAAAA"),
                item(NINE, "AAAAAA Works wins contract", "AAAAAA", "BBBBBB", "GONEXX"),
                item(NINE + DayTime.HOUR, "Later", "AAAAAA")),
            List.of(),
            tape);
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(moment);
    return replay;
  }

  private static void print(EventTape tape, long at, long price) {
    tape.trade(at, 0, price, 700, SaleCondition.EXTENDED.bit());
  }

  private static NewsView.NewsList news(String filter) {
    TapeReplay replay = replayAt(NINE + 2 * DayTime.MINUTE);
    return new NewsView(replay.session(), CatalystFilter.parse(filter, Vocabulary.DEFAULT))
        .look(new Moment(replay, List.of()));
  }

  @Test
  void listsTheNewestFirstOnceForEachKnownSecurityItNames() {
    NewsView.NewsList news = news("");

    assertThat(news.all()).isEqualTo(3);
    assertThat(news.rows())
        .extracting(NewsView.NewsRow::symbol)
        .containsExactly("AAAAAA", "BBBBBB", "AAAAAA");
    assertThat(news.rows())
        .extracting(NewsView.NewsRow::subject)
        .containsExactly(true, false, true);
  }

  @Test
  void theMarketsAnswerIsMeasuredFromTheItem() {
    NewsView.NewsRow contract = news("").rows().getFirst();

    assertThat(contract.changeSince()).isCloseTo(10, within(1e-9));
    assertThat(contract.volumeFiveMinutes()).isEqualTo(1_400);
  }

  @Test
  void aFilterAsksForTheItemAndForTheMarketsAnswer() {
    assertThat(news("subject, tone above 0.3").rows()).hasSize(1);
    assertThat(news("category offering, volume 5m at least 1K").rows()).hasSize(1);
    assertThat(news("volume 5m at least 1K, subject, change % below 0%").rows()).isEmpty();
  }

  @Test
  void theChangeSinceEachItemIsAFilterOfItsOwn() {
    assertThat(news("change since at least 9.9%").rows())
        .extracting(NewsView.NewsRow::changeSince)
        .isNotEmpty()
        .allMatch(change -> change >= 9.9);
    assertThat(news("since below 0%").rows()).allMatch(row -> row.changeSince() < 0);
    assertThat(news("since above 90%, subject").rows()).isEmpty();
    assertThatThrownBy(() -> news("since above lots")).hasMessageContaining("\"lots\"");
  }

  @Test
  void aWrongPartIsNamed() {
    assertThatThrownBy(() -> news("loudness above 3"))
        .hasMessageContaining("loudness")
        .hasMessageContaining("subject, mention, tone, weight");
  }

  @Test
  void anItemToldLateIsUnknownUntilItIsToldAndThenCountsFromItsPublication() {
    long told = NINE + 2 * DayTime.MINUTE;
    EventTape tape = new EventTape(2);
    print(tape, NINE - DayTime.MINUTE, 100_000);
    print(tape, NINE + DayTime.MINUTE, 110_000);
    tape.news(told, 0, 0);
    print(tape, told + DayTime.MINUTE, 120_000);
    Session session =
        new Session(
            SessionHours.full(TestSessions.DATE),
            Phases.DEFAULT,
            TestSessions.of(2, t -> {}).securities(),
            List.of(item(NINE, "AAAAAA Works wins contract", "AAAAAA").knownAt(told)),
            List.of(),
            tape);
    TapeReplay replay = new TapeReplay(session);
    NewsView list = new NewsView(session, CatalystFilter.ALL);

    replay.runTo(told - 1);
    assertThat(list.look(new Moment(replay, List.of())).all()).isZero();
    assertThat(replay.state(0).news().items()).isZero();
    replay.runTo(told + DayTime.MINUTE);
    assertThat(list.look(new Moment(replay, List.of())).rows().getFirst().changeSince())
        .isEqualTo(20);
    assertThat(field("minutes since news", replay)).isEqualTo(3);
    assertThat(field("change since news", replay)).isEqualTo(20);
  }

  private static double field(String words, TapeReplay replay) {
    return FieldCatalogue.number(words).bind(replay.session()).at(replay.state(0), replay.clock());
  }
}
