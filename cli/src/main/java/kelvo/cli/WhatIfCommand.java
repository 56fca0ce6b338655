package kelvo.cli;

import java.util.List;
import java.util.concurrent.Callable;
import kelvo.data.past.PastSessions;
import kelvo.data.report.ReviewTables;
import kelvo.refusal.RefusedException;
import kelvo.review.ScanTotals;
import kelvo.review.WhatIf;
import kelvo.scan.Scan;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/**
 * {@code kelvo whatif}: a scan as the folder has it beside the same scan as a file has it, over
 * recorded sessions, the same as Review's What if.
 */
@Command(
    name = "whatif",
    description = "Holds changed scan files against the folder's scans of the same names.")
final class WhatIfCommand implements Callable<Integer> {
  private static final List<String> COLUMNS =
      List.of(
          "scan",
          "what",
          "hits",
          "moves",
          "ran",
          "known",
          "median_gone_share",
          "median_best_30m",
          "hits_per_hour",
          "trades",
          "net",
          "at_the_hit");

  @Mixin final FolderArguments arguments;

  @Mixin RecordedSessions sessions = new RecordedSessions();

  WhatIfCommand(Terminal terminal) {
    arguments = new FolderArguments(terminal);
  }

  @Override
  public Integer call() {
    if (arguments.scanFiles.isEmpty()) {
      throw new RefusedException("name the changed scan with --scan FILE");
    }
    List<Scan> own = arguments.own().scans();
    arguments.output.print(
        COLUMNS,
        arguments.past(
            past ->
                arguments.scans().stream()
                    .flatMap(scan -> rows(past, own, scan).stream())
                    .toList()));
    arguments.tellFaults();
    return arguments.exitCode();
  }

  private List<List<String>> rows(PastSessions past, List<Scan> own, Scan changed) {
    Scan was =
        own.stream()
            .filter(scan -> scan.name().equals(changed.name()))
            .findFirst()
            .orElseThrow(
                () ->
                    new RefusedException(
                        "the folder has no scan " + changed.name() + " to hold it against"));
    WhatIf whatIf =
        WhatIf.together(
            past.whatIfs(
                sessions.of(arguments),
                was,
                changed,
                arguments.data().settings().review(),
                new TextProgress(arguments.terminal(), "Playing sessions")));
    arguments.terminal().err().println(changed.name() + ": " + whatIf.words());
    return whatIf.lines().stream().map(line -> row(changed.name(), line)).toList();
  }

  private static List<String> row(String scan, WhatIf.Line line) {
    ScanTotals totals = line.totals();
    return List.of(
        scan,
        line.name(),
        Integer.toString(totals.hits()),
        Integer.toString(totals.moves()),
        Integer.toString(totals.ran()),
        Integer.toString(totals.known()),
        ReviewTables.number(totals.medianGone()),
        ReviewTables.number(totals.medianBest()),
        ReviewTables.number(totals.hitsPerHour()),
        Integer.toString(totals.trades()),
        ReviewTables.number(totals.net()),
        ReviewTables.number(line.atTheHit()));
  }
}
