package kelvo.trigger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyCoil;
import kelvo.history.DailyHistory;
import kelvo.history.UsualDay;
import kelvo.hit.Hit;
import kelvo.hit.TestSessions;
import kelvo.scan.Scan;
import kelvo.session.EarlierDays;
import kelvo.session.SecurityFacts;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/**
 * Every detector by hand-worked prints. The security closed at $10 on each of twenty days, with
 * highs of $10.20, lows of $9.80 and a million shares.
 */
class DetectorsTest {
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  /** Prints such as "10:00:00 10.20 500" of the only security, and what fires when. */
  private static List<String> fired(String trigger, String... prints) {
    return fired(session(prints), trigger);
  }

  private static List<String> fired(Session session, String trigger) {
    List<String> fired = new ArrayList<>();
    for (Hit hit : TestSessions.hits(session, TestSessions.scan("watch", Trigger.parse(trigger)))) {
      fired.add(DayTime.seconds(hit.at()));
    }
    return fired;
  }

  private static Session session(String... prints) {
    return TestSessions.of(
        1,
        tape -> {
          for (int i = 0; i < prints.length; i++) {
            print(tape, prints[i], i + 1);
          }
        });
  }

  private static void print(EventTape tape, String print, int id) {
    String[] parts = print.split(" ");
    long at = DayTime.parse(parts[0]);
    if (parts[1].equals("official_open")) {
      long open = Math.round(Double.parseDouble(parts[2]) * 10_000);
      tape.trade(at, 0, open, 100, SaleCondition.OFFICIAL_OPEN.bit(), id);
      return;
    }
    if (parts[1].equals("cancel")) {
      assertThat(tape.cancel(at, 0, Long.parseLong(parts[2]))).isTrue();
      return;
    }
    long price = Math.round(Double.parseDouble(parts[1]) * 10_000);
    tape.trade(at, 0, price, parts.length < 3 ? 100 : Long.parseLong(parts[2]), REGULAR, id);
  }

  @Test
  void aNewHighOfDaysPassesTheGreaterOfTheirExtremeAndTodays() {
    assertThat(
            fired(
                "new high of 20d",
                "10:00:00 10.20",
                "10:00:01 10.21",
                "10:00:02 10.21",
                "10:00:03 10.30",
                "10:00:04 10.25"))
        .containsExactly("10:00:01", "10:00:03");
    assertThat(fired("new low of 20d", "10:00:00 9.80", "10:00:01 9.79"))
        .containsExactly("10:00:01");
    assertThat(fired("new high of 21d", "10:00:00 11.00")).isEmpty();
    assertThat(fired("new high of 52 weeks", "10:00:00 10.20", "10:00:01 10.21"))
        .as("listed for twenty sessions, at its high")
        .containsExactly("10:00:01");
  }

  /** The first price tells the side alone; the average of twenty closes at $10 moves little. */
  @Test
  void linesThatMoveArePassedToo() {
    assertThat(fired("rises through ema 20d", "10:00:00 9.50", "10:00:01 10.50"))
        .containsExactly("10:00:01");
    assertThat(
            fired(
                "falls through vwap", "10:00:00 10.00 100", "10:00:01 10.50 100", "10:00:02 9.00"))
        .containsExactly("10:00:02");
    assertThat(fired("leaves scan", "10:00:00 9.50")).as("without rules nobody leaves").isEmpty();
    assertThat(fired("enters top 1", "10:00:00 9.50")).hasSize(1);
  }

  @Test
  void aCancelledHighIsNoHigh() {
    assertThat(
            fired(
                "new high of 20d",
                "10:00:00 10.50",
                "10:00:01 cancel 1",
                "10:00:02 10.30",
                "10:00:03 10.29"))
        .containsExactly("10:00:00", "10:00:02");
  }

  @Test
  void aPriceRisesThroughAnAverageOnceUntilItWasAway() {
    assertThat(
            fired(
                "rises through sma 20d",
                "10:00:00 9.90",
                "10:00:01 10.05",
                "10:00:02 9.999",
                "10:00:03 10.005",
                "10:02:00 9.80",
                "10:02:01 9.79",
                "10:02:02 10.10"))
        .containsExactly("10:00:01", "10:02:02");
    assertThat(fired("falls through previous close", "10:00:00 10.10", "10:00:01 9.90"))
        .containsExactly("10:00:01");
  }

  @Test
  void theLastWordToldIsTheSideOnWhichThePriceIs() {
    String[] prints = {
      "10:00:00 9.99", "10:00:05 10.005", "10:00:20 9.985", "10:00:30 9.90", "10:00:40 9.70"
    };

    assertThat(fired("rises through sma 20d", prints)).containsExactly("10:00:05");
    assertThat(fired("falls through sma 20d", prints)).containsExactly("10:00:20");
    // Within a minute a bounce of under 0.1% says nothing; what stands after the minute is told.
    String[] bounce = {
      "10:00:00 9.99", "10:00:05 10.005", "10:00:20 9.995", "10:01:04 9.996", "10:01:05 9.997"
    };
    assertThat(fired("falls through previous close", bounce)).containsExactly("10:01:05");
  }

  @Test
  void volumePassesItsUsualDayOnce() {
    assertThat(
            fired(
                "volume past avg volume 20d",
                "10:00:00 10 999999",
                "10:00:01 10 1",
                "10:00:02 10 500"))
        .containsExactly("10:00:01");
  }

  @Test
  void aBurstPassesAMultipleOfTheUsualFiveMinutes() {
    double[] minutes = new double[960];
    java.util.Arrays.fill(minutes, 20 * 1_000);
    Session session =
        session(
                "10:00:00 10 9000",
                "10:01:00 10 15999",
                "10:01:01 10 1",
                "10:02:00 10 400",
                "10:08:00 10 24999",
                "10:08:01 10 2")
            .with(EarlierDays.ofVolume(UsualDay.of(1, i -> 20, i -> minutes)));

    assertThat(fired(session, "volume burst 5x")).containsExactly("10:01:01", "10:08:01");
    assertThat(fired(session, "volume burst 5x of at least 30k")).isEmpty();
  }

  @Test
  void aBurstComesWhenWhatIsUsualFallsUnderTheVolume() {
    double[] minutes = new double[960];
    java.util.Arrays.fill(minutes, 0, 362, 20 * 1_000);
    Session session =
        session("10:01:00 10 15000")
            .with(EarlierDays.ofVolume(UsualDay.of(1, i -> 20, i -> minutes)));

    // 1,000 a minute until 10:02 and nothing after: five minutes at 10:02:00 are 5,000 and fall
    // by 1,000 a minute, so that five times them are 15,000 at 10:04:00.
    assertThat(fired(session, "volume burst 5x")).containsExactly("10:04:00");
  }

  @Test
  void whereNothingIsUsualTheFloorAloneDecides() {
    Session session =
        session("07:12:00 10 79999", "07:12:01 10 1", "07:12:02 10 50")
            .with(EarlierDays.ofVolume(UsualDay.of(1, i -> 20, i -> null)));

    assertThat(fired(session, "volume burst 5x of at least 80K")).containsExactly("07:12:01");
    Session unknown = session.with(EarlierDays.ofVolume(UsualDay.of(1, i -> 9, i -> null)));
    assertThat(fired(unknown, "volume burst 5x of at least 80K")).isEmpty();
  }

  @Test
  void aMoverHasChangedSinceSomeMinutesAgo() {
    assertThat(
            fired(
                "up 3% in 5m",
                "10:00:00 10.00",
                "10:04:00 10.20",
                "10:05:00 10.29",
                "10:06:00 10.30",
                "10:06:30 10.35",
                "10:09:00 10.40"))
        .containsExactly("10:06:00");
    assertThat(fired("down 3% in 5m", "10:00:00 10.00", "10:05:00 9.70"))
        .containsExactly("10:05:00");
  }

  @Test
  void aMoverWithoutAPriceThenIsHeldAgainstThePreviousClose() {
    assertThat(fired("up 7% in 5m", "07:00:05 10.71", "07:00:06 10.72", "07:05:05 10.73"))
        .containsExactly("07:00:05");
    assertThat(fired("up 7% in 5m", "07:00:05 10.69")).isEmpty();
  }

  @Test
  void aMoverIsAskedAtAPrintThatDoesNotChangeThePrice() {
    assertThat(
            fired(
                "down 3% in 5m",
                "10:00:00 10.00",
                "10:01:00 10.40",
                "10:02:00 10.05",
                "10:06:30 10.05",
                "10:06:40 10.05"))
        .containsExactly("10:06:30");
  }

  @Test
  void aLargePrintIsLargeInSharesOrMoney() {
    String[] prints = {"10:00:00 10 49999", "10:00:01 10 50000", "10:00:02 20 50000"};

    assertThat(fired("print of 50K shares", prints)).containsExactly("10:00:01", "10:00:02");
    assertThat(fired("print of $1M", prints)).containsExactly("10:00:02");
  }

  @Test
  void aLargePrintIsAtAPriceOfTheMomentAndNoCrossUnlessAsked() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              long at = DayTime.of(10, 0);
              SaleCondition[] conditions = {
                SaleCondition.AVERAGE_PRICE,
                SaleCondition.DERIVATIVE,
                SaleCondition.CONTINGENT,
                SaleCondition.CLOSING,
                SaleCondition.REGULAR
              };
              for (int i = 0; i < conditions.length; i++) {
                long when = at + i * DayTime.SECOND;
                tape.trade(when, 0, 100_000, 60_000, conditions[i].bit(), i + 1);
              }
            });

    assertThat(fired(session, "print of 50K shares")).containsExactly("10:00:04");
    assertThat(fired(session, "print of 50K shares or cross"))
        .containsExactly("10:00:03", "10:00:04");
  }

  @Test
  void stairsCountHigherHighsAfterSmallPullbacks() {
    String[] climb = {
      "10:00:00 10.00",
      "10:01:00 10.20",
      "10:02:00 10.12",
      "10:03:00 10.25",
      "10:04:00 10.15",
      "10:05:00 10.19",
      "10:06:00 10.40",
      "10:07:00 10.30",
      "10:08:00 10.45",
      "10:09:00 10.20",
      "10:10:00 10.50"
    };

    assertThat(fired("stair step 1", climb)).containsExactly("10:03:00", "10:08:00");
    assertThat(fired("stair step 2", climb)).isEmpty();
  }

  @Test
  void aHigherHighWithoutAPullbackIsNoStep() {
    assertThat(
            fired(
                "stair step 1",
                "10:00:00 10.00",
                "10:01:00 10.05",
                "10:02:00 10.01",
                "10:03:00 10.20",
                "10:04:00 10.21"))
        .isEmpty();
  }

  @Test
  void aBounceBetweenBidAndAskIsNoPullback() {
    assertThat(
            fired(
                "stair step 1",
                "10:00:00 10.00",
                "10:01:00 10.20",
                "10:01:01 10.19",
                "10:01:02 10.21",
                "10:01:03 10.19",
                "10:01:04 10.22"))
        .isEmpty();
    // 0.2% of 3.20 would be less than two ticks.
    String[] cheap = {"10:00:00 3.00", "10:01:00 3.20", "10:01:01 3.19", "10:01:02 3.21"};
    assertThat(fired("stair step 1", cheap)).isEmpty();
    cheap[2] = "10:01:01 3.18";
    assertThat(fired("stair step 1", cheap)).containsExactly("10:01:02");
  }

  @Test
  void aSecondStepFollowsTheFirstWhileItsLowHolds() {
    assertThat(
            fired(
                "stair step 2",
                "10:00:00 10.00",
                "10:01:00 10.20",
                "10:02:00 10.15",
                "10:03:00 10.30",
                "10:04:00 10.25",
                "10:05:00 10.35"))
        .containsExactly("10:05:00");
    assertThat(
            fired(
                "stair step 2",
                "10:00:00 10.00",
                "10:01:00 10.20",
                "10:02:00 10.15",
                "10:03:00 10.30",
                "10:40:00 10.25",
                "10:41:00 10.35"))
        .isEmpty();
  }

  @Test
  void anOpeningGapIsKnownWithTheOpen() {
    String[] prints = {"09:29:00 10.60", "09:30:01 10.50", "09:30:02 11.00"};

    assertThat(fired("opening gap up 5%", prints)).containsExactly("09:30:01");
    assertThat(fired("opening gap up 6%", prints)).isEmpty();
    assertThat(fired("opening gap down 2%", "09:30:00 9.80")).containsExactly("09:30:00");
  }

  @Test
  void anOfficialOpenThatIsAnotherCountsOnceMore() {
    String[] gaps = {"09:30:00 10.50", "09:30:01 10.52", "09:30:04 official_open 10.60"};

    assertThat(fired("opening gap up 5%", gaps)).containsExactly("09:30:00", "09:30:04");
    assertThat(fired("opening gap up 6%", gaps)).containsExactly("09:30:04");
    gaps[2] = "09:30:04 official_open 10.50";
    assertThat(fired("opening gap up 5%", gaps)).containsExactly("09:30:00");
    gaps[2] = "09:30:04 official_open 10.10";
    assertThat(fired("opening gap up 5%", gaps)).containsExactly("09:30:00");
  }

  /** A scan whose window opens at ten and whose rules ask for 1,000 shares. */
  private static List<String> firedLater(String trigger, String... prints) {
    Scan whole = TestSessions.scan("late", Trigger.parse(trigger), "volume at least 1K");
    Scan late =
        new Scan(
            whole.name(),
            "",
            whole.universe(),
            DayTime.of(10, 0),
            DayTime.LAST,
            whole.rules(),
            List.of(),
            whole.triggers(),
            whole.fold(),
            whole.side(),
            whole.limit(),
            List.of(),
            List.of());
    return TestSessions.hits(session(prints), late).stream()
        .map(hit -> DayTime.seconds(hit.at()))
        .toList();
  }

  @Test
  void aScanThatWasShutHasItsHitWhenItOpens() {
    assertThat(firedLater("opening gap up 5%", "09:30:00 10.60 5000"))
        .as("the window opens")
        .containsExactly("10:00:00");
    assertThat(
            firedLater("opening gap up 5%", "09:30:00 10.60 10", "10:05:00 9 10", "10:06:00 9 980"))
        .as("the rules begin to hold")
        .containsExactly("10:06:00");
    assertThat(firedLater("volume past avg volume 20d", "09:40:00 10 1000000", "10:00:30 10 5"))
        .containsExactly("10:00:00");
    assertThat(
            firedLater(
                "first dip 3% after gap 5% regaining 50%",
                "09:30:00 11 900",
                "09:31:00 10 10",
                "09:32:00 10.60 10",
                "10:01:00 10.20 500",
                "10:02:00 10.55 10"))
        .as("what was regained is lost when the window opens, and comes back")
        .containsExactly("10:02:00");
  }

  @Test
  void theFirstDipIsRegained() {
    assertThat(
            fired(
                "first dip 3% after gap 5% regaining 50%",
                "09:30:00 11.00",
                "09:31:00 11.50",
                "09:32:00 11.10",
                "09:33:00 11.25",
                "09:34:00 11.31",
                "09:35:00 10.00",
                "09:36:00 12.00"))
        .containsExactly("09:34:00");
    assertThat(
            fired(
                "first dip 3% after gap 5% regaining 50%",
                "09:30:00 10.40", "09:31:00 10.00", "09:32:00 10.40"))
        .isEmpty();
  }

  @Test
  void aDeepDipIsRegainedByTheSamePart() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              String[] prints = {
                "09:30:00 20.00", "09:31:00 18.00", "09:32:00 18.99", "09:33:00 19.00"
              };
              for (int i = 0; i < prints.length; i++) {
                print(tape, prints[i], i + 1);
              }
            });

    assertThat(fired(session, "first dip 3% after gap 5% regaining 50%"))
        .containsExactly("09:33:00");
  }

  @Test
  void aGapOutOfTheCoilOpensIt() {
    List<DailyBar> bars =
        IntStream.range(0, 60)
            .mapToObj(
                i ->
                    new DailyBar(
                        TestSessions.DATE.minusDays(60 - i),
                        100_000,
                        103_000,
                        97_000,
                        100_000 + (i % 2) * 500,
                        1_000_000,
                        900))
            .toList();
    SecurityFacts facts = TestSessions.facts("AAAAAA", SecurityKind.COMMON_STOCK, 10e6);
    DailyHistory history = DailyHistory.before(TestSessions.DATE, DailyBarList.of(bars), List.of());
    assertThat(new DailyCoil(history).yesterday()).isEqualTo(1);
    Session plain = session("04:10:00 13.00", "04:11:00 13.10");
    Session coiled =
        new Session(
            plain.hours(),
            plain.phases(),
            List.of(new SecurityFacts(facts.security(), history, null, facts.floatShares(), 20e6)),
            List.of(),
            List.of(),
            plain.tape());

    assertThat(fired(coiled, "coil opens")).containsExactly("04:10:00");
  }

  @Test
  void aBaseBreaksAboveTwoHighsWithRisingLows() {
    String[] base = {
      "10:00:00 10.50 100",
      "10:01:00 10.20 100",
      "10:06:00 10.48 100",
      "10:07:00 10.30 100",
      "10:08:00 10.49 100",
      "10:08:30 10.55 900"
    };
    assertThat(fired("base break", base)).containsExactly("10:08:30");

    base[3] = "10:07:00 10.10 100";
    assertThat(fired("base break", base)).isEmpty();
  }

  @Test
  void aPriceNearsTheBandOfItsTier() {
    assertThat(
            fired(
                "band near",
                "09:30:00 10.00",
                "09:30:10 10.80",
                "09:30:20 10.92",
                "09:30:25 10.95"))
        .containsExactly("09:30:20");
  }

  @Test
  void theReferenceOfABandIsTheOfficialOpenAndMovesOnceItHasStoodForThirtySeconds() {
    // The band of 10.00 ends at 11.00, that of the official 10.20 at 11.22.
    assertThat(fired("band near", "09:30:00 10.00", "09:30:01 10.90")).containsExactly("09:30:01");
    assertThat(
            fired(
                "band near",
                "09:30:00 10.00",
                "09:30:01 official_open 10.20",
                "09:30:02 10.90",
                "09:30:03 11.11"))
        .containsExactly("09:30:03");
    // The mean of 10.00 and 10.80 is 10.40: its band ends at 11.44.
    assertThat(fired("band near", "09:31:00 10.00", "09:31:10 10.80", "09:31:29 10.91"))
        .containsExactly("09:31:29");
    assertThat(fired("band near", "09:31:00 10.00", "09:31:10 10.80", "09:31:30 10.91")).isEmpty();
  }

  @Test
  void anImbalanceIsLargeInSharesOrAgainstAUsualDay() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              tape.imbalance(DayTime.of(15, 50), 0, true, 10_000, 49_999, 100_000);
              tape.imbalance(DayTime.of(15, 51), 0, false, 10_000, 50_000, 100_000);
            });

    assertThat(fired(session, "imbalance of 50K shares")).containsExactly("15:51:00");
    assertThat(fired(session, "imbalance of 0.05x avg volume")).containsExactly("15:51:00");
    assertThat(fired(session, "imbalance of 40K shares to buy")).containsExactly("15:50:00");
    assertThat(fired(session, "imbalance of 40K shares to sell")).containsExactly("15:51:00");
  }

  @Test
  void aRangeRatioIsReachedOnce() {
    assertThat(
            fired(
                "range ratio past 2x",
                "10:00:00 10.00",
                "10:01:00 10.79",
                "10:02:00 10.80",
                "10:03:00 11.00"))
        .containsExactly("10:02:00");
  }

  @Test
  void aFadeNeedsALateHighALowerHighAndABrokenSwing() {
    String[] prints = {
      "12:30:00 12.00",
      "12:31:00 11.60",
      "12:32:00 11.80",
      "12:33:00 11.70",
      "12:34:00 11.65",
      "12:35:00 11.55"
    };

    assertThat(fired("fade from 10% with high after 12:00", prints)).containsExactly("12:35:00");
    assertThat(fired("fade from 10% with high after 13:00", prints)).isEmpty();
    assertThat(fired("fade from 30% with high after 12:00", prints)).isEmpty();
  }

  @Test
  void aFadeBelowItsTrendLineNeedsTwoRisingSwingLows() {
    String[] prints = {
      "12:00:00 11.50", "12:01:00 11.20", "12:02:00 11.60", "12:03:00 11.80", "12:04:00 11.40",
      "12:05:00 11.90", "12:06:00 12.40", "12:07:00 12.00", "12:08:00 12.20", "12:09:00 12.10",
      "12:10:00 11.95", "12:11:00 11.58"
    };

    assertThat(fired("fade from 10% with high after 12:00 below its trend line", prints))
        .containsExactly("12:10:00");
    String[] falling = {
      "12:00:00 11.50",
      "12:01:00 11.40",
      "12:02:00 11.90",
      "12:03:00 12.40",
      "12:04:00 11.30",
      "12:05:00 11.90",
      "12:06:00 11.35",
      "12:07:00 11.10"
    };
    assertThat(fired("fade from 10% with high after 12:00", falling)).containsExactly("12:07:00");
    assertThat(fired("fade from 10% with high after 12:00 below its trend line", falling))
        .isEmpty();
  }

  @Test
  void newsFiresWhenTheItemMeetsTheRule() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              tape.news(DayTime.of(9, 0), 0, 1);
              tape.news(DayTime.of(9, 5), 0, 0);
            });

    assertThat(fired(session, "news (tone above 0.3, subject)")).containsExactly("09:05:00");
    assertThat(fired(session, "news (category offering)")).containsExactly("09:00:00");
    assertThat(fired(session, "news")).hasSize(2);
  }

  @Test
  void everyTriggerIsFoundByItsOwnWords() {
    assertThat(TriggerCatalogue.all())
        .allSatisfy(t -> assertThat(Trigger.parse(t.words())).containsExactly(t))
        .allSatisfy(t -> assertThat(t.meaning()).endsWith("."));
  }
}
