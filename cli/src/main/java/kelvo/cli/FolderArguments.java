package kelvo.cli;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import kelvo.alert.AlertScans;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.ledger.Ledger;
import kelvo.data.past.PastSessions;
import kelvo.data.past.WantedHits;
import kelvo.data.scanfile.ScanFolder;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What the commands on a data folder have in common. */
final class FolderArguments {
  @Parameters(index = "0", paramLabel = "FOLDER", description = "a data folder")
  Path folder = Path.of(".");

  @Option(names = "--date", paramLabel = "D", description = "the session; the newest if not given")
  @Nullable LocalDate date;

  @Option(
      names = "--scan",
      paramLabel = "FILE",
      description = "a scan file; all of the folder's scans if not given")
  List<Path> scanFiles = new ArrayList<>();

  @Mixin final RowOutput output;

  private final Terminal terminal;

  private @Nullable DataFolder opened;
  private @Nullable Vocabulary vocabulary;
  private @Nullable ScanFolder own;

  /** How many files of the trader's own could not be read. */
  private int faultsTold;

  private int problems;

  FolderArguments(Terminal terminal) {
    this.terminal = terminal;
    output = new RowOutput(terminal);
  }

  Terminal terminal() {
    return terminal;
  }

  DataFolder data() {
    DataFolder data = opened;
    if (data == null) {
      data = new DataFolder(folder, new ExchangeCalendar());
      opened = data;
    }
    return data;
  }

  LocalDate date() {
    if (date != null) {
      return date;
    }
    List<LocalDate> dates = data().sessionDates();
    if (dates.isEmpty()) {
      throw new DataAtFault(
          folder + " has no recorded session; expected a folder sessions/DATE with trades.csv");
    }
    return dates.getLast();
  }

  /** Reads the session and tells every fault on standard error. */
  Session session() {
    if (!data().sessionDates().contains(date())) {
      throw new DataAtFault(
          folder
              + " has no session of "
              + date()
              + "; there are "
              + String.join(
                  ", ", data().sessionDates().stream().map(LocalDate::toString).toList()));
    }
    Session session = data().session(date(), Progress.NONE);
    tellFaults();
    return session;
  }

  /** Tells the faults that have been found since it was last called, on standard error. */
  void tellFaults() {
    List<String> faults = data().faultSentences();
    faults
        .subList(Math.min(faultsTold, faults.size()), faults.size())
        .forEach(terminal.err()::println);
    faultsTold = faults.size();
  }

  /** The trader's own files, whose faults are told once. */
  ScanFolder own() {
    ScanFolder read = own;
    if (read == null) {
      read = new ScanFolder(folder, vocabulary(), this::tell);
      own = read;
    }
    return read;
  }

  /** The words of rules: the trader's own fields are among them once {@link #own} was read. */
  Vocabulary vocabulary() {
    Vocabulary known = vocabulary;
    if (known == null) {
      known = data().vocabulary();
      vocabulary = known;
    }
    return known;
  }

  List<Scan> scans() {
    return scanFiles.isEmpty() ? own().scans() : scanFiles.stream().map(own()::read).toList();
  }

  /** What the folder's alerts look for on the day. */
  List<Scan> alerts(DayBook book, List<Scan> scans) {
    return AlertScans.on(date(), own().watchlists(), book, scans).of(own().alerts().alerts());
  }

  /** What the trader looks for: the scans that are named, and the folder's alerts. */
  WantedHits wanted() {
    return new WantedHits(scans(), own().watchlists(), own().alerts());
  }

  /** Does something with the folder's past sessions, whose ledger is closed afterwards. */
  <T> T past(Function<PastSessions, T> work) {
    try (Ledger ledger = Ledger.readOnly(folder.resolve(OpenedDay.LEDGER))) {
      PastSessions past = new PastSessions(folder, ledger, vocabulary());
      T done = work.apply(past);
      past.faults().stream()
          .filter(fault -> !data().faultSentences().contains(fault))
          .forEach(this::tell);
      return done;
    }
  }

  private void tell(String problem) {
    problems++;
    terminal.err().println(problem);
  }

  /** 0, or 1 when the data had faults. */
  int exitCode() {
    return data().faultCount() == 0 && problems == 0 ? 0 : 1;
  }

  static long moment(@Nullable String text, long otherwise) {
    return text == null ? otherwise : DayTime.parse(text);
  }
}
