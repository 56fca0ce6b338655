package kelvo.data.feed;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.net.ProtocolException;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.time.LocalDate;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.LongSupplier;
import kelvo.job.DoublingWait;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Keeps a live feed connected. Frames are numbered without holes: on a hole, after a cut and after
 * silence it asks again from the last frame that it has, so that every event is handed over once
 * and in order. Between tries it waits, longer each time. Everything happens on one thread of its
 * own; {@link #close} may be called from any.
 */
public final class FeedClient implements AutoCloseable {
  /** How the connection stands. */
  public enum Status {
    CONNECTING,
    LIVE,
    STALE,
    REFUSED,
    CLOSED
  }

  /** Hears of the connection, on the feed's thread. */
  public interface Listener {
    /**
     * The server has named its session; gives what reads its frames.
     *
     * @throws IllegalStateException when that session is not wanted
     */
    FeedReader session(LocalDate date);

    /** The connection stands otherwise; {@code why} is one sentence. */
    void status(Status status, String why);

    /** Frames are missing between others, and are asked for again. */
    default void hole() {}

    /** The server has said that there is nothing more to tell than what has come. */
    default void inStep() {}

    /** A frame could not be read at all. */
    void fault(String sentence);

    /**
     * Something threw on the feed's thread, and the feed goes on.
     *
     * @param what was being done, such as "taking frame 12"
     */
    void trouble(String what, Throwable cause);
  }

  /** How long to wait between tries, and how long silence may last. */
  public record Timeouts(Duration first, Duration longest, Duration silence) {
    /** 0.5 s to 30 s between tries; 3 s of silence. */
    public static final Timeouts DEFAULT =
        new Timeouts(Duration.ofMillis(500), Duration.ofSeconds(30), Duration.ofSeconds(3));

    private DoublingWait waits() {
      return new DoublingWait(first, longest);
    }
  }

  private static final Logger LOG = LoggerFactory.getLogger(FeedClient.class);
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final Duration LONGEST_END = Duration.ofSeconds(10);
  private static final int REFUSED_CODE = 4001;
  private static final int MAX_ASKS = 3;

  /** How many messages may wait to be read. */
  private static final int AHEAD = 256;

  /** The most characters of a message; a longer one is told and not kept. */
  static final int LONGEST_MESSAGE = 16_000_000;

  /** The most characters of what a server says of itself that are told on. */
  static final int LONGEST_TEXT_TOLD = 200;

  private final FeedAddress address;
  private final Timeouts timeouts;
  private final Listener listener;
  private final LongSupplier nanos;
  private final HttpClient http;
  private final ScheduledExecutorService thread =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread thread = new Thread(task, "feed");
            thread.setDaemon(true);
            return thread;
          });

  private @Nullable WebSocket socket;
  private @Nullable FeedReader reader;
  private long last;

  /** When bytes of this connection came last, or were taken; written on both threads. */
  private volatile long heardAt;

  /** When the server had welcomed this connection; only while it is live. */
  private long welcomedAt;

  /** How often it has waited since a connection held. */
  private int waited;

  private int connection;
  private int asksForHole;

  /** The session that is followed; null before the first welcome. */
  private @Nullable LocalDate session;

  /** How often the frame after the last one has broken the connection. */
  private int breaks;

  /** The frame that was given up last, which is not asked for again. */
  private long givenUp;

  /** Whether a greeting has not been answered yet. */
  private boolean asking;

  private boolean closed;
  private Status status = Status.CLOSED;
  private String why = "";

  /**
   * A client that has not connected yet.
   *
   * @param last the number of the last frame that is there already; 0 for none
   * @param nanos a clock that only measures how much time goes by
   */
  public FeedClient(
      FeedAddress address, long last, Timeouts timeouts, Listener listener, LongSupplier nanos) {
    this.address = address;
    this.last = last;
    this.timeouts = timeouts;
    this.listener = listener;
    this.nanos = nanos;
    http = address.client();
  }

  /** Connects, and stays connected until it is closed. */
  public void start() {
    run("connecting", this::connect);
    long check = Math.max(1, timeouts.silence().toMillis() / 3);
    ScheduledFuture<?> unused =
        thread.scheduleWithFixedDelay(
            guarded("asking whether the feed is silent", this::checkSilence),
            check,
            check,
            TimeUnit.MILLISECONDS);
  }

  /**
   * The date of the session that a feed serves.
   *
   * @throws RefusedException when the server refuses, with its reason
   * @throws IllegalStateException when no feed answers in time
   */
  public static LocalDate sessionServed(FeedAddress address, Duration longest) {
    CompletableFuture<LocalDate> found = new CompletableFuture<>();
    AtomicReference<String> lately =
        new AtomicReference<>("no feed answers at " + address.uri() + "; check host and port");
    Listener asking =
        new Listener() {
          @Override
          public FeedReader session(LocalDate date) {
            found.complete(date);
            throw new RefusedException("only the date was asked for");
          }

          @Override
          public void status(Status status, String why) {
            if (status == Status.REFUSED) {
              found.completeExceptionally(new RefusedException(why));
            } else if (status == Status.STALE) {
              lately.set(why);
            }
          }

          @Override
          public void fault(String sentence) {
            found.completeExceptionally(new RefusedException(sentence));
          }

          @Override
          public void trouble(String what, Throwable cause) {
            found.completeExceptionally(cause);
          }
        };
    try (FeedClient client =
        new FeedClient(address, 0, Timeouts.DEFAULT, asking, System::nanoTime)) {
      client.start();
      return found.get(longest.toMillis(), TimeUnit.MILLISECONDS);
    } catch (ExecutionException e) {
      Throwable cause = e.getCause();
      throw new RefusedException(
          cause == null ? "no answer" : String.valueOf(cause.getMessage()), e);
    } catch (TimeoutException e) {
      throw new RefusedException(String.valueOf(lately.get()), e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted", e);
    }
  }

  /**
   * Runs something on the feed's thread once a second, until the client is closed; what it throws
   * is told, and it runs again a second later.
   *
   * @param what it does, such as "saving the record"
   */
  public void everySecond(String what, Runnable task) {
    ScheduledFuture<?> unused =
        thread.scheduleWithFixedDelay(guarded(what, task), 1, 1, TimeUnit.SECONDS);
  }

  /**
   * Asks once more for all frames after one; those that come again are handed over again. On the
   * feed's thread.
   */
  public void askAgainAfter(long frame) {
    if (frame < last) {
      last = frame;
      asksForHole = 0;
      if (socket != null) {
        greet();
      }
    }
  }

  private void connect() {
    if (closed) {
      return;
    }
    int mine = ++connection;
    if (status != Status.STALE) {
      become(Status.CONNECTING, "connecting to " + address.uri());
    }
    heardAt = nanos.getAsLong();
    CompletableFuture<WebSocket> unused =
        http.newWebSocketBuilder()
            .connectTimeout(Duration.ofSeconds(10))
            .buildAsync(address.uri(), new Frames(mine))
            .whenComplete(
                (opened, error) -> {
                  boolean runs = run("connecting", () -> connected(mine, opened, error));
                  if (!runs && opened != null) {
                    opened.abort();
                  }
                });
  }

  private void connected(int which, @Nullable WebSocket opened, @Nullable Throwable error) {
    if (which != connection || closed) {
      if (opened != null) {
        // It came too late, and nobody else would ever close it.
        opened.abort();
      }
    } else if (error != null) {
      failed(which, ConnectionFailure.of(address.uri(), error));
    } else {
      socket = opened;
      greet();
    }
  }

  private void failed(int which, ConnectionFailure failure) {
    if (failure.isFinal()) {
      refuse(failure.sentence());
    } else {
      lost(which, failure.sentence());
    }
  }

  /** Ends the connection and tries no more, since no waiting would help. */
  private void refuse(String sentence) {
    connection++;
    WebSocket open = socket;
    socket = null;
    if (open != null) {
      open.abort();
    }
    become(Status.REFUSED, sentence);
  }

  /** Runs something on the feed's thread; says whether it will, which after the end it does not. */
  private boolean run(String what, Runnable task) {
    try {
      thread.execute(guarded(what, task));
      return true;
    } catch (RejectedExecutionException e) {
      return false;
    }
  }

  /** An executor forgets what its tasks throw, and never runs again what throws on a schedule. */
  private Runnable guarded(String what, Runnable task) {
    return () -> {
      try {
        task.run();
      } catch (RuntimeException | Error e) {
        // The schedule, with saving the record on it, would end without a word.
        listener.trouble(what, e);
      }
    };
  }

  private void greet() {
    long from = last > 0 && givenUp == last ? last + 1 : last;
    ObjectNode hello =
        JSON.createObjectNode().put("hello", 1).put("token", address.token()).put("from", from);
    WebSocket open = socket;
    asking = true;
    if (open != null) {
      int mine = connection;
      CompletableFuture<WebSocket> unused =
          open.sendText(hello.toString(), true)
              .whenComplete(
                  (sent, error) -> {
                    if (error != null) {
                      run(
                          "greeting",
                          () -> lost(mine, "the greeting was not sent: " + error.getMessage()));
                    }
                  });
    }
  }

  private void lost(int which, String why) {
    if (which != connection || closed) {
      return;
    }
    connection++;
    WebSocket open = socket;
    socket = null;
    if (open != null) {
      open.abort();
    }
    if (status == Status.LIVE && nanos.getAsLong() - welcomedAt >= timeouts.longest().toNanos()) {
      waited = 0;
    }
    become(Status.STALE, why);
    ScheduledFuture<?> unused =
        thread.schedule(
            guarded("connecting again", this::connect),
            timeouts.waits().after(waited++).toNanos(),
            TimeUnit.NANOSECONDS);
  }

  private void checkSilence() {
    if (socket != null && nanos.getAsLong() - heardAt > timeouts.silence().toNanos()) {
      lost(connection, "nothing heard for " + timeouts.silence().toSeconds() + " s");
    }
  }

  private void take(int from, String text) {
    if (from != connection) {
      return;
    }
    try {
      JsonNode message = FrameJson.read(text);
      if (message.has("welcome")) {
        welcome(message);
      } else if (message.path("seq").isIntegralNumber() && message.path("e").isArray()) {
        frame(message.path("seq").asLong(), message.path("e"));
      } else {
        listener.fault("expected a frame with seq and e, found " + shortened(text));
      }
    } catch (JsonProcessingException e) {
      listener.fault("expected a frame in JSON, found " + shortened(text));
    }
  }

  private static String shortened(String text) {
    return text.length() <= 80 ? text : text.substring(0, 80) + " ..";
  }

  private void welcome(JsonNode message) {
    try {
      LocalDate date = LocalDate.parse(message.path("session").asText());
      if (reader == null) {
        reader = listener.session(date);
        session = date;
      } else if (!date.equals(session)) {
        throw new RefusedException(
            "the feed serves "
                + date
                + " now, not "
                + session
                + "; close this day and begin again");
      }
      welcomedAt = nanos.getAsLong();
      asking = false;
      become(Status.LIVE, "session of " + date);
    } catch (RefusedException e) {
      refuse(String.valueOf(e.getMessage()));
    } catch (java.time.DateTimeException e) {
      listener.fault("expected a session such as 2031-03-12, found " + message.path("session"));
    }
  }

  private void frame(long seq, JsonNode events) {
    FeedReader reading = reader;
    if (reading == null) {
      return;
    }
    boolean heartbeat = onlyHeartbeat(events);
    if (heartbeat && seq == last) {
      reading.heartbeat(events);
      listener.inStep();
    }
    if (seq <= last) {
      return;
    }
    boolean hole = seq > last + 1 || heartbeat;
    if (hole && (asking || asksForHole < MAX_ASKS)) {
      askAgain();
      return;
    }
    if (hole) {
      long until = heartbeat ? seq : seq - 1;
      listener.fault(
          "frames " + (last + 1) + " to " + until + " were asked for and never came whole");
    }
    asksForHole = 0;
    breaks = 0;
    last = seq;
    if (!heartbeat) {
      reading.frame(seq, events);
    }
  }

  /**
   * What came was against the protocol, such as text that is no UTF-8. A frame that breaks the
   * connection every time is given up, since the feed would never get past it.
   */
  private void broke() {
    breaks++;
    if (breaks >= MAX_ASKS && reader != null) {
      breaks = 0;
      last++;
      givenUp = last;
      listener.fault("frame " + last + " broke the connection each time and is left out");
    }
  }

  /** Asks from the last frame on, once; what is on its way already says nothing new of the hole. */
  private void askAgain() {
    if (!asking) {
      asksForHole++;
      listener.hole();
      greet();
    }
  }

  private static boolean onlyHeartbeat(JsonNode events) {
    return events.size() == 1 && events.get(0).path(0).asText().equals("b");
  }

  /** The same again is not told again, however often it is tried. */
  private void become(Status now, String sentence) {
    if (now != status || !sentence.equals(why)) {
      status = now;
      why = sentence;
      listener.status(now, sentence);
    }
  }

  /** Ends the connection for good; when it returns, nothing more is heard. */
  @Override
  public void close() {
    run(
        "closing",
        () -> {
          closed = true;
          connection++;
          WebSocket open = socket;
          if (open != null) {
            open.abort();
          }
          become(Status.CLOSED, "closed");
          thread.shutdown();
        });
    try {
      if (!thread.awaitTermination(LONGEST_END.toSeconds(), TimeUnit.SECONDS)) {
        LOG.error("The feed's thread has not ended within {} s", LONGEST_END.toSeconds());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    http.shutdownNow();
  }

  /** Joins the parts of messages and brings them to the feed's thread. */
  private final class Frames implements WebSocket.Listener {
    private final int mine;
    private final StringBuilder parts = new StringBuilder();
    private long length;

    Frames(int mine) {
      this.mine = mine;
    }

    @Override
    public void onOpen(WebSocket opened) {
      opened.request(AHEAD);
    }

    @Override
    public @Nullable CompletionStage<?> onText(WebSocket from, CharSequence part, boolean whole) {
      bytesCame();
      length += part.length();
      if (length <= LONGEST_MESSAGE) {
        parts.append(part);
      }
      if (whole) {
        boolean tooLong = length > LONGEST_MESSAGE;
        String text = tooLong ? "" : parts.toString();
        parts.setLength(0);
        if (tooLong) {
          parts.trimToSize();
        }
        length = 0;
        heard(from, tooLong ? "a frame of more than " + LONGEST_MESSAGE + " characters" : "", text);
      } else {
        from.request(1);
      }
      return null;
    }

    @Override
    public @Nullable CompletionStage<?> onBinary(WebSocket from, ByteBuffer part, boolean whole) {
      bytesCame();
      if (whole) {
        heard(from, "bytes that are no text", "");
      } else {
        from.request(1);
      }
      return null;
    }

    /** A message may take longer to come than silence may last. */
    private void bytesCame() {
      heardAt = nanos.getAsLong();
    }

    /** Takes a message on the feed's thread, or tells why it is none. */
    private void heard(WebSocket from, String wrong, String text) {
      run(
          "taking a frame",
          () -> {
            try {
              // While one message waited for room, those behind it had come all the same.
              bytesCame();
              if (wrong.isEmpty()) {
                take(mine, text);
              } else if (mine == connection) {
                listener.fault("expected a frame in JSON, found " + wrong);
              }
            } finally {
              from.request(1);
            }
          });
    }

    @Override
    public @Nullable CompletionStage<?> onClose(WebSocket from, int code, String reason) {
      run(
          "ending a connection",
          () -> {
            if (code == REFUSED_CODE && mine == connection) {
              refuse("the server says: " + shortened(reason) + "; check the token");
            } else {
              lost(mine, "the server closed the connection");
            }
          });
      return null;
    }

    @Override
    public void onError(WebSocket from, Throwable error) {
      run(
          "ending a connection",
          () -> {
            if (mine == connection && error instanceof ProtocolException) {
              broke();
            }
            lost(mine, "the connection broke");
          });
    }
  }
}
