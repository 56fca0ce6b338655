package kelvo.desktop.review;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import kelvo.data.fault.PlainReason;
import kelvo.data.file.WholeFile;
import kelvo.data.ledger.LedgerArchive;
import kelvo.data.past.WantedHits;
import kelvo.data.report.CsvTables;
import kelvo.data.report.Report;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.review.DayReview;
import kelvo.review.DecisionReview;
import kelvo.review.ReviewSettings;
import kelvo.review.TradeGrouping;
import kelvo.trackrecord.PastReview;
import kelvo.trackrecord.Period;
import kelvo.trackrecord.TrackRecord;
import org.jspecify.annotations.Nullable;

/** Writes reports of the day or its week, tables, and the ledger as an archive. */
final class ExportPanel extends HBox {
  private final Workspace workspace;
  private final Playing playing;

  ExportPanel(Workspace workspace) {
    super(6);
    this.workspace = workspace;
    playing = new Playing(workspace, "writing a report");
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().addAll("card", "part");
    getChildren()
        .addAll(
            SmallButton.inTabOrder("Report of the day…", "HTML or PDF", () -> report(Period.DAY)),
            SmallButton.inTabOrder("of the week…", "HTML or PDF", () -> report(Period.WEEK)),
            SmallButton.inTabOrder("Tables as CSV…", "Of the week", this::tables),
            SmallButton.inTabOrder("Ledger as zip…", "All days, as CSV and JSON", this::archive),
            playing);
  }

  private void report(Period period) {
    workspace
        .navigation()
        .files()
        .save(getScene().getWindow(), "kelvo-" + workspace.day() + ".pdf", "pdf", "html")
        .ifPresent(file -> report(period, file));
  }

  /** Writes a report as PDF or HTML, as the file's ending says. */
  private void report(Period period, Path file) {
    ReviewSettings settings = workspace.review().settings();
    Asked asked = asked(period);
    playing.ask(
        progress -> {
          Report report =
              Report.of(
                  asked.record(progress.within(0, 0.7)),
                  settings,
                  date ->
                      date.equals(workspace.day())
                          ? workspace.session()
                          : workspace.past().session(date),
                  progress.within(0.7, 1));
          return written(
              file,
              to -> {
                if (file.toString().toLowerCase(Locale.ROOT).endsWith(".pdf")) {
                  report.writePdf(to, Theme::textFont);
                } else {
                  to.write(report.html().getBytes(StandardCharsets.UTF_8));
                }
              });
        },
        workspace.window().action()::set);
  }

  private void tables() {
    workspace
        .navigation()
        .files()
        .folder(getScene().getWindow(), "A folder for the tables")
        .ifPresent(this::tables);
  }

  /** Writes the week's tables into a folder. */
  private void tables(Path folder) {
    Asked asked = asked(Period.WEEK);
    playing.ask(
        progress -> {
          try {
            CsvTables.write(folder, asked.record(progress), TradeGrouping.SCAN);
            return "Tables written to " + folder;
          } catch (IOException e) {
            return "Nothing could be written to " + folder + "; choose another folder";
          }
        },
        workspace.window().action()::set);
  }

  private void archive() {
    workspace
        .navigation()
        .files()
        .save(getScene().getWindow(), "kelvo-ledger.zip", "zip")
        .ifPresent(this::archive);
  }

  /** Writes the whole ledger as an archive. */
  private void archive(Path file) {
    playing.ask(
        progress -> {
          workspace.ledger().awaitSaved();
          return written(file, to -> LedgerArchive.write(workspace.ledger(), to));
        },
        workspace.window().action()::set);
  }

  private static String written(Path file, WholeFile.Contents contents) {
    try {
      WholeFile.replaceForOwner(file, contents);
      return "Written to " + file;
    } catch (IOException | UncheckedIOException e) {
      return file + " could not be written (" + PlainReason.of(e) + "); choose another place";
    }
  }

  /** Which sessions a report is of, and what they are reviewed by. */
  private final class Asked {
    private final Period period;
    private final WantedHits wanted = workspace.wanted();
    private final ReviewSettings settings = workspace.review().settings();
    private final @Nullable DayReview now = workspace.review().review().get();
    private final DayBook book = workspace.book().get();

    Asked(Period period) {
      this.period = period;
    }

    TrackRecord record(Progress progress) {
      List<PastReview> sessions =
          new ArrayList<>(
              workspace
                  .past()
                  .reviews(
                      workspace.earlier().dates().stream()
                          .filter(date -> period.holds(workspace.day(), date))
                          .toList(),
                      wanted,
                      settings,
                      one -> {},
                      progress));
      if (now != null) {
        sessions.add(
            new PastReview(
                workspace.day(),
                now,
                DecisionReview.of(workspace.session(), book, wanted.listsOn(workspace.day()), now),
                book.page()));
      }
      return TrackRecord.of(sessions);
    }
  }

  private Asked asked(Period period) {
    return new Asked(period);
  }
}
