package kelvo.data.folder;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.function.BiFunction;
import kelvo.data.columns.NewColumns;
import kelvo.data.fault.Faults;
import kelvo.job.Progress;
import kelvo.job.SideBySide;
import kelvo.research.SessionSpreads;
import kelvo.research.UsualSpreads;
import kelvo.session.Security;
import kelvo.tape.EventTape;

/**
 * How wide the spreads of recorded sessions were: found from all their quotes once, then kept.
 *
 * @param tape reads the events of a session
 */
record SpreadColumns(
    Path root,
    List<Security> securities,
    KeptColumns kept,
    BiFunction<LocalDate, KeptColumns, EventTape> tape) {

  /**
   * The usual spreads of some sessions.
   *
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  UsualSpreads of(List<LocalDate> dates, Progress progress) {
    return UsualSpreads.of(
        securities.stream().map(Security::symbol).toList(),
        SideBySide.each(dates, (date, going) -> of(date), some -> {}, progress));
  }

  private SessionSpreads of(LocalDate date) {
    return kept.read(
        "spreads/" + date,
        SessionTape.quotes(root, date, securities),
        columns -> new SessionSpreads(columns.column("rows")),
        // What is wrong with the session is told when the session itself is asked.
        faults ->
            SessionSpreads.of(tape.apply(date, kept.telling(new Faults())), securities.size()),
        made -> new NewColumns().with("rows", made.rows()));
  }
}
