package kelvo.cli;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
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
    try (Ledger ledger = Ledger.readOnly(folder.resolve(OpenedDay.LEDGER));
        OutputStream target = Files.newOutputStream(to)) {
      LedgerArchive.write(ledger, target);
      terminal.err().println("Written to " + to);
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot write to " + to + "; name a file that can be written", e);
    }
  }

  private void read(Path from) {
    try (Ledger ledger = Ledger.open(folder.resolve(OpenedDay.LEDGER));
        InputStream source = Files.newInputStream(from)) {
      LedgerArchive.read(source, ledger);
      terminal.err().println("Read from " + from);
    } catch (LedgerArchive.ArchiveException e) {
      throw new DataAtFault(from + ": " + e.getMessage());
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read " + from + "; name a zip of a ledger", e);
    }
  }
}
