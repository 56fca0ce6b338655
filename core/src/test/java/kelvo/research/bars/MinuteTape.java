package kelvo.research.bars;

import java.lang.foreign.MemorySegment;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kelvo.history.MinuteCounts;
import kelvo.history.SessionMinutes;
import kelvo.hit.TestSessions;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;

/**
 * Sessions told twice: by prints, and by the minute bars that those make. Securities are AAAAAA,
 * BBBBBB ... that closed at $10 the day before.
 */
final class MinuteTape {
  /** A bar of a security, dollars. */
  record Bar(
      int security,
      String minute,
      double open,
      double high,
      double low,
      double close,
      long volume) {
    /** A minute with prints at one price only. */
    static Bar at(int security, String minute, double price, long volume) {
      return new Bar(security, minute, price, price, price, price, volume);
    }

    int ofDay() {
      return (int) (DayTime.parse(minute + ":00") / DayTime.MINUTE);
    }
  }

  private MinuteTape() {}

  /** A session of bars, in which each security's stand in order. */
  static BarSession session(int securities, List<Bar> bars) {
    Session known = TestSessions.of(securities, tape -> {});
    return session(known, minutes(securities, bars));
  }

  /** Bars of the securities of a session, whose tape is not looked at. */
  static BarSession session(Session known, SessionMinutes minutes) {
    return new BarSession(
        known.hours(), known.phases(), minutes, DayTotals.of(known.hours(), minutes), () -> known);
  }

  static SessionMinutes minutes(int securities, List<Bar> bars) {
    List<String> symbols =
        IntStream.range(0, securities)
            .mapToObj(i -> String.valueOf((char) ('A' + i)).repeat(6))
            .toList();
    List<Bar> sorted = new ArrayList<>();
    int[] ends = new int[securities];
    for (int i = 0; i < securities; i++) {
      int security = i;
      bars.stream().filter(bar -> bar.security() == security).forEach(sorted::add);
      ends[i] = sorted.size();
    }
    short[] minute = new short[sorted.size()];
    long[][] columns = new long[6][sorted.size()];
    for (int row = 0; row < minute.length; row++) {
      Bar bar = sorted.get(row);
      minute[row] = (short) bar.ofDay();
      columns[0][row] = bar.volume();
      columns[1][row] = 1;
      columns[2][row] = Price.of(bar.open());
      columns[3][row] = Price.of(bar.high());
      columns[4][row] = Price.of(bar.low());
      columns[5][row] = Price.of(bar.close());
    }
    MemorySegment endsOf = MemorySegment.ofArray(ends);
    MemorySegment minuteOf = MemorySegment.ofArray(minute);
    return new SessionMinutes(
        new MinuteCounts(symbols, endsOf, minuteOf, MemorySegment.ofArray(columns[0])),
        new MinuteCounts(symbols, endsOf, minuteOf, MemorySegment.ofArray(columns[1])),
        MemorySegment.ofArray(columns[2]),
        MemorySegment.ofArray(columns[3]),
        MemorySegment.ofArray(columns[4]),
        MemorySegment.ofArray(columns[5]));
  }

  /** Bars at random minutes, each at one price, by their minutes. */
  static List<Bar> random(long seed, int securities, int count) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] prices = new double[securities];
    java.util.Arrays.fill(prices, 10);
    List<Bar> bars = new ArrayList<>();
    int first = (int) (DayTime.FIRST / DayTime.MINUTE);
    int minutes = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);
    for (int minute = 0; minute < minutes; minute++) {
      for (int security = 0; security < securities; security++) {
        if (random.nextInt(minutes) < count) {
          prices[security] =
              Math.max(1, Math.round(100 * prices[security] * (0.97 + random.nextDouble() * 0.062)))
                  / 100.0;
          bars.add(
              Bar.at(
                  security,
                  DayTime.minutes((first + minute) * DayTime.MINUTE),
                  prices[security],
                  100 * random.nextLong(1, 400)));
        }
      }
    }
    return bars;
  }

  /** The same by prints, one a bar, half a minute after its start. */
  static Session prints(int securities, List<Bar> bars) {
    return TestSessions.of(securities, tape -> bars.forEach(bar -> print(tape, bar)));
  }

  private static void print(EventTape tape, Bar bar) {
    tape.trade(
        bar.ofDay() * DayTime.MINUTE + 30 * DayTime.SECOND,
        bar.security(),
        Price.of(bar.close()),
        bar.volume(),
        SaleCondition.REGULAR.bit());
  }
}
