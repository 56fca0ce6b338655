package kelvo.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.PartitionedStore;
import kelvo.data.folder.TableConversion;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code kelvo convert IN OUT}: CSV to Parquet and back, a table or a whole data folder. */
@Command(name = "convert", description = "CSV to Parquet and back, a table or a whole data folder.")
final class ConvertCommand implements Callable<Integer> {
  private final Terminal terminal;

  ConvertCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Parameters(index = "0", paramLabel = "IN", description = "a table or a data folder")
  Path in = Path.of(".");

  @Parameters(
      index = "1",
      paramLabel = "OUT",
      description = "a table that is not there yet, or an empty folder")
  Path out = Path.of(".");

  @Option(
      names = "--partitioned",
      description =
          "write what research asks of minute bars as a store for other engines: Parquet, a folder a"
              + " table, minutes in a folder a date")
  boolean partitioned;

  @Override
  public Integer call() {
    TextProgress progress = new TextProgress(terminal, "Converting " + in);
    TableConversion conversion = new TableConversion();
    if (partitioned) {
      conversion = new PartitionedStore(in, out, new ExchangeCalendar()).write(progress);
    } else {
      conversion.convert(in, out, progress);
    }
    conversion.faults().sentences().forEach(terminal.err()::println);
    int leftOut = conversion.faults().count();
    terminal
        .err()
        .println(
            conversion.rows()
                + (conversion.rows() == 1 ? " row written, " : " rows written, ")
                + leftOut
                + " left out.");
    return leftOut == 0 ? 0 : 1;
  }
}
