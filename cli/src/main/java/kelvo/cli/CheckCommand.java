package kelvo.cli;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFolder;
import kelvo.job.Progress;
import kelvo.rule.Vocabulary;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** {@code kelvo check FOLDER}: reads everything and prints every problem, line by line. */
@Command(name = "check", description = "Reads everything and prints every problem, line by line.")
final class CheckCommand implements Callable<Integer> {
  private final Terminal terminal;

  CheckCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Parameters(index = "0", paramLabel = "FOLDER")
  Path folder = Path.of(".");

  @Override
  public Integer call() {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    int problems = 0;
    for (var date : data.sessionDates()) {
      DataFolder one = new DataFolder(folder, new ExchangeCalendar()).searching();
      var session = one.session(date, Progress.NONE);
      int fills = one.fills(date).size();
      one.faultSentences().forEach(terminal.out()::println);
      problems += one.faultCount();
      List<String> doubts = one.doubtsAbout(session);
      doubts.forEach(terminal.out()::println);
      problems += doubts.size();
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
    problems += checkScans(data.vocabulary());
    terminal.err().println(problems == 0 ? "No problems found." : problems + " problems found.");
    return problems == 0 ? 0 : 1;
  }

  /** Reads what the trader has made; prints each problem and returns their number. */
  private int checkScans(Vocabulary vocabulary) {
    List<String> wrong = new ArrayList<>();
    ScanFolder own = new ScanFolder(folder, vocabulary, wrong::add);
    own.scans();
    own.checks();
    wrong.forEach(terminal.out()::println);
    return wrong.size();
  }
}
