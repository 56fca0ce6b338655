package kelvo.data.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kelvo.journal.Choice;
import kelvo.journal.HandMatch;
import kelvo.journal.RuleKept;
import kelvo.journal.Subject;
import kelvo.level.LevelKind;
import kelvo.practice.DrillCall;
import kelvo.scan.Side;
import kelvo.trade.FillSide;

/**
 * A table of a ledger's archive.
 *
 * @param name as in the ledger, and of the file without its ending
 * @param columns in their order
 */
record ArchiveTable(String name, List<Column> columns) {
  /** A column and what each of its cells must be. */
  record Column(String name, ArchiveCell cell) {}

  /** The tables that are written column by column. */
  static final List<ArchiveTable> ROWS = rows();

  /** The hits, which are unpacked first. */
  static final ArchiveTable HITS =
      new Columns("hit")
          .with(ArchiveCell.DATE, "day")
          .with(ArchiveCell.TIME_OF_DAY, "at")
          .with(ArchiveCell.TEXT, "scan", "scan_version")
          .with(ArchiveCell.oneOf(Side.class), "side")
          .with(ArchiveCell.TEXT, "symbol", "trigger")
          .with(ArchiveCell.WHOLE, "price")
          .with(ArchiveCell.TEXT, "fields")
          .table();

  ArchiveTable {
    columns = List.copyOf(columns);
  }

  private static List<ArchiveTable> rows() {
    return List.of(
        new Columns("decision")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TIME_OF_DAY, "at")
            .with(ArchiveCell.TEXT, "symbol")
            .with(ArchiveCell.oneOf(Choice.class), "choice")
            .with(ArchiveCell.TEXT, "reason")
            .with(ArchiveCell.oneOf(Side.class), "side")
            .with(ArchiveCell.TEXT, "bucket", "plan")
            .table(),
        new Columns("level")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TEXT, "symbol")
            .with(ArchiveCell.WHOLE, "price")
            .with(ArchiveCell.oneOf(LevelKind.class), "kind")
            .with(ArchiveCell.WHOLE, "set_at", "removed_at")
            .with(ArchiveCell.NUMBER, "rise")
            .table(),
        new Columns("note")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TIME_OF_DAY, "at")
            .with(ArchiveCell.TEXT, "symbol", "text")
            .table(),
        new Columns("focus")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TEXT, "symbol")
            .with(ArchiveCell.WHOLE, "from_at", "to_at")
            .table(),
        new Columns("fill")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TIME_OF_DAY, "at")
            .with(ArchiveCell.TEXT, "symbol")
            .with(ArchiveCell.oneOf(FillSide.class), "side")
            .with(ArchiveCell.DECIMAL, "quantity", "price", "fee")
            .with(ArchiveCell.TEXT, "account", "order_id")
            .with(ArchiveCell.WHOLE, "same")
            .table(),
        new Columns("place")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TIME_OF_DAY, "moment")
            .table(),
        new Columns("remark")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.oneOf(Subject.Kind.class), "kind")
            .with(ArchiveCell.TEXT, "symbol", "account")
            .with(ArchiveCell.WHOLE, "at")
            .with(ArchiveCell.TEXT, "text", "tags")
            .table(),
        new Columns("hand_match")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TEXT, "symbol", "account")
            .with(ArchiveCell.WHOLE, "at")
            .with(ArchiveCell.oneOf(HandMatch.Says.class), "says")
            .with(ArchiveCell.WHOLE, "move_start")
            .table(),
        new Columns("rule_kept")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TEXT, "rule")
            .with(ArchiveCell.oneOf(RuleKept.Answer.class), "answer")
            .table(),
        new Columns("practice_order")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.WHOLE, "place")
            .with(ArchiveCell.TIME_OF_DAY, "at")
            .with(ArchiveCell.WHOLE, "order_id")
            .with(ArchiveCell.TEXT, "symbol")
            .with(ArchiveCell.WHOLE, "way", "shares")
            .with(ArchiveCell.oneOf(PracticeRows.TERMS), "terms")
            .with(ArchiveCell.WHOLE, "price", "limit_price", "stop", "target")
            .table(),
        new Columns("practice_fill")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.WHOLE, "place")
            .with(ArchiveCell.TIME_OF_DAY, "at")
            .with(ArchiveCell.TEXT, "symbol")
            .with(ArchiveCell.oneOf(FillSide.class), "side")
            .with(ArchiveCell.DECIMAL, "quantity", "price")
            .with(ArchiveCell.TEXT, "order_id")
            .table(),
        new Columns("drill_call")
            .with(ArchiveCell.WHOLE, "id")
            .with(ArchiveCell.DATE, "day")
            .with(ArchiveCell.TEXT, "symbol")
            .with(ArchiveCell.TIME_OF_DAY, "at")
            .with(ArchiveCell.WHOLE, "entered_at")
            .with(ArchiveCell.NUMBER_OR_EMPTY, "entry")
            .with(ArchiveCell.oneOf(DrillCall.class), "call")
            .with(ArchiveCell.NUMBER_OR_EMPTY, "stop")
            .with(ArchiveCell.WHOLE, "exit_at")
            .with(ArchiveCell.NUMBER_OR_EMPTY, "exit_price", "result", "multiple")
            .with(ArchiveCell.WHOLE, "stopped")
            .with(ArchiveCell.NUMBER_OR_EMPTY, "by_scan")
            .table(),
        new Columns("scan_version")
            .with(ArchiveCell.TEXT, "version", "scan", "json")
            .with(ArchiveCell.DATE, "first_day")
            .table());
  }

  /** The table of a name; empty for one that is not of a ledger. */
  static Optional<ArchiveTable> named(String name) {
    return Stream.concat(ROWS.stream(), Stream.of(HITS))
        .filter(table -> table.name.equals(name))
        .findFirst();
  }

  List<String> columnNames() {
    return columns.stream().map(Column::name).toList();
  }

  /** The file of the table in an archive. */
  String file() {
    return name + LedgerArchive.CSV;
  }

  /** Columns one after the other. */
  private static final class Columns {
    private final String table;
    private final List<Column> columns = new ArrayList<>();

    Columns(String table) {
      this.table = table;
    }

    Columns with(ArchiveCell cell, String... names) {
      for (String name : names) {
        columns.add(new Column(name, cell));
      }
      return this;
    }

    ArchiveTable table() {
      return new ArchiveTable(table, columns);
    }
  }
}
