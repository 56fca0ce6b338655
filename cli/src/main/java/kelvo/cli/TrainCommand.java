package kelvo.cli;

import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/**
 * Does once, on an invented market, what commands and windows do. The build runs it while the JDK
 * watches, and the JDK keeps for all later starts which classes were loaded and which code was
 * busy.
 */
@Command(
    name = "train",
    hidden = true,
    description = "Does what other commands do, for the JDK to learn from.")
final class TrainCommand implements Callable<Integer> {
  /** Enough for a triage table that fills the window, and for code to become busy. */
  private static final DemoSize MARKET =
      new DemoSize(500, 120, 150_000, DemoSize.SESSION).withHistory(0, 2);

  @Parameters(paramLabel = "FOLDER", description = "an empty folder for the market")
  Path folder;

  TrainCommand() {
    folder = Path.of("");
  }

  @Override
  public Integer call() {
    DemoFolder.write(folder, MARKET, DemoFolder.SEED, Progress.NONE);
    PrintStream nowhere =
        new PrintStream(OutputStream.nullOutputStream(), false, StandardCharsets.UTF_8);
    Terminal quiet = new Terminal(nowhere, nowhere);
    for (String command : List.of("hits", "hits", "review")) {
      int code = Kelvo.run(quiet, command, folder.toString());
      if (code != 0) {
        return code;
      }
    }
    return Kelvo.run(quiet, "open", folder.toString(), "--smoke", "--at", "08:58");
  }
}
