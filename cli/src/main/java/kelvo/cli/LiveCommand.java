package kelvo.cli;

import java.net.InetSocketAddress;
import java.util.concurrent.Callable;
import kelvo.desktop.shell.KelvoWindow;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.refusal.RefusedException;
import kelvo.sim.SimulatedBroker;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * {@code kelvo live ws://HOST:PORT --data FOLDER}: the window on a live feed, recorded as it comes.
 */
@Command(
    name = "live",
    description = "Opens the window on a live feed and writes the session down as it comes.")
final class LiveCommand implements Callable<Integer> {
  @Mixin FeedArguments feed = new FeedArguments();

  @Option(
      names = "--drop-copy",
      paramLabel = "HOST:PORT",
      description = "takes the fills from a broker's FIX 4.4 drop copy")
  @Nullable String dropCopy;

  @Option(
      names = "--broker",
      paramLabel = "NAME",
      description = "the broker's name in the FIX session; ${DEFAULT-VALUE}")
  String broker = SimulatedBroker.NAME;

  @Mixin LookOptions window = new LookOptions();

  @Override
  public Integer call() {
    return KelvoWindow.open(
        window.request(
            progress -> OpenedDay.live(feed.address(), feed.folder, broker(), progress),
            DayTime.FIRST));
  }

  private OpenedDay.@Nullable Broker broker() {
    if (dropCopy == null) {
      return null;
    }
    int colon = dropCopy.lastIndexOf(':');
    if (colon < 1 || !dropCopy.substring(colon + 1).matches("\\d{1,5}")) {
      throw new RefusedException(
          "expected HOST:PORT for --drop-copy, such as localhost:8732, found " + dropCopy);
    }
    int port = Integer.parseInt(dropCopy.substring(colon + 1));
    return new OpenedDay.Broker(new InetSocketAddress(dropCopy.substring(0, colon), port), broker);
  }
}
