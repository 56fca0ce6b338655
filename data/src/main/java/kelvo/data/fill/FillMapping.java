package kelvo.data.fill;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;

/**
 * What each column of a broker's table holds. Several columns may be fees, which are added; any
 * other part stands in one column.
 *
 * @param parts a part a column, in the order of the table
 */
public record FillMapping(List<FillPart> parts) {
  private static final int SAMPLE = 50;

  /**
   * What a table says.
   *
   * @param byDay its fills by their days in New York, each day's in order of time
   * @param leftOut the rows that are none, with the reason
   */
  public record Read(SortedMap<LocalDate, List<Fill>> byDay, List<LeftOut> leftOut) {
    /** How many fills there are. */
    public int fills() {
      return byDay.values().stream().mapToInt(List::size).sum();
    }
  }

  /**
   * A row that is no fill.
   *
   * @param line where it begins, from 1
   */
  public record LeftOut(long line, String reason) {}

  public FillMapping {
    parts = List.copyOf(parts);
  }

  /** What the columns of a table seem to hold, by their names and by what stands in them. */
  public static FillMapping guess(BrokerTable table) {
    List<FillPart> parts = new ArrayList<>();
    for (int i = 0; i < table.header().size(); i++) {
      FillPart part = guess(table, i);
      boolean taken = part != FillPart.NOTHING && part != FillPart.FEE && parts.contains(part);
      parts.add(taken ? FillPart.NOTHING : part);
    }
    if (parts.contains(FillPart.WHEN)) {
      parts.replaceAll(p -> p == FillPart.DATE || p == FillPart.TIME ? FillPart.NOTHING : p);
    }
    return new FillMapping(parts);
  }

  private static FillPart guess(BrokerTable table, int column) {
    String header = table.header().get(column).toLowerCase(Locale.ROOT);
    boolean settles = header.contains("settle");
    if (!settles && (header.contains("time") || header.contains("date"))) {
      boolean hasDate = has(table, column, text -> date(text).isPresent());
      boolean hasTime = has(table, column, text -> WrittenMoment.time(text).isPresent());
      return hasDate && hasTime
          ? FillPart.WHEN
          : hasTime ? FillPart.TIME : hasDate ? FillPart.DATE : FillPart.NOTHING;
    }
    for (FillPart part : FillPart.values()) {
      if (part.isNamedBy(header)) {
        return part;
      }
    }
    return FillPart.NOTHING;
  }

  private static Optional<LocalDate> date(String text) {
    return WrittenMoment.date(text, WrittenMoment.Order.MONTH_FIRST)
        .or(() -> WrittenMoment.date(text, WrittenMoment.Order.DAY_FIRST));
  }

  private static boolean has(
      BrokerTable table, int column, java.util.function.Predicate<String> what) {
    return texts(table, column).limit(SAMPLE).anyMatch(what);
  }

  private static Stream<String> texts(BrokerTable table, int column) {
    return table.rows().stream().map(row -> row.cell(column)).filter(text -> !text.isEmpty());
  }

  /** With another part in a column. */
  public FillMapping with(int column, FillPart part) {
    List<FillPart> changed = new ArrayList<>(parts);
    if (part != FillPart.NOTHING && part != FillPart.FEE) {
      changed.replaceAll(other -> other == part ? FillPart.NOTHING : other);
    }
    changed.set(column, part);
    return new FillMapping(changed);
  }

  /** What is missing for a fill, in one sentence; empty when nothing is. */
  public String missing() {
    List<String> missing = new ArrayList<>();
    if (!parts.contains(FillPart.WHEN)
        && !(parts.contains(FillPart.DATE) && parts.contains(FillPart.TIME))) {
      missing.add("date and time");
    }
    for (FillPart part : List.of(FillPart.SYMBOL, FillPart.QUANTITY, FillPart.PRICE)) {
      if (!parts.contains(part)) {
        missing.add(part.words());
      }
    }
    return missing.isEmpty() ? "" : "Say which column has: " + String.join(", ", missing) + ".";
  }

  /**
   * Reads a table. Times without an offset are those of New York. Where no column has the side, the
   * sign of the quantity is it. Fees that are all below 0 are what was paid.
   */
  public Read read(BrokerTable table) {
    SortedMap<LocalDate, List<Fill>> byDay = new TreeMap<>();
    List<LeftOut> leftOut = new ArrayList<>();
    if (!missing().isEmpty()) {
      return new Read(byDay, leftOut);
    }
    RowReader reader = new RowReader(table);
    long steps = 0;
    ZonedDateTime before = null;
    for (BrokerTable.Row row : table.rows()) {
      if (row.cells().stream().allMatch(String::isBlank)) {
        continue;
      }
      try {
        ZonedDateTime at = reader.when(row);
        byDay.computeIfAbsent(at.toLocalDate(), day -> new ArrayList<>()).add(reader.fill(row, at));
        steps += before == null ? 0 : Integer.signum(at.compareTo(before));
        before = at;
      } catch (RefusedException e) {
        leftOut.add(
            new LeftOut(row.line(), Objects.requireNonNullElse(e.getMessage(), e.toString())));
      }
    }
    // A table that runs newest first has those of the same time newest first, too.
    if (steps < 0) {
      byDay.values().forEach(Collections::reverse);
    }
    byDay.values().forEach(fills -> fills.sort(Comparator.comparingLong(Fill::at)));
    return new Read(byDay, List.copyOf(leftOut));
  }

  private int column(FillPart part) {
    return parts.indexOf(part);
  }

  /** Reads the rows of one table. */
  private final class RowReader {
    private final WrittenMoment.Order order;
    private final boolean feesBelowZero;
    private final int[] fees;

    RowReader(BrokerTable table) {
      int dated = column(parts.contains(FillPart.WHEN) ? FillPart.WHEN : FillPart.DATE);
      order = WrittenMoment.order(texts(table, dated).toList());
      fees = IntStream.range(0, parts.size()).filter(i -> parts.get(i) == FillPart.FEE).toArray();
      List<BigDecimal> paid =
          IntStream.of(fees)
              .boxed()
              .flatMap(column -> texts(table, column))
              .flatMap(text -> WrittenFill.number(text).stream())
              .filter(fee -> fee.signum() != 0)
              .toList();
      feesBelowZero = !paid.isEmpty() && paid.stream().allMatch(fee -> fee.signum() < 0);
    }

    ZonedDateTime when(BrokerTable.Row row) {
      boolean one = parts.contains(FillPart.WHEN);
      String dated = row.cell(column(one ? FillPart.WHEN : FillPart.DATE));
      String timed = one ? dated : row.cell(column(FillPart.TIME));
      LocalDate date =
          WrittenMoment.date(dated, order)
              .orElseThrow(() -> new RefusedException("no date in \"" + dated + "\""));
      LocalTime time =
          WrittenMoment.time(timed)
              .orElseThrow(() -> new RefusedException("no time in \"" + timed + "\""));
      return date.atTime(time)
          .atZone(WrittenMoment.zone(timed, DayTime.NEW_YORK))
          .withZoneSameInstant(DayTime.NEW_YORK);
    }

    Fill fill(BrokerTable.Row row, ZonedDateTime at) {
      String symbol = row.cell(column(FillPart.SYMBOL)).toUpperCase(Locale.ROOT);
      if (symbol.isEmpty()) {
        throw new RefusedException("no symbol");
      }
      BigDecimal quantity = number(row, FillPart.QUANTITY);
      BigDecimal fee = BigDecimal.ZERO;
      for (int column : fees) {
        fee = fee.add(WrittenFill.number(row.cell(column)).orElse(BigDecimal.ZERO));
      }
      return new Fill(
          at.toLocalTime().toNanoOfDay(),
          symbol,
          side(row, quantity),
          quantity.abs(),
          number(row, FillPart.PRICE),
          feesBelowZero ? fee.negate() : fee,
          text(row, FillPart.ACCOUNT),
          text(row, FillPart.ORDER));
    }

    private FillSide side(BrokerTable.Row row, BigDecimal quantity) {
      if (!parts.contains(FillPart.SIDE)) {
        return quantity.signum() < 0 ? FillSide.SELL : FillSide.BUY;
      }
      String text = row.cell(column(FillPart.SIDE));
      return WrittenFill.side(text)
          .orElseThrow(
              () -> new RefusedException("\"" + text + "\" is no side: buy, sell, short or cover"));
    }

    private BigDecimal number(BrokerTable.Row row, FillPart part) {
      String text = row.cell(column(part));
      return WrittenFill.number(text)
          .orElseThrow(() -> new RefusedException("no " + part.words() + " in \"" + text + "\""));
    }

    private String text(BrokerTable.Row row, FillPart part) {
      return parts.contains(part) ? row.cell(column(part)) : "";
    }
  }
}
