package kelvo.view;

import kelvo.hit.Program;
import kelvo.hit.MarketEngine;
import kelvo.hit.TestSessions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.field.FieldCatalogue;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.session.Session;
import kelvo.news.Catalyst;
import kelvo.rule.Vocabulary;
import kelvo.view.CatalystFilter;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;

class NewsListTest {
  private static final long NINE = DayTime.of(9, 0);

  private static Catalyst item(long at, String headline, String... symbols) {
    return new Catalyst(at, "Harbour Wire", headline, "", List.of(symbols));
  }

  private static MarketEngine engineAt(long moment) {
    EventTape tape = new EventTape(2);
    print(tape, NINE - DayTime.MINUTE, 100_000);
    print(tape, NINE + DayTime.MINUTE, 110_000);
    Session plain = TestSessions.of(2, t -> {});
    Session session =
        new Session(
            SessionHours.full(TestSessions.DATE),
            Phases.USUAL,
            plain.securities(),
            List.of(
                item(NINE - DayTime.HOUR, "AAAAAA Works prices offering", "AAAAAA"),
                item(NINE, "AAAAAA Works wins contract", "AAAAAA", "BBBBBB", "GONEXX"),
                item(NINE + DayTime.HOUR, "Later", "AAAAAA")),
            List.of(),
            tape);
    MarketEngine engine = new MarketEngine(session, new Program(List.of(), List.of()), hit -> {});
    engine.runTo(moment);
    return engine;
  }

  private static void print(EventTape tape, long at, long price) {
    tape.trade(at, 0, price, 700, SaleCondition.EXTENDED.bit());
  }

  private static MarketSnapshot.News news(String filter) {
    MarketEngine engine = engineAt(NINE + 2 * DayTime.MINUTE);
    return new NewsList(engine.session())
        .at(engine, CatalystFilter.parse(filter, Vocabulary.USUAL));
  }

  @Test
  void listsTheNewestFirstOnceForEachKnownSecurityItNames() {
    MarketSnapshot.News news = news("");

    assertThat(news.all()).isEqualTo(3);
    assertThat(news.rows())
        .extracting(MarketSnapshot.NewsRow::symbol)
        .containsExactly("AAAAAA", "BBBBBB", "AAAAAA");
    assertThat(news.rows())
        .extracting(MarketSnapshot.NewsRow::subject)
        .containsExactly(true, false, true);
  }

  @Test
  void theMarketsAnswerIsMeasuredFromTheItem() {
    MarketSnapshot.NewsRow contract = news("").rows().getFirst();

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
        .extracting(MarketSnapshot.NewsRow::changeSince)
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
            Phases.USUAL,
            TestSessions.of(2, t -> {}).securities(),
            List.of(item(NINE, "AAAAAA Works wins contract", "AAAAAA").knownAt(told)),
            List.of(),
            tape);
    MarketEngine engine = new MarketEngine(session, new Program(List.of(), List.of()), hit -> {});
    NewsList list = new NewsList(session);

    engine.runTo(told - 1);
    assertThat(list.at(engine, CatalystFilter.ALL).all()).isZero();
    assertThat(engine.state(0).news().items()).isZero();
    engine.runTo(told + DayTime.MINUTE);
    assertThat(list.at(engine, CatalystFilter.ALL).rows().getFirst().changeSince()).isEqualTo(20);
    assertThat(field("minutes since news", engine)).isEqualTo(3);
    assertThat(field("change since news", engine)).isEqualTo(20);
  }

  private static double field(String words, MarketEngine engine) {
    return FieldCatalogue.number(words).bind(engine.session()).at(engine.state(0), engine.clock());
  }
}
