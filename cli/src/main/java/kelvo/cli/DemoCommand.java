package kelvo.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import kelvo.desktop.shell.KelvoWindow;
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
  @Mixin WindowOptions window = new WindowOptions();

  @Option(
      names = "--folder",
      paramLabel = "FOLDER",
      description = "where the demo's data lies; ~/.kelvo/demo if not given")
  @Nullable Path folder;

  @Override
  public Integer call() {
    if (window.pictures != null) {
      // Research is among them.
      DemoDay.writeAll(DemoData.root(folder));
    }
    return KelvoWindow.open(
        window.request(new DemoDay(DemoData.root(folder)), DemoTrader.PREPARED_AT));
  }
}
