package kelvo.data.folder;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.data.columns.ColumnFile;
import kelvo.data.columns.NewColumns;
import kelvo.data.columns.Sources;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.refusal.RefusedException;
import kelvo.session.Security;
import kelvo.session.SecurityKind;
import org.jspecify.annotations.Nullable;

/** The securities as they are listed, {@code securities}. */
final class SecuritiesFile {
  /** Texts and numbers of a security in its columns, in the order of {@link #toColumns}. */
  private static final int TEXTS = 7;

  private static final int NUMBERS = 2;
  private static final int DAYS = 2;
  private static final int FLAGS = 2;

  /** What a further column says takes the number of its security, its name and its text. */
  private static final int EXTRA = 3;

  private static final long NO_DAY = Long.MIN_VALUE;
  private static final byte UNKNOWN = -1;

  private SecuritiesFile() {}

  /** All of them in the file's order, out of columns or of the table. */
  static List<Security> read(Path root, KeptColumns kept) {
    Path stem = root.resolve("securities");
    return kept.read(
        "securities",
        new Sources().file(EarlierFiles.standing(stem)),
        SecuritiesFile::fromColumns,
        faults -> fromTable(root, faults),
        SecuritiesFile::toColumns);
  }

  private static List<Security> fromTable(Path root, Faults faults) {
    List<Security> securities = new ArrayList<>();
    Set<String> symbols = new HashSet<>();
    TableFile.find(root, "securities", faults)
        .ifPresentOrElse(
            file ->
                file.read(
                    List.of("symbol", "name", "mic", "cfi"),
                    header ->
                        SecurityRow.of(
                            header,
                            (row, bad) ->
                                faults.add(
                                    new Fault(
                                        file.name(),
                                        row.line(),
                                        bad.column,
                                        bad.expected,
                                        bad.text,
                                        false)),
                            security -> {
                              if (!symbols.add(security.symbol())) {
                                throw new RefusedException(
                                    "each symbol once; " + security.symbol() + " was there before");
                              }
                              securities.add(security);
                            })),
            () ->
                faults.add(
                    new Fault("securities.csv", 0, "", "the list of securities", "no such file")));
    return List.copyOf(securities);
  }

  private static NewColumns toColumns(List<Security> securities) {
    List<String> texts = new ArrayList<>();
    List<String> extra = new ArrayList<>();
    double[] numbers = new double[securities.size() * NUMBERS];
    long[] days = new long[securities.size() * DAYS];
    byte[] flags = new byte[securities.size() * FLAGS];
    for (int i = 0; i < securities.size(); i++) {
      Security security = securities.get(i);
      texts.add(security.symbol());
      texts.add(security.name());
      texts.add(security.mic());
      texts.add(security.kind().name());
      texts.add(security.sector());
      texts.add(security.industry());
      texts.add(security.country());
      numbers[i * NUMBERS] = security.sharesOutstanding();
      numbers[i * NUMBERS + 1] = security.floatShares();
      days[i * DAYS] = day(security.floatAsOf());
      days[i * DAYS + 1] = day(security.sharesAsOf());
      flags[i * FLAGS] = flag(security.shortable());
      flags[i * FLAGS + 1] = flag(security.benchmark());
      String number = Integer.toString(i);
      security.extra().forEach((column, text) -> extra.addAll(List.of(number, column, text)));
    }
    return new NewColumns()
        .withTexts("texts", texts)
        .with("numbers", MemorySegment.ofArray(numbers))
        .with("days", MemorySegment.ofArray(days))
        .with("flags", MemorySegment.ofArray(flags))
        .withTexts("extra", extra);
  }

  private static List<Security> fromColumns(ColumnFile columns) {
    List<String> texts = columns.texts("texts");
    double[] numbers = columns.column("numbers").toArray(ValueLayout.JAVA_DOUBLE);
    long[] days = columns.column("days").toArray(ValueLayout.JAVA_LONG);
    byte[] flags = columns.column("flags").toArray(ValueLayout.JAVA_BYTE);
    Map<Integer, Map<String, String>> extra = extra(columns.texts("extra"));
    List<Security> securities = new ArrayList<>();
    for (int i = 0; i < texts.size() / TEXTS; i++) {
      List<String> own = texts.subList(i * TEXTS, (i + 1) * TEXTS);
      securities.add(
          new Security(
              own.get(0),
              own.get(1),
              own.get(2),
              SecurityKind.valueOf(own.get(3)),
              own.get(4),
              own.get(5),
              own.get(6),
              numbers[i * NUMBERS],
              numbers[i * NUMBERS + 1],
              date(days[i * DAYS]),
              date(days[i * DAYS + 1]),
              flags[i * FLAGS] == UNKNOWN ? null : flags[i * FLAGS] == 1,
              flags[i * FLAGS + 1] == 1,
              extra.getOrDefault(i, Map.of())));
    }
    return List.copyOf(securities);
  }

  private static Map<Integer, Map<String, String>> extra(List<String> told) {
    Map<Integer, Map<String, String>> extra = new HashMap<>();
    for (int i = 0; i + EXTRA <= told.size(); i += EXTRA) {
      extra
          .computeIfAbsent(Integer.valueOf(told.get(i)), s -> new HashMap<>())
          .put(told.get(i + 1), told.get(i + 2));
    }
    return extra;
  }

  private static long day(@Nullable LocalDate date) {
    return date == null ? NO_DAY : date.toEpochDay();
  }

  private static @Nullable LocalDate date(long day) {
    return day == NO_DAY ? null : LocalDate.ofEpochDay(day);
  }

  private static byte flag(@Nullable Boolean flag) {
    return flag == null ? UNKNOWN : (byte) (flag ? 1 : 0);
  }
}
