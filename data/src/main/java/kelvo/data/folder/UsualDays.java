package kelvo.data.folder;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.ToDoubleBiFunction;
import kelvo.history.MinuteCounts;
import kelvo.history.SessionMinutes;
import kelvo.history.UsualDay;
import kelvo.time.DayTime;
import kelvo.time.TradingCalendar;
import org.jspecify.annotations.Nullable;

/**
 * What earlier sessions counted, added up by security and minute of the day: the volume and prints
 * of their minute bars, and their mentions.
 */
final class UsualDays {
  private static final int FIRST_MINUTE = (int) (DayTime.FIRST / DayTime.MINUTE);

  /**
   * What a security's counts of an earlier day are multiplied by, and which of them count.
   *
   * @param since the first day of the security by its number; null when that is not known
   * @param ratio by symbol and day, today's shares per share of that day
   */
  record Adjustment(
      IntFunction<@Nullable LocalDate> since, ToDoubleBiFunction<String, LocalDate> ratio) {
    /** The same days, in numbers that do not split. */
    Adjustment withoutSplits() {
      return new Adjustment(since, (symbol, date) -> 1);
    }
  }

  private final TradingCalendar calendar;
  private final Map<String, Integer> numbers;
  private final Adjustment adjustment;

  UsualDays(TradingCalendar calendar, Map<String, Integer> numbers, Adjustment adjustment) {
    this.calendar = calendar;
    this.numbers = numbers;
    this.adjustment = adjustment;
  }

  /** How much of two things was usual. */
  record Activity(UsualDay volume, UsualDay trades) {}

  /**
   * The volume and the prints that were usual before a session: of its last 20 full sessions that
   * have a file. How many prints there are has nothing to do with splits.
   */
  Activity activityBefore(LocalDate session, MinuteFiles files) {
    SequencedMap<LocalDate, Path> earlier = before(session, files::stem);
    if (earlier.size() < UsualDay.MIN_SESSIONS) {
      return new Activity(UsualDay.NONE, UsualDay.NONE);
    }
    List<SessionMinutes> read =
        earlier.keySet().parallelStream().flatMap(date -> files.of(date).stream()).toList();
    boolean counted = read.stream().allMatch(minutes -> minutes.trades() != null);
    return new Activity(
        usual(earlier, date -> files.of(date).map(SessionMinutes::volume).orElse(null), adjustment),
        counted
            ? usual(
                earlier,
                date -> files.of(date).map(SessionMinutes::trades).orElse(null),
                adjustment.withoutSplits())
            : UsualDay.NONE);
  }

  /** The mentions that were usual before a session, likewise; people do not split. */
  UsualDay mentionsBefore(LocalDate session, MentionFiles files) {
    SequencedMap<LocalDate, Path> earlier = before(session, files::stem);
    return earlier.size() < UsualDay.MIN_SESSIONS
        ? UsualDay.NONE
        : usual(
            earlier,
            date -> files.of(date, earlier.getOrDefault(date, files.stem(date))),
            adjustment.withoutSplits());
  }

  private SequencedMap<LocalDate, Path> before(LocalDate session, Function<LocalDate, Path> stem) {
    return EarlierFiles.before(session, calendar, stem, UsualDay.SESSIONS);
  }

  private UsualDay usual(
      SequencedMap<LocalDate, Path> earlier,
      Function<LocalDate, @Nullable MinuteCounts> counts,
      Adjustment by) {
    double[][] sums = new double[numbers.size()][];
    for (LocalDate date : earlier.keySet()) {
      MinuteCounts counted = counts.apply(date);
      if (counted != null) {
        add(date, counted, by, sums);
      }
    }
    return UsualDay.of(sums.length, i -> sessionsSince(by.since.apply(i), earlier), i -> sums[i]);
  }

  private void add(LocalDate date, MinuteCounts counts, Adjustment by, double[][] sums) {
    for (int place = 0; place < counts.symbols().size(); place++) {
      String symbol = counts.symbols().get(place);
      Integer number = numbers.get(symbol);
      LocalDate first = number == null ? null : by.since.apply(number);
      if (number != null && (first == null || !date.isBefore(first))) {
        double[] own = sums[number];
        if (own == null) {
          own = new double[UsualDay.MINUTES];
          sums[number] = own;
        }
        counts.addTo(place, by.ratio.applyAsDouble(symbol, date), own, FIRST_MINUTE);
      }
    }
  }

  private static int sessionsSince(
      @Nullable LocalDate first, SequencedMap<LocalDate, Path> earlier) {
    return first == null
        ? earlier.size()
        : (int) earlier.keySet().stream().filter(date -> !date.isBefore(first)).count();
  }
}
