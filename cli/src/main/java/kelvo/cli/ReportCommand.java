package kelvo.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import kelvo.data.fault.PlainReason;
import kelvo.data.file.WholeFile;
import kelvo.data.report.Report;
import kelvo.desktop.theme.Theme;
import kelvo.refusal.RefusedException;
import kelvo.review.ReviewSettings;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code kelvo report}: a page of the journal, of one session or several, as HTML or PDF. */
@Command(name = "report", description = "Writes sessions as a report with a picture of each trade.")
final class ReportCommand implements Callable<Integer> {
  private static final double REVIEWING = 0.7;

  @Mixin final FolderArguments arguments;

  @Mixin RecordedSessions sessions = new RecordedSessions();

  @Option(
      names = "--out",
      paramLabel = "FILE",
      required = true,
      description = "where to, ending with .html or .pdf")
  Path out = Path.of("report.html");

  ReportCommand(Terminal terminal) {
    arguments = new FolderArguments(terminal);
  }

  @Override
  public Integer call() {
    String name = out.toString().toLowerCase(Locale.ROOT);
    if (!name.endsWith(".html") && !name.endsWith(".pdf")) {
      throw new RefusedException(out + " ends with neither .html nor .pdf");
    }
    ReviewSettings settings = arguments.data().settings().review();
    TextProgress progress = new TextProgress(arguments.terminal(), "Writing " + out);
    Report report =
        arguments.past(
            past ->
                Report.of(
                    sessions.reviewed(arguments, past, progress.within(0, REVIEWING)),
                    settings,
                    past::session,
                    progress.within(REVIEWING, 1)));
    write(report, name.endsWith(".pdf"));
    progress.done(1);
    arguments.tellFaults();
    return arguments.exitCode();
  }

  private void write(Report report, boolean pdf) {
    try {
      WholeFile.replaceForOwner(
          out,
          to -> {
            if (pdf) {
              report.writePdf(to, Theme::textFont);
            } else {
              to.write(report.html().getBytes(StandardCharsets.UTF_8));
            }
          });
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot write to " + out + " (" + PlainReason.of(e) + "); name another file", e);
    }
  }
}
