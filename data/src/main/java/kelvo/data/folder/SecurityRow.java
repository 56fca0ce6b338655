package kelvo.data.folder;

import java.util.function.Consumer;
import kelvo.market.Security;
import kelvo.market.SecurityKind;
import org.jspecify.annotations.Nullable;

/** Reads the rows of the securities file. */
final class SecurityRow {
  private SecurityRow() {}

  static CsvFile.RowReader of(CsvRow header, Consumer<Security> taker) {
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
    int shortable = header.column("shortable");
    int benchmark = header.column("benchmark");
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
                row.number(shares),
                row.number(floatShares),
                row.isEmpty(asOf) ? null : row.date(asOf),
                yesOrNo(row, shortable),
                Boolean.TRUE.equals(yesOrNo(row, benchmark))));
  }

  private static @Nullable Boolean yesOrNo(CsvRow row, int column) {
    return switch (row.text(column)) {
      case "" -> null;
      case "yes", "true", "1" -> true;
      case "no", "false", "0" -> false;
      default -> throw row.bad(column, "yes, no or nothing");
    };
  }
}
