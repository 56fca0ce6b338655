package kelvo.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import kelvo.session.Security;
import kelvo.session.SecurityFacts;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;

/**
 * Prints of any number of securities, whose activity falls with their rank as in real markets (a
 * print is of rank r with a chance in proportion to 1 / r).
 */
final class BenchMarket {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final long SEED = 20_310_312;
  private static final int BARS = 60;
  private static final long MIN_PRICE = 20_000;

  private BenchMarket() {}

  /**
   * A session of prints only.
   *
   * @param from the moment of the first print
   * @param apart nanoseconds from one print to the next
   */
  static Session of(int securities, int prints, long from, long apart) {
    return of(securities, prints, from, apart, false);
  }

  /** The same with a quote before each print. */
  static Session quoted(int securities, int prints, long from, long apart) {
    return of(securities, prints, from, apart, true);
  }

  private static Session of(int securities, int prints, long from, long apart, boolean isQuoted) {
    SplittableRandom random = new SplittableRandom(SEED);
    long[] prices = new long[securities];
    List<SecurityFacts> facts = new ArrayList<>();
    for (int i = 0; i < securities; i++) {
      prices[i] = 50_000 + random.nextLong(500_000);
      facts.add(facts(i, prices[i], random));
    }
    double[] upTo = new double[securities];
    double sum = 0;
    for (int i = 0; i < securities; i++) {
      sum += 1.0 / (i + 1);
      upTo[i] = sum;
    }
    EventTape tape = new EventTape(securities);
    for (int n = 0; n < prints; n++) {
      int place = java.util.Arrays.binarySearch(upTo, random.nextDouble() * sum);
      int security = Math.min(securities - 1, place < 0 ? -place - 1 : place);
      long step = (random.nextInt(9) - 4) * Math.max(100, prices[security] / 50_000 * 100);
      prices[security] = Math.max(MIN_PRICE, prices[security] + step);
      if (isQuoted) {
        long cent = 100;
        tape.quote(
            from + n * apart, security, prices[security] - cent, 300, prices[security] + cent, 300);
      }
      tape.trade(
          from + n * apart,
          security,
          prices[security],
          1 + random.nextInt(900),
          SaleCondition.REGULAR.bit());
    }
    return new Session(SessionHours.full(DATE), Phases.DEFAULT, facts, List.of(), List.of(), tape);
  }

  /** A session of prints spread over regular hours. */
  static Session ofRegularHours(int securities, int prints) {
    return of(securities, prints, SessionHours.OPEN, 6 * DayTime.HOUR / prints);
  }

  private static SecurityFacts facts(int number, long price, SplittableRandom random) {
    double shares = 1e6 + random.nextDouble() * 5e7;
    Security security =
        new Security(
            "S" + number,
            "Company " + number,
            "XNAS",
            SecurityKind.COMMON_STOCK,
            "",
            "",
            "",
            shares,
            shares,
            DATE.minusDays(30),
            true,
            false);
    List<DailyBar> bars = new ArrayList<>();
    long close = price;
    for (int i = 0; i < BARS; i++) {
      bars.addFirst(
          new DailyBar(
              DATE.minusDays(i + 1L), close, close + 900, close - 900, close, 1_000_000, 5_000));
      close = Math.max(MIN_PRICE, close + (random.nextInt(9) - 4) * 500L);
    }
    return new SecurityFacts(
        security,
        DailyHistory.before(DATE, DailyBarList.of(bars), List.of()),
        null,
        shares,
        shares);
  }
}
