package kelvo.data.folder;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import kelvo.data.columns.ColumnFile;
import kelvo.data.columns.NewColumns;
import kelvo.history.EarlierMinutes;
import kelvo.history.UsualDay;
import kelvo.session.EarlierDays;
import kelvo.session.ReferenceLevel;
import org.jspecify.annotations.Nullable;

/** What earlier days tell before a session, as columns. */
final class EarlierDaysColumns {
  private static final byte UNKNOWN = 0;
  private static final byte SILENT = 1;
  private static final byte COUNTED = 2;

  /** The means of one security. */
  private static final int MEANS = UsualDay.MINUTES + 1;

  private EarlierDaysColumns() {}

  static NewColumns of(EarlierDays earlier) {
    NewColumns columns = new NewColumns();
    usual(columns, "volume", earlier.volume());
    usual(columns, "trades", earlier.trades());
    usual(columns, "mentions", earlier.mentions());
    vwaps(columns, earlier.vwaps());
    evenings(columns, earlier.minutes().evenings());
    closes(columns, earlier.minutes().closes());
    return columns;
  }

  static EarlierDays from(ColumnFile columns) {
    return new EarlierDays(
        usual(columns, "volume"),
        usual(columns, "trades"),
        usual(columns, "mentions"),
        vwaps(columns),
        new EarlierMinutes(evenings(columns), closes(columns)));
  }

  /** What is known of each security, and the means of those of which something was counted. */
  private static void usual(NewColumns columns, String name, UsualDay usual) {
    List<double @Nullable []> means = usual.upToMinute();
    byte[] known = new byte[means.size()];
    List<MemorySegment> counted = new ArrayList<>();
    for (int i = 0; i < known.length; i++) {
      double[] own = means.get(i);
      if (own == null) {
        known[i] = UNKNOWN;
      } else if (own[MEANS - 1] == 0) {
        known[i] = SILENT;
      } else {
        known[i] = COUNTED;
        counted.add(MemorySegment.ofArray(own));
      }
    }
    columns.with(name + " known", MemorySegment.ofArray(known)).with(name, counted);
  }

  private static UsualDay usual(ColumnFile columns, String name) {
    byte[] known = columns.column(name + " known").toArray(ValueLayout.JAVA_BYTE);
    MemorySegment counted = columns.column(name);
    double[] silent = new double[MEANS];
    List<double @Nullable []> means = new ArrayList<>(known.length);
    long at = 0;
    for (byte of : known) {
      if (of == COUNTED) {
        means.add(
            counted.asSlice(at, MEANS * (long) Double.BYTES).toArray(ValueLayout.JAVA_DOUBLE));
        at += MEANS * (long) Double.BYTES;
      } else {
        means.add(of == SILENT ? silent : null);
      }
    }
    return new UsualDay(means);
  }

  private static void vwaps(NewColumns columns, Map<Integer, List<ReferenceLevel>> vwaps) {
    List<Integer> securities = new ArrayList<>();
    List<Long> prices = new ArrayList<>();
    List<String> names = new ArrayList<>();
    vwaps.forEach(
        (security, levels) ->
            levels.forEach(
                level -> {
                  securities.add(security);
                  prices.add(level.price());
                  names.add(level.name());
                }));
    columns
        .with("vwap security", ints(securities))
        .with("vwap price", longs(prices))
        .withTexts("vwap name", names);
  }

  private static Map<Integer, List<ReferenceLevel>> vwaps(ColumnFile columns) {
    int[] securities = ints(columns, "vwap security");
    long[] prices = longs(columns, "vwap price");
    List<String> names = columns.texts("vwap name");
    Map<Integer, List<ReferenceLevel>> vwaps = new HashMap<>();
    for (int i = 0; i < securities.length; i++) {
      vwaps
          .computeIfAbsent(securities[i], s -> new ArrayList<>())
          .add(new ReferenceLevel(prices[i], names.get(i)));
    }
    return vwaps;
  }

  private static void evenings(NewColumns columns, Map<Integer, EarlierMinutes.Evening> evenings) {
    List<Integer> securities = List.copyOf(evenings.keySet());
    List<EarlierMinutes.Evening> own = securities.stream().map(evenings::get).toList();
    columns
        .with("evening security", ints(securities))
        .with(
            "evening shares",
            MemorySegment.ofArray(
                own.stream().mapToDouble(EarlierMinutes.Evening::shares).toArray()))
        .with("evening close", longs(own.stream().map(EarlierMinutes.Evening::close).toList()));
  }

  private static Map<Integer, EarlierMinutes.Evening> evenings(ColumnFile columns) {
    int[] securities = ints(columns, "evening security");
    double[] shares = columns.column("evening shares").toArray(ValueLayout.JAVA_DOUBLE);
    long[] closes = longs(columns, "evening close");
    Map<Integer, EarlierMinutes.Evening> evenings = new HashMap<>();
    for (int i = 0; i < securities.length; i++) {
      evenings.put(securities[i], new EarlierMinutes.Evening(shares[i], closes[i]));
    }
    return evenings;
  }

  private static void closes(NewColumns columns, Map<Integer, NavigableMap<Long, Long>> closes) {
    List<Integer> securities = new ArrayList<>();
    List<Long> ends = new ArrayList<>();
    List<Long> prices = new ArrayList<>();
    closes.forEach(
        (security, own) ->
            own.forEach(
                (end, close) -> {
                  securities.add(security);
                  ends.add(end);
                  prices.add(close);
                }));
    columns
        .with("close security", ints(securities))
        .with("close end", longs(ends))
        .with("close price", longs(prices));
  }

  private static Map<Integer, NavigableMap<Long, Long>> closes(ColumnFile columns) {
    int[] securities = ints(columns, "close security");
    long[] ends = longs(columns, "close end");
    long[] prices = longs(columns, "close price");
    Map<Integer, NavigableMap<Long, Long>> closes = new HashMap<>();
    for (int i = 0; i < securities.length; i++) {
      closes.computeIfAbsent(securities[i], s -> new TreeMap<>()).put(ends[i], prices[i]);
    }
    return closes;
  }

  private static MemorySegment ints(List<Integer> numbers) {
    return MemorySegment.ofArray(numbers.stream().mapToInt(number -> number).toArray());
  }

  private static MemorySegment longs(List<Long> numbers) {
    return MemorySegment.ofArray(numbers.stream().mapToLong(number -> number).toArray());
  }

  private static int[] ints(ColumnFile columns, String name) {
    return columns.column(name).toArray(ValueLayout.JAVA_INT);
  }

  private static long[] longs(ColumnFile columns, String name) {
    return columns.column(name).toArray(ValueLayout.JAVA_LONG);
  }
}
