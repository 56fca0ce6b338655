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
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.LongSupplier;
import org.jspecify.annotations.Nullable;

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
  }

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int REFUSED_CODE = 4001;
  private static final int MAX_ASKS = 3;

  /** How many messages may wait to be read. */
  private static final int AHEAD = 256;

  /** The most characters of a message; a longer one is told and not kept. */
  static final int LONGEST_MESSAGE = 8_000_000;

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
  private long heardAt;
  private Duration wait;
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
    wait = timeouts.first();
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
   * @throws IllegalArgumentException when the server refuses, with its reason
   * @throws IllegalStateException when no feed answers in time
   */
  public static LocalDate sessionServed(FeedAddress address, Duration longest) {
    CompletableFuture<LocalDate> found = new CompletableFuture<>();
    Listener asking =
        new Listener() {
          @Override
          public FeedReader session(LocalDate date) {
            found.complete(date);
            throw new IllegalStateException("only the date was asked for");
          }

          @Override
          public void status(Status status, String why) {
            if (status == Status.REFUSED) {
              found.completeExceptionally(new IllegalArgumentException(why));
            }
          }

          @Override
          public void fault(String sentence) {
            found.completeExceptionally(new IllegalArgumentException(sentence));
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
      throw new IllegalArgumentException(cause == null ? "no answer" : cause.getMessage(), e);
    } catch (TimeoutException e) {
      throw new IllegalStateException(
          "no feed answers at " + address.uri() + "; start it, or check host and port", e);
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
    become(Status.CONNECTING, "connecting to " + address.uri());
    heardAt = nanos.getAsLong();
    CompletableFuture<WebSocket> unused =
        http.newWebSocketBuilder()
            .connectTimeout(Duration.ofSeconds(10))
            .buildAsync(address.uri(), new Frames(mine))
            .whenComplete(
                (opened, error) ->
                    run(
                        "connecting",
                        () -> {
                          if (mine != connection) {
                            return;
                          }
                          if (error == null) {
                            socket = opened;
                            greet();
                          } else {
                            lost(mine, "no feed at " + address.uri() + "; it is tried again");
                          }
                        }));
  }

  private void run(String what, Runnable task) {
    if (!thread.isShutdown()) {
      thread.execute(guarded(what, task));
    }
  }

  /** An executor forgets what its tasks throw, and never runs again what throws on a schedule. */
  private Runnable guarded(String what, Runnable task) {
    return () -> {
      try {
        task.run();
      } catch (RuntimeException | StackOverflowError e) {
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
    become(Status.STALE, why);
    ScheduledFuture<?> unused =
        thread.schedule(
            guarded("connecting again", this::connect), wait.toNanos(), TimeUnit.NANOSECONDS);
    Duration doubled = wait.multipliedBy(2);
    wait = doubled.compareTo(timeouts.longest()) > 0 ? timeouts.longest() : doubled;
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
    heardAt = nanos.getAsLong();
    try {
      JsonNode message = FeedReader.parse(text);
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
        throw new IllegalStateException(
            "the feed serves "
                + date
                + " now, not "
                + session
                + "; close this day and begin again");
      }
      wait = timeouts.first();
      asking = false;
      become(Status.LIVE, "session of " + date);
    } catch (IllegalStateException e) {
      connection++;
      WebSocket open = socket;
      socket = null;
      if (open != null) {
        open.abort();
      }
      become(Status.REFUSED, String.valueOf(e.getMessage()));
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

  private void become(Status now, String why) {
    if (now != status) {
      status = now;
      listener.status(now, why);
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
      thread.awaitTermination(10, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
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
      if (whole) {
        heard(from, "bytes that are no text", "");
      } else {
        from.request(1);
      }
      return null;
    }

    /** Takes a message on the feed's thread, or tells why it is none. */
    private void heard(WebSocket from, String wrong, String text) {
      run(
          "taking a frame",
          () -> {
            try {
              if (wrong.isEmpty()) {
                take(mine, text);
              } else if (mine == connection) {
                heardAt = nanos.getAsLong();
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
              connection++;
              socket = null;
              become(Status.REFUSED, "the server says: " + reason + "; check the token");
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
