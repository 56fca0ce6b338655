package kelvo.cli;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import kelvo.data.alert.WebhookSecret;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.fill.FillMappings;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFolder;
import kelvo.desktop.shell.WindowLayout;
import kelvo.desktop.windows.WindowSets;
import kelvo.job.Progress;
import kelvo.rule.Vocabulary;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** {@code kelvo check FOLDER}: reads everything and prints every problem, line by line. */
@Command(name = "check", description = "Reads everything and prints every problem, line by line.")
final class CheckCommand implements Callable<Integer> {
  private final Terminal terminal;
  private final Set<String> told = new LinkedHashSet<>();

  CheckCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Parameters(index = "0", paramLabel = "FOLDER")
  Path folder = Path.of(".");

  @Override
  public Integer call() {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar()).searching();
    data.readAll();
    tell(data.faultSentences());
    for (var date : data.sessionDates()) {
      DataFolder one = new DataFolder(folder, new ExchangeCalendar()).searching();
      var session = one.session(date, Progress.NONE);
      int fills = one.fills(date).size();
      tell(one.faultSentences());
      tell(one.doubtsAbout(session));
      terminal
          .err()
          .println(
              date
                  + ": "
                  + session.securities().size()
                  + " securities, "
                  + session.tape().size()
                  + " events, "
                  + session.catalysts().size()
                  + " news items, "
                  + fills
                  + " fills");
    }
    tell(problemsOfOwnFiles(data.vocabulary()));
    int problems = told.size();
    terminal
        .err()
        .println(
            switch (problems) {
              case 0 -> "No problems found.";
              case 1 -> "1 problem found.";
              default -> problems + " problems found.";
            });
    return problems == 0 ? 0 : 1;
  }

  /** What several sessions have in common is told once. */
  private void tell(List<String> problems) {
    problems.stream().filter(told::add).forEach(terminal.out()::println);
  }

  /** What is wrong with the files that the trader has made. */
  private List<String> problemsOfOwnFiles(Vocabulary vocabulary) {
    List<String> wrong = new ArrayList<>();
    ScanFolder own = new ScanFolder(folder, vocabulary, wrong::add);
    own.scans();
    own.checks();
    own.universes();
    own.watchlists();
    own.alerts();
    own.mostKept();
    own.ownRules();
    own.questions();
    new FillMappings(folder, wrong::add).check();
    WindowLayout.in(folder, wrong::add);
    WindowSets.in(folder, wrong::add);
    WebhookSecret.problem(folder).ifPresent(wrong::add);
    return wrong;
  }
}
