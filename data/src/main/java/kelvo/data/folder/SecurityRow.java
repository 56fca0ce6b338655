package kelvo.data.folder;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import kelvo.session.Security;
import kelvo.session.SecurityKind;
import org.jspecify.annotations.Nullable;

/** Reads the rows of the securities file. */
final class SecurityRow {
  private SecurityRow() {}

  private static final Set<String> KNOWN =
      Set.of(
          "symbol",
          "name",
          "mic",
          "cfi",
          "sector",
          "industry",
          "country",
          "shares_outstanding",
          "float",
          "float_as_of",
          "shares_as_of",
          "shortable",
          "benchmark");

  /**
   * Reads the rows of a table.
   *
   * @param wrong hears of what cannot be read and is unknown then; the security counts all the same
   */
  static TableFile.RowReader of(
      TableRow header, BiConsumer<TableRow, BadField> wrong, Consumer<Security> taker) {
    int symbol = header.column("symbol");
    int name = header.column("name");
    int mic = header.column("mic");
    int cfi = header.column("cfi");
    int sector = header.column("sector");
    int industry = header.column("industry");
    int country = header.column("country");
    int shares = header.column("shares_outstanding");
    int floatShares = header.column("float");
    int asOf = header.column("float_as_of");
    int sharesAsOf = header.column("shares_as_of");
    int shortable = header.column("shortable");
    int benchmark = header.column("benchmark");
    List<String> further = header.columnNames().stream().filter(c -> !KNOWN.contains(c)).toList();
    return row ->
        taker.accept(
            new Security(
                row.text(symbol),
                row.text(name),
                row.word(mic),
                SecurityKind.ofCfi(row.word(cfi)),
                row.word(sector),
                row.word(industry),
                row.word(country),
                amount(row, shares, wrong),
                amount(row, floatShares, wrong),
                date(row, asOf, wrong),
                date(row, sharesAsOf < 0 ? asOf : sharesAsOf, wrong),
                yesOrNo(row, shortable, wrong),
                Boolean.TRUE.equals(yesOrNo(row, benchmark, wrong)),
                extra(row, further)));
  }

  private static double amount(TableRow row, int column, BiConsumer<TableRow, BadField> wrong) {
    try {
      return row.amount(column);
    } catch (BadField e) {
      wrong.accept(row, e);
      return Double.NaN;
    }
  }

  private static @Nullable LocalDate date(
      TableRow row, int column, BiConsumer<TableRow, BadField> wrong) {
    try {
      return row.isEmpty(column) ? null : row.date(column);
    } catch (BadField e) {
      wrong.accept(row, e);
      return null;
    }
  }

  private static Map<String, String> extra(TableRow row, List<String> further) {
    Map<String, String> extra = new HashMap<>();
    for (String column : further) {
      String text = row.word(row.column(column));
      if (!text.isEmpty()) {
        extra.put(column, text);
      }
    }
    return extra;
  }

  private static @Nullable Boolean yesOrNo(
      TableRow row, int column, BiConsumer<TableRow, BadField> wrong) {
    return switch (row.text(column)) {
      case "" -> null;
      case "yes", "true", "1" -> true;
      case "no", "false", "0" -> false;
      default -> {
        wrong.accept(row, row.bad(column, "yes, no or nothing"));
        yield null;
      }
    };
  }
}
