package kelvo.data.folder;

import java.util.Map;
import java.util.Set;

/** What the columns of a data folder hold, as types of a Parquet file. Unknown ones are text. */
enum ColumnType {
  PRICE("decimal(18,4)"),
  EXACT("decimal(18,6)"),
  WHOLE("bigint"),
  NUMBER("double"),
  DATE("date"),
  TEXT("varchar");

  private static final Map<ColumnType, Set<String>> COLUMNS =
      Map.of(
          PRICE,
          Set.of(
              "price",
              "open",
              "high",
              "low",
              "close",
              "bid",
              "ask",
              "reference",
              "amount",
              "spread"),
          WHOLE,
          Set.of(
              "size",
              "volume",
              "trades",
              "bid_size",
              "ask_size",
              "count",
              "paired",
              "imbalance",
              "seq",
              "close_minute",
              "hour"),
          NUMBER,
          Set.of("ratio", "float", "shares_outstanding"),
          DATE,
          Set.of("date", "float_as_of", "day_2", "day_3", "day_5"));

  /** The columns of fills whose numbers are finer than those of the tape. */
  private static final Set<String> FILLS = Set.of("quantity", "price", "fee");

  private final String sql;

  ColumnType(String sql) {
    this.sql = sql;
  }

  /** The type in SQL. */
  String sql() {
    return sql;
  }

  /** The type of a column of a table. */
  static ColumnType of(String table, String column) {
    if (table.equals("fills") && FILLS.contains(column)) {
      return EXACT;
    }
    for (var entry : COLUMNS.entrySet()) {
      if (entry.getValue().contains(column)) {
        return entry.getKey();
      }
    }
    return TEXT;
  }

  /** Throws {@link BadField} unless a row's field is empty or of this type. */
  void check(TableRow row, int column) {
    if (row.isEmpty(column)) {
      return;
    }
    switch (this) {
      case PRICE -> row.priceOrNone(column);
      case EXACT -> row.exactOrZero(column);
      case WHOLE -> row.count(column);
      case NUMBER -> row.number(column);
      case DATE -> row.date(column);
      case TEXT -> {}
    }
  }
}
