package kelvo.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code kelvo sim --write FOLDER}: writes the invented market's data folder. */
@Command(name = "sim", description = "Writes the invented market of the demo as a data folder.")
final class SimCommand implements Callable<Integer> {
  @Option(names = "--seed", paramLabel = "S", description = "another market for another number")
  long seed = DemoFolder.SEED;

  @Option(names = "--write", paramLabel = "FOLDER", required = true, description = "where to")
  Path folder = Path.of(".");

  @Override
  public Integer call() {
    DemoFolder.write(folder, DemoSize.DEMO, seed, new TextProgress("Writing " + folder));
    return 0;
  }
}
