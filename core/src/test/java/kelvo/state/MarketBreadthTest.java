package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.field.FieldCatalogue;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.KnownEvent;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class MarketBreadthTest {
  private final Session plain =
      TestSessions.of(
          4,
          tape -> {
            tape.trade(DayTime.of(10, 0), 0, 112_000, 100, SaleCondition.REGULAR.bit());
            tape.trade(DayTime.of(10, 0), 1, 101_000, 100, SaleCondition.REGULAR.bit());
            tape.trade(DayTime.of(10, 0), 2, 88_000, 100, SaleCondition.REGULAR.bit());
          });
  private final Session session =
      new Session(
          plain.hours(),
          plain.phases(),
          plain.securities(),
          List.of(),
          List.of(
              new KnownEvent(DayTime.of(14, 0), "", "rates", "Rate decision"),
              new KnownEvent(DayTime.of(11, 0), "AAAAAA", "earnings", "its own"),
              new KnownEvent(DayTime.of(8, 30), "", "prices", "Consumer prices")),
          plain.tape());

  private MarketBreadth at(long moment) {
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(moment);
    return MarketBreadth.of(replay.market(), moment);
  }

  @Test
  void countsTheStocksThatHaveAPriceOfToday() {
    MarketBreadth breadth = at(DayTime.of(10, 1));

    assertThat(breadth.shareUp()).isCloseTo(200 / 3.0, within(1e-12));
    assertThat(breadth.movers()).isEqualTo(2);
    assertThat(breadth.usualMovers()).isZero();
  }

  @Test
  void namesTheNextEventOfTheWholeMarket() {
    assertThat(at(DayTime.of(10, 1)).next())
        .isNotNull()
        .extracting(KnownEvent::title)
        .isEqualTo("Rate decision");
    assertThat(at(DayTime.of(15, 0)).next()).isNull();
  }

  /**
   * A quote gives Kelvo's price, but nobody has traded yet: the field and the top bar leave it out.
   */
  @Test
  void aStockWithQuotesOnlyCountsNeitherInTheFieldNorOnTheTopBar() {
    TapeReplay replay = new TapeReplay(session);
    session.tape().quote(DayTime.of(10, 2), 3, 120_000, 100, 120_100, 100);
    replay.runTo(DayTime.of(10, 3));
    double field =
        FieldCatalogue.number("market share up").bind(session).at(replay.state(0), replay.clock());

    assertThat(replay.state(3).price()).isEqualTo(120_050);
    assertThat(MarketBreadth.of(replay.market(), replay.clock()).shareUp())
        .isEqualTo(field)
        .isCloseTo(200 / 3.0, within(1e-12));
  }

  @Test
  void beforeTheFirstPrintNothingIsKnown() {
    assertThat(at(DayTime.of(5, 0)).shareUp()).isNaN();
  }
}
