package kelvo.cli;

import java.time.LocalDate;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.SessionRecorder;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * {@code kelvo record ws://HOST:PORT --data FOLDER}: writes a live session down as it comes. After
 * a kill the same command goes on where it stopped.
 */
@Command(
    name = "record",
    description = "Writes a live session down as it comes; goes on where it stopped.")
final class RecordCommand implements Callable<Integer>, FeedClient.Listener {
  @Mixin FeedArguments feed = new FeedArguments();

  @Option(
      names = "--date",
      paramLabel = "D",
      required = true,
      description = "the session that the feed serves, such as 2031-03-12")
  LocalDate date = LocalDate.EPOCH;

  @Option(
      names = "--frames",
      paramLabel = "N",
      description = "ends after this frame; without it, at Ctrl+C")
  long frames = Long.MAX_VALUE;

  private final CountDownLatch end = new CountDownLatch(1);
  private @Nullable SessionRecorder recorder;
  private int faults;

  @Override
  public Integer call() throws InterruptedException {
    try (SessionRecorder opened = new SessionRecorder(feed.folder, date)) {
      recorder = opened;
      if (opened.lastFrame() > 0) {
        System.err.println("Going on after frame " + opened.lastFrame() + ".");
      }
      try (FeedClient client =
          new FeedClient(
              feed.address(),
              opened.lastFrame(),
              FeedClient.Patience.USUAL,
              this,
              System::nanoTime)) {
        client.everySecond(() -> save(opened));
        client.start();
        end.await();
      }
      System.err.println("Recorded up to frame " + opened.lastFrame() + ".");
    }
    return faults == 0 ? 0 : 1;
  }

  private void save(SessionRecorder opened) {
    opened.save();
    if (opened.lastFrame() >= frames) {
      end.countDown();
    }
  }

  @Override
  public FeedReader session(LocalDate served) {
    SessionRecorder to = recorder;
    if (to == null || !served.equals(date)) {
      throw new IllegalStateException(
          "the feed serves " + served + ", not " + date + "; give the right --date");
    }
    return new FeedReader(served, to, this::fault);
  }

  @Override
  public void standing(FeedClient.Standing standing, String why) {
    System.err.println("Feed: " + why + ".");
    if (standing == FeedClient.Standing.REFUSED) {
      faults++;
      end.countDown();
    }
  }

  @Override
  public void fault(String sentence) {
    faults++;
    System.err.println("Feed: " + sentence);
  }
}
