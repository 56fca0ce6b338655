package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import kelvo.history.UsualDay;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.EarlierDays;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class KeyFiguresViewTest {
  private static final long NOW = DayTime.of(10, 0);

  private static List<String> figures(Session session) {
    session.tape().trade(NOW - DayTime.MINUTE, 0, 100_000, 6_000, SaleCondition.REGULAR.bit());
    session.tape().trade(NOW - DayTime.SECOND, 0, 110_000, 6_000, SaleCondition.REGULAR.bit());
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(NOW);
    return new KeyFiguresView(session, 0)
        .look(new Moment(replay, List.of())).stream()
            .map(figure -> figure.value() + " | " + figure.detail())
            .toList();
  }

  @Test
  void eachIsHeldAgainstWhatIsUsual() {
    double[] minutes = new double[UsualDay.MINUTES];
    Arrays.fill(minutes, 20 * 10.0);
    Session session =
        TestSessions.after(Collections.nCopies(20, "10 10.20 9.80 10 1000"))
            .with(EarlierDays.ofVolume(UsualDay.of(1, i -> 20, i -> minutes)));

    List<String> figures = figures(session);

    assertThat(figures.get(0)).isEqualTo("3.3× | usual 3600");
    assertThat(figures.get(2)).isEqualTo("12K | 240.0× usual");
    assertThat(figures.get(3)).isEqualTo("2.5× | of ATR 0.40");
    assertThat(figures.get(4)).isEqualTo("+4.8% | 10.50");
  }

  @Test
  void aRuleOnAFigureHasItsNumberWithoutSignAndUnit() {
    Session session = TestSessions.after(Collections.nCopies(20, "10 10.20 9.80 10 1000"));
    session.tape().trade(NOW - DayTime.MINUTE, 0, 100_000, 6_000, SaleCondition.REGULAR.bit());
    session.tape().trade(NOW - DayTime.SECOND, 0, 110_000, 6_000, SaleCondition.REGULAR.bit());
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(NOW);

    assertThat(new KeyFiguresView(session, 0).look(new Moment(replay, List.of())))
        .extracting(KeyFiguresView.Figure::number)
        .containsExactly("", "0.01", "12K", "2.5", "4.8");
  }

  /** The field knows regular hours only, so a rule on it would ask something else. */
  @Test
  void theRangeOfThePremarketIsOfNoField() {
    Session session = TestSessions.after(List.of("10 10.20 9.80 10 1000"));
    session.tape().trade(DayTime.of(8, 0), 0, 100_000, 6_000, SaleCondition.EXTENDED.bit());
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.of(9, 0));
    KeyFiguresView.Figure range =
        new KeyFiguresView(session, 0).look(new Moment(replay, List.of())).get(3);

    assertThat(range.label()).isEqualTo("pm range");
    assertThat(range.field()).isEmpty();
  }

  @Test
  void whatIsUnknownIsADash() {
    List<String> figures = figures(TestSessions.after(List.of("10 10.20 9.80 10 1000")));

    assertThat(figures.get(0)).isEqualTo("– | 12K so far");
    assertThat(figures.get(3)).isEqualTo("– | of ATR –");
  }
}
