package kelvo.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import kelvo.explain.RuleAnswer;
import kelvo.explain.WhyEmpty;
import kelvo.explain.WhyNot;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.refusal.RefusedException;
import kelvo.replay.TapeReplay;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code kelvo matches}: who fits a scan at a moment, and why another does not. */
@Command(
    name = "matches",
    description = "Who fits a scan at a moment; with --explain, why a symbol does or does not.")
final class MatchesCommand implements Callable<Integer> {
  @Mixin final FolderArguments arguments;

  @Option(
      names = "--at",
      paramLabel = "T",
      required = true,
      description = "the moment, New York time")
  String at = "";

  @Option(
      names = "--explain",
      paramLabel = "SYM",
      description = "answer rule by rule for this symbol")
  @Nullable String explain;

  MatchesCommand(Terminal terminal) {
    arguments = new FolderArguments(terminal);
  }

  @Override
  public Integer call() {
    long moment = DayTime.parse(at);
    List<Scan> scans = arguments.scans();
    if (scans.size() != 1 && arguments.scanFiles.size() != 1) {
      throw new RefusedException("name one scan with --scan FILE");
    }
    Scan scan = scans.getFirst();
    Session session = arguments.session();
    if (explain != null) {
      explain(session, scan, explain, moment);
    } else {
      matches(session, scan, moment);
    }
    return arguments.exitCode();
  }

  private void explain(Session session, Scan scan, String symbol, long moment) {
    int security =
        session
            .numberOf(symbol)
            .orElseThrow(() -> new RefusedException("no security is called " + symbol));
    List<List<String>> rows = new ArrayList<>();
    for (RuleAnswer a : WhyNot.explain(session, scan, security, moment)) {
      rows.add(
          List.of(
              a.rule(),
              a.value(),
              a.bound(),
              a.passes() ? "yes" : "no",
              a.lastPassed() < 0 ? "" : DayTime.millis(a.lastPassed())));
    }
    arguments.output.print(List.of("rule", "value", "bound", "passes", "last_passed"), rows);
  }

  private void matches(Session session, Scan scan, long moment) {
    TapeReplay engine =
        ScanEngine.replay(session, new Program(List.of(scan), List.of()), hit -> {});
    engine.runTo(moment);
    Matches matches = new Matches(scan, session);
    List<Matches.Row> found = matches.at(engine::state, moment);
    List<String> columns = new ArrayList<>(List.of("symbol"));
    scan.columns().forEach(c -> columns.add(c.words()));
    List<List<String>> rows = new ArrayList<>();
    for (Matches.Row row : found.subList(0, Math.min(scan.limit(), found.size()))) {
      List<String> cells = new ArrayList<>(List.of(session.security(row.security()).symbol()));
      for (int i = 0; i < scan.columns().size(); i++) {
        cells.add(row.plain(i));
      }
      rows.add(cells);
    }
    arguments.output.print(columns, rows);
    if (rows.size() < found.size()) {
      arguments
          .terminal()
          .err()
          .println(
              rows.size() + " of " + found.size() + "; the scan's limit is " + scan.limit() + ".");
    }
    if (found.isEmpty()) {
      WhyEmpty why = WhyEmpty.of(session, scan, engine::state, moment);
      arguments.terminal().err().println(why.sentence());
      why.counts()
          .forEach(
              c ->
                  arguments
                      .terminal()
                      .err()
                      .println(
                          "  "
                              + c.rule()
                              + ": "
                              + c.alone()
                              + " pass it alone, "
                              + c.left()
                              + " left"));
    }
  }
}
