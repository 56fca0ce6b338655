package kelvo.cli;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.fault.PlainReason;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.SessionRecorder;
import kelvo.data.feed.ToldFaults;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.FolderLock;
import kelvo.job.Progress;
import kelvo.refusal.RefusedException;
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
  private final Terminal terminal;

  RecordCommand(Terminal terminal) {
    this.terminal = terminal;
    faults = new ToldFaults(sentence -> terminal.err().println("Feed: " + sentence));
  }

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
  private final ToldFaults faults;
  private boolean refused;
  private String told = "";

  @Override
  public Integer call() throws InterruptedException {
    CountDownLatch done = new CountDownLatch(1);
    Thread atInterrupt = new Thread(() -> endAndAwait(done), "end of recording");
    Runtime.getRuntime().addShutdownHook(atInterrupt);
    try {
      record();
    } finally {
      done.countDown();
    }
    return refused || faults.count() > 0 ? 1 : 0;
  }

  /** At Ctrl+C: what is being recorded is closed in order before the process ends. */
  private void endAndAwait(CountDownLatch done) {
    end.countDown();
    try {
      done.await();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void record() throws InterruptedException {
    FolderLock lock =
        FolderLock.of(feed.folder, "a recorder of Kelvo")
            .orElseThrow(() -> new RefusedException(FolderLock.whyNot(feed.folder)));
    try (lock) {
      recordInto(feed.folder);
      // The next opening then maps what would have to be parsed.
      terminal
          .err()
          .println("Preparing the session for a quick opening; to stop here loses nothing.");
      new DataFolder(feed.folder, new ExchangeCalendar()).session(date, Progress.NONE);
    }
  }

  private void recordInto(Path folder) throws InterruptedException {
    try (SessionRecorder opened = new SessionRecorder(folder, date)) {
      recorder = opened;
      if (opened.lastFrame() > 0) {
        terminal.err().println("Going on after frame " + opened.lastFrame() + ".");
      }
      try (FeedClient client =
          new FeedClient(
              feed.address(),
              opened.lastFrame(),
              FeedClient.Timeouts.DEFAULT,
              this,
              System::nanoTime)) {
        client.everySecond("saving the record", () -> save(opened, client));
        client.start();
        end.await();
      }
      faults.summary();
      terminal.err().println("Recorded up to frame " + opened.lastFrame() + ".");
    }
  }

  /** Saves; once there is room again after a failure, asks for what is missing. */
  private void save(SessionRecorder opened, FeedClient client) {
    boolean failed = !opened.failure().isEmpty();
    opened.save();
    if (!opened.failure().equals(told)) {
      told = opened.failure();
      terminal.err().println(told.isEmpty() ? "Recording goes on." : told + ".");
    }
    if (failed && opened.failure().isEmpty()) {
      client.askAgainAfter(opened.lastFrame());
    }
    if (opened.lastFrame() >= frames) {
      end.countDown();
    }
  }

  @Override
  public FeedReader session(LocalDate served) {
    SessionRecorder to = recorder;
    if (to == null || !served.equals(date)) {
      throw new RefusedException(
          "the feed serves " + served + ", not " + date + "; give the right --date");
    }
    return new FeedReader(served, to, this::fault);
  }

  @Override
  public void status(FeedClient.Status status, String why) {
    terminal.err().println("Feed: " + why + ".");
    if (status == FeedClient.Status.REFUSED) {
      refused = true;
      end.countDown();
    }
  }

  @Override
  public void fault(String sentence) {
    faults.add(sentence);
  }

  @Override
  public void trouble(String what, Throwable cause) {
    faults.add(what + " went wrong: " + PlainReason.of(cause));
  }
}
