package kelvo.data.ledger;

import java.util.List;
import kelvo.journal.HandMatch;
import kelvo.journal.JournalPage;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.journal.Subject;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.mapper.RowMapper;

/** Writes and reads what the trader says of a day in hindsight. */
final class JournalRows {
  private static final String TAG_END = "\n";
  private static final RowMapper<Remark> REMARK =
      (row, context) ->
          new Remark(
              new Subject(
                  Subject.Kind.valueOf(row.getString("kind")),
                  row.getString("symbol"),
                  row.getString("account"),
                  row.getLong("at")),
              row.getString("text"),
              List.of(row.getString("tags").split(TAG_END)));
  private static final RowMapper<HandMatch> MATCH =
      (row, context) ->
          new HandMatch(
              Subject.trade(row.getString("account"), row.getString("symbol"), row.getLong("at")),
              HandMatch.Says.valueOf(row.getString("says")),
              row.getLong("move_start"));
  private static final RowMapper<RuleKept> RULE =
      (row, context) ->
          new RuleKept(row.getString("rule"), RuleKept.Answer.valueOf(row.getString("answer")));

  private JournalRows() {}

  static void write(Handle handle, String day, Remark remark) {
    Subject subject = remark.subject();
    handle.execute(
        "insert or replace into remark(day, kind, symbol, account, at, text, tags) values (?, ?, ?, ?, ?, ?, ?)",
        day,
        subject.kind().name(),
        subject.symbol(),
        subject.account(),
        subject.at(),
        remark.text(),
        String.join(TAG_END, remark.tags()));
  }

  static void write(Handle handle, String day, HandMatch match) {
    handle.execute(
        "insert or replace into hand_match(day, symbol, account, at, says, move_start) values (?, ?, ?, ?, ?, ?)",
        day,
        match.trade().symbol(),
        match.trade().account(),
        match.trade().at(),
        match.says().name(),
        match.moveStart());
  }

  static void write(Handle handle, String day, RuleKept kept) {
    handle.execute(
        "insert or replace into rule_kept(day, rule, answer) values (?, ?, ?)",
        day,
        kept.rule(),
        kept.answer().name());
  }

  static JournalPage page(Handle handle, String day, UnknownEntries unknown) {
    return new JournalPage(
        list(handle, "remark", day, REMARK, unknown),
        list(handle, "hand_match", day, MATCH, unknown),
        list(handle, "rule_kept", day, RULE, unknown));
  }

  private static <T> List<T> list(
      Handle handle, String table, String day, RowMapper<T> mapper, UnknownEntries unknown) {
    return unknown.known(
        handle.select(UnknownEntries.all(table, "where day = ? order by rowid"), day),
        table,
        mapper);
  }
}
