package kelvo.cli;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import kelvo.data.fault.PlainReason;
import kelvo.data.file.WholeFile;
import kelvo.data.folder.FolderLock;
import kelvo.data.ledger.Ledger;
import kelvo.data.ledger.LedgerArchive;
import kelvo.desktop.workspace.OpenedDay;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code kelvo ledger}: the whole ledger as an open archive, and back. */
@Command(
    name = "ledger",
    description = "Writes a folder's ledger as a zip of CSV and JSON, or reads one back.")
final class LedgerCommand implements Callable<Integer> {
  @Parameters(index = "0", paramLabel = "FOLDER", description = "a data folder")
  Path folder = Path.of(".");

  @ArgGroup(multiplicity = "1")
  Way way = new Way();

  /** Which way it goes. */
  static final class Way {
    @Option(names = "--to", paramLabel = "ZIP", description = "write the ledger there")
    @Nullable Path to;

    @Option(
        names = "--from",
        paramLabel = "ZIP",
        description = "read it back into a folder without a ledger")
    @Nullable Path from;
  }

  private final Terminal terminal;

  LedgerCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    Path to = way.to;
    Path from = way.from;
    if (to != null) {
      write(to);
    } else if (from != null) {
      read(from);
    }
    return 0;
  }

  private void write(Path to) {
    Path file = folder.resolve(OpenedDay.LEDGER);
    if (!Files.isRegularFile(file)) {
      throw new DataAtFault(
          folder + " has no " + OpenedDay.LEDGER + "; name a folder that was opened in a window");
    }
    try (Ledger ledger = Ledger.readOnly(file)) {
      WholeFile.replaceForOwner(to, target -> LedgerArchive.write(ledger, target));
      terminal.err().println("Written to " + to);
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot write to " + to + " (" + PlainReason.of(e) + "); what was there is as it was", e);
    }
  }

  private void read(Path from) {
    Path file = folder.resolve(OpenedDay.LEDGER);
    FolderLock lock =
        FolderLock.of(folder, "the command ledger")
            .orElseThrow(() -> new DataAtFault(FolderLock.whyNot(folder)));
    try (lock) {
      boolean isNew = !Files.exists(file);
      try {
        read(from, file);
      } catch (RuntimeException | IOException e) {
        if (isNew) {
          remove(file);
        }
        throw e;
      }
      terminal.err().println("Read from " + from);
    } catch (LedgerArchive.ArchiveException e) {
      throw new DataAtFault(from + ": " + e.getMessage());
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot read " + from + " (" + PlainReason.of(e) + "); name a zip of a ledger", e);
    }
  }

  private static void read(Path from, Path file) throws IOException {
    try (InputStream source = new BufferedInputStream(Files.newInputStream(from));
        Ledger ledger = Ledger.open(file)) {
      LedgerArchive.read(source, ledger);
    }
  }

  /** A folder that had no ledger is left without one. */
  private static void remove(Path file) throws IOException {
    for (String ending : List.of("", "-wal", "-shm")) {
      Files.deleteIfExists(file.resolveSibling(file.getFileName() + ending));
    }
  }
}
