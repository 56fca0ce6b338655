package kelvo.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.shell.KelvoWindow;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.DemoTrader;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * {@code kelvo demo}: writes the invented market if it is not there yet, and opens the window on
 * it.
 */
@Command(name = "demo", description = "Opens the window on an invented market of 2031.")
final class DemoCommand implements Callable<Integer> {
  private static final double WRITING = 0.5;

  @Mixin WindowOptions window = new WindowOptions();

  @Option(
      names = "--folder",
      paramLabel = "FOLDER",
      description = "where the demo's data lies; ~/.kelvo/demo if not given")
  @Nullable Path folder;

  @Override
  public Integer call() {
    Path root = DemoData.root(folder);
    return KelvoWindow.open(
        window.request(progress -> open(root, progress), DemoTrader.PREPARED_AT));
  }

  private static OpenedDay open(Path root, Progress progress) {
    boolean written =
        DemoData.ready(root, DemoSize.DEMO, DemoFolder.SEED, part -> progress.done(part * WRITING));
    try (Ledger ledger = Ledger.open(root.resolve(OpenedDay.LEDGER))) {
      DemoTrader.prepare(ledger, DemoSize.SESSION);
    }
    double from = written ? 0 : WRITING;
    return OpenedDay.open(root, DemoSize.SESSION, part -> progress.done(from + part * (1 - from)));
  }
}
