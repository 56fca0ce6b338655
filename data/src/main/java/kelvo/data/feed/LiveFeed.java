package kelvo.data.feed;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import kelvo.data.fill.ToldFills;
import kelvo.data.news.NewsPoller;
import kelvo.data.news.NewsSource;
import kelvo.news.Catalyst;
import kelvo.player.LiveSource;
import kelvo.refusal.RefusedException;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.trade.Fill;

/**
 * A session that comes from a live feed: each frame is written down, then waits until the player's
 * thread puts it on the tape. Frames that the player has not taken yet hold the feed back.
 */
public final class LiveFeed implements LiveSource, AutoCloseable {
  private static final int MAX_WAITING = 512;
  private static final int MAX_A_DRAIN = 256;

  /**
   * How the feed stands.
   *
   * @param connection of the feed
   * @param why one sentence
   * @param lagNanos how long the newest frames waited for the player
   * @param leftOut how many events were wrong and left out
   * @param faults what was wrong with them, a sentence for each kind of fault
   * @param notRecorded why the session is not being written down; empty while it is
   * @param standing whether it is in step with the market
   * @param since the last moment told before it fell out of step
   */
  public record Status(
      FeedClient.Status connection,
      String why,
      long lagNanos,
      int leftOut,
      List<String> faults,
      String notRecorded,
      Standing standing,
      long since) {}

  /** How a feed stands to the market. */
  public enum Standing {
    IN_STEP,
    LOST,
    HOLE,
    CATCHING_UP
  }

  /** What makes two items the same, whoever tells them. */
  private record Told(long at, String headline) {
    static Told of(Catalyst item) {
      return new Told(item.at() / DayTime.SECOND, item.headline());
    }
  }

  /** What one frame brings to the tape, or a heartbeat. */
  private record Batch(List<Consumer<FeedSink>> events, long at, long cameAt) {}

  private final LocalDate date;
  private final SessionRecorder recorder;
  private final FeedClient client;
  private final TapeSink tape;
  private final NewsPoller news;

  /** What sources have told of a moment that the feed has not come to; on the feed's thread. */
  private final List<Catalyst> early = new ArrayList<>();

  /** The news told so far, however often and by whom; on the feed's thread. */
  private final Set<Told> newsTold = new HashSet<>();

  private final FeedStep step = new FeedStep();

  /** The greatest moment that the feed has told; on the feed's thread. */
  private long heardAt;

  /** On the feed's thread. */
  private final ToldFills fills;

  private final BlockingQueue<Batch> waiting = new LinkedBlockingQueue<>();
  private final Semaphore room = new Semaphore(MAX_WAITING);
  private final List<String> faultsTold = new CopyOnWriteArrayList<>();
  private final ToldFaults faults = new ToldFaults(faultsTold::add);
  private volatile String notRecorded = "";
  private volatile FeedClient.Status connection = FeedClient.Status.CONNECTING;
  private volatile String why = "not connected yet";
  private volatile long lagNanos;
  private volatile boolean closed;
  private volatile Runnable wake = () -> {};
  private volatile Consumer<List<Fill>> filled = fresh -> {};
  private volatile BiConsumer<String, Throwable> troubled = (what, cause) -> {};

  /** The newest frame that was handed to the player; on the feed's thread. */
  private long played;

  private volatile long told;

  /**
   * A feed that has not connected yet.
   *
   * @param session what the folder knows of it; its tape grows from now on
   * @param recorder writes the session down, and knows after which frame to go on
   * @param sources publishers to ask for news of their own, beside the feed's
   * @param fills those that the feed has told before
   */
  public LiveFeed(
      FeedAddress address,
      Session session,
      SessionRecorder recorder,
      List<NewsSource> sources,
      List<Fill> fills) {
    date = session.hours().date();
    this.recorder = recorder;
    this.fills = new ToldFills(fills);
    played = recorder.lastFrame();
    tape = new TapeSink(session, seq -> {});
    session.catalysts().forEach(item -> newsTold.add(Told.of(item)));
    news =
        new NewsPoller(
            sources,
            date,
            session.securities().stream().map(SecurityFacts::symbol).collect(Collectors.toSet()),
            this::leaveOut);
    client =
        new FeedClient(
            address,
            recorder.lastFrame(),
            FeedClient.Timeouts.DEFAULT,
            new Connection(),
            System::nanoTime);
  }

  /**
   * Connects.
   *
   * @param fills gets the new fills of each frame, as {@link ToldFills#take} has them, on the
   *     feed's thread
   * @param trouble hears of what threw on the feed's thread, what was being done first; the feed
   *     goes on
   */
  public void start(Consumer<List<Fill>> fills, BiConsumer<String, Throwable> trouble) {
    filled = fills;
    troubled = trouble;
    client.everySecond("taking the news of other sources", this::takeNews);
    client.everySecond("saving the record", this::save);
    client.start();
    news.start();
  }

  /** Saves the record; once there is room again after a failure, asks for what is missing in it. */
  private void save() {
    boolean failed = !recorder.failure().isEmpty();
    recorder.save();
    notRecorded = recorder.failure();
    if (failed && notRecorded.isEmpty()) {
      client.askAgainAfter(recorder.lastFrame());
    }
  }

  /**
   * Writes down what the sources have told since and hands it to the player, as the feed's own
   * news. The session learns of it at the moment that the feed has come to, and not before it was
   * published.
   */
  private void takeNews() {
    early.addAll(news.take());
    List<Consumer<FeedSink>> events = new ArrayList<>();
    for (Catalyst item : List.copyOf(early)) {
      if (item.at() <= heardAt) {
        early.remove(item);
        if (newsTold.add(Told.of(item))) {
          Catalyst known = item.knownAt(heardAt);
          recorder.newsBetweenFrames(known);
          events.add(to -> to.news(known));
        }
      }
    }
    if (!events.isEmpty()) {
      put(new Batch(events, heardAt, System.nanoTime()));
    }
  }

  /** The greatest moment of which the player has taken what the feed told; any thread may ask. */
  public long told() {
    return told;
  }

  /** How the feed stands now. */
  public Status status() {
    FeedStep.Now now = step.now();
    return new Status(
        connection,
        why,
        lagNanos,
        leftOut(),
        List.copyOf(faultsTold),
        notRecorded,
        now.standing(),
        now.since());
  }

  /** The times when what happened was not told as it happened, oldest first; any thread may ask. */
  public List<FeedGap> gaps() {
    return step.gaps();
  }

  @Override
  public void onArrival(Runnable arrived) {
    wake = arrived;
  }

  @Override
  public long drain() {
    for (int i = 0; i < MAX_A_DRAIN; i++) {
      Batch batch = waiting.poll();
      if (batch == null) {
        break;
      }
      room.release();
      for (Consumer<FeedSink> event : batch.events()) {
        try {
          event.accept(tape);
        } catch (RuntimeException e) {
          leaveOut(String.valueOf(e.getMessage()));
        }
      }
      told = Math.max(told, batch.at());
      lagNanos = System.nanoTime() - batch.cameAt();
    }
    return told;
  }

  /** The feed, the player and those who ask for news each have a thread of their own. */
  private void leaveOut(String sentence) {
    synchronized (faults) {
      faults.add(sentence);
    }
  }

  private int leftOut() {
    synchronized (faults) {
      return faults.count();
    }
  }

  /** Ends the connection and the recording; when it returns, all that came is written down. */
  @Override
  public void close() {
    closed = true;
    try {
      news.close();
      client.close();
    } finally {
      recorder.close();
    }
  }

  private void put(Batch batch) {
    try {
      while (!closed && !room.tryAcquire(100, TimeUnit.MILLISECONDS)) {
        wake.run();
      }
      waiting.add(batch);
      wake.run();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** What the client tells, on the feed's thread. */
  private final class Connection implements FeedClient.Listener {
    @Override
    public FeedReader session(LocalDate served) {
      if (!served.equals(date)) {
        throw new RefusedException(
            "the feed serves " + served + " now, not " + date + "; open the window again");
      }
      return new FeedReader(date, new Frames(), this::fault);
    }

    @Override
    public void status(FeedClient.Status now, String sentence) {
      connection = now;
      why = sentence;
      switch (now) {
        case LIVE -> step.answers(heardAt);
        case STALE, REFUSED -> step.lost(heardAt);
        case CONNECTING, CLOSED -> {}
      }
    }

    @Override
    public void hole() {
      step.hole(heardAt);
    }

    @Override
    public void inStep() {
      step.inStep(heardAt);
    }

    @Override
    public void fault(String sentence) {
      leaveOut(sentence);
    }

    @Override
    public void trouble(String what, Throwable cause) {
      leaveOut(what + " went wrong: " + cause.getMessage());
      troubled.accept(what, cause);
    }
  }

  /**
   * Writes each event down, and keeps the events of a frame together for the player. A frame that
   * comes again, since it could not be written down before, is only written down.
   */
  private final class Frames implements FeedSink {
    private List<Consumer<FeedSink>> events = new ArrayList<>();
    private boolean again;

    @Override
    public void frameBegins(long seq) {
      again = seq <= played;
      events = new ArrayList<>();
    }

    private void take(Consumer<FeedSink> event) {
      event.accept(recorder);
      if (!again) {
        events.add(event);
      }
    }

    @Override
    public void trade(long at, String symbol, long price, long shares, int conditions, long id) {
      heardAt = Math.max(heardAt, at);
      take(to -> to.trade(at, symbol, price, shares, conditions, id));
    }

    @Override
    public void quote(long at, String symbol, long bid, int bidShares, long ask, int askShares) {
      heardAt = Math.max(heardAt, at);
      take(to -> to.quote(at, symbol, bid, bidShares, ask, askShares));
    }

    @Override
    public void status(long at, String symbol, TradingState state, String reason) {
      take(to -> to.status(at, symbol, state, reason));
    }

    @Override
    public void cancel(long at, String symbol, long id) {
      take(to -> to.cancel(at, symbol, id));
    }

    @Override
    public void correct(long at, String symbol, long id, long price, long shares) {
      take(to -> to.correct(at, symbol, id, price, shares));
    }

    @Override
    public void imbalance(
        long at, String symbol, boolean buyers, int paired, long shares, long reference) {
      take(to -> to.imbalance(at, symbol, buyers, paired, shares, reference));
    }

    @Override
    public void mention(long at, String symbol, long count) {
      take(to -> to.mention(at, symbol, count));
    }

    @Override
    public void news(Catalyst item) {
      if (newsTold.add(Told.of(item)) || again) {
        take(to -> to.news(item));
      }
    }

    @Override
    public void fill(Fill fill) {
      recorder.fill(fill);
      if (!again) {
        fills.add(fill);
      }
    }

    @Override
    public void heartbeat(long at) {
      heardAt = Math.max(heardAt, at);
      put(new Batch(List.of(), at, System.nanoTime()));
    }

    @Override
    public void frameDone(long seq) {
      recorder.frameDone(seq);
      notRecorded = recorder.failure();
      if (!again) {
        List<Fill> fresh = fills.take();
        if (!fresh.isEmpty()) {
          filled.accept(fresh);
        }
        played = seq;
        put(new Batch(events, 0, System.nanoTime()));
      }
    }
  }
}
