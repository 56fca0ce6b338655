package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.hit.Program;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.player.SessionRun;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trade.OpenPosition;
import kelvo.trade.TradeSide;
import kelvo.trigger.Trigger;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.Test;

class WatchViewTest {
  private static final List<Field> COLUMNS =
      List.of(FieldCatalogue.number("volume"), FieldCatalogue.find("symbol").orElseThrow());
  private static final long ENTERED = DayTime.of(9, 40);
  private static final long LEFT = DayTime.of(9, 50);

  /** The second security rises over 11 and falls back. */
  private static void prices(EventTape tape) {
    int regular = SaleCondition.REGULAR.bit();
    tape.trade(DayTime.of(9, 31), 0, Price.parse("10.50"), 500, regular);
    tape.trade(DayTime.of(9, 32), 1, Price.parse("10.00"), 500, regular);
    tape.trade(ENTERED, 1, Price.parse("11.50"), 500, regular);
    tape.trade(LEFT, 1, Price.parse("10.20"), 500, regular);
  }

  private static Level level(String price, LevelKind kind) {
    return Level.standing("AAAAAA", Price.parse(price), kind, DayTime.of(9, 0));
  }

  private static List<WatchView.Watched> at(
      long moment, List<WatchView.Watching> watching, Scan follows) {
    Session session = TestSessions.of(2, WatchViewTest::prices);
    List<Scan> scans = follows == null ? List.of() : List.of(follows);
    SessionRun run = SessionRun.of(session, new Program(scans, List.of()), Progress.NONE);
    TapeReplay replay = run.replay();
    run.seek(replay, moment);
    return new WatchView(session, watching, COLUMNS, follows)
        .look(new Moment(replay, run.hitsUntil(moment)));
  }

  @Test
  void theNearestLevelRingsNextAndTheStopOnlyMeasures() {
    OpenPosition held =
        new OpenPosition("main", "AAAAAA", TradeSide.LONG, BigDecimal.valueOf(300), 10.20, 0);
    WatchView.Watching watching =
        new WatchView.Watching(
            Watchlist.Entry.of("AAAAAA").in("first"),
            Side.UP,
            List.of(
                level("10.10", LevelKind.STOP),
                level("11.00", LevelKind.BY_HAND),
                level("12.00", LevelKind.TARGET)),
            held);

    WatchView.Watched row = at(DayTime.of(9, 45), List.of(watching), null).getFirst();

    assertThat(row.next().price()).isEqualTo(Price.parse("11.00"));
    assertThat(row.awayPercent()).isCloseTo(100 * 0.5 / 10.5, within(1e-6));
    assertThat(row.values()).as("the list's own columns").containsExactly("500", "AAAAAA");
    assertThat(row.watching().entry().section()).isEqualTo("first");
    assertThat(row.risks()).isCloseTo(3, within(1e-9));
    WatchView.Held all = WatchView.Held.of(List.of(row));
    assertThat(all.positions()).isEqualTo(1);
    assertThat(all.result()).isCloseTo(90, within(1e-9));
  }

  @Test
  void aListThatFollowsAScanHasWhoFitsAndKeepsWhoHasLeftUntilThePhaseEnds() {
    Scan scan = TestSessions.scan("risers", List.of(Trigger.ENTERS), "price at least 11");

    assertThat(at(ENTERED + DayTime.MINUTE, List.of(), scan))
        .extracting(WatchView.Watched::symbol, WatchView.Watched::hasLeft)
        .containsExactly(org.assertj.core.groups.Tuple.tuple("BBBBBB", false));
    assertThat(at(LEFT + DayTime.MINUTE, List.of(), scan))
        .extracting(WatchView.Watched::symbol, WatchView.Watched::hasLeft)
        .containsExactly(org.assertj.core.groups.Tuple.tuple("BBBBBB", true));
    assertThat(at(DayTime.of(10, 30), List.of(), scan)).isEmpty();
  }
}
