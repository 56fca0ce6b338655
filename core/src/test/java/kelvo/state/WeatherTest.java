package kelvo.state;

import kelvo.session.KnownEvent;
import kelvo.tape.SaleCondition;
import kelvo.session.Session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.hit.MarketEngine;
import kelvo.hit.Program;
import kelvo.hit.TestSessions;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class WeatherTest {
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

  private Weather at(long moment) {
    MarketEngine engine = new MarketEngine(session, new Program(List.of(), List.of()), hit -> {});
    engine.runTo(moment);
    return Weather.of(session, engine::state, moment, Weather.usualMovers(session));
  }

  @Test
  void countsTheStocksThatHaveAPriceOfToday() {
    Weather weather = at(DayTime.of(10, 1));

    assertThat(weather.shareUp()).isCloseTo(2 / 3.0, within(1e-12));
    assertThat(weather.movers()).isEqualTo(2);
    assertThat(weather.usualMovers()).isZero();
  }

  @Test
  void namesTheNextEventOfTheWholeMarket() {
    assertThat(at(DayTime.of(10, 1)).next())
        .isNotNull()
        .extracting(KnownEvent::title)
        .isEqualTo("Rate decision");
    assertThat(at(DayTime.of(15, 0)).next()).isNull();
  }

  @Test
  void beforeTheFirstPrintNothingIsKnown() {
    assertThat(at(DayTime.of(5, 0)).shareUp()).isNaN();
  }
}
