package kelvo.sim;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.locks.LockSupport;
import java.util.function.LongSupplier;
import javax.net.ssl.SSLContext;
import kelvo.data.feed.FeedWriter;
import kelvo.refusal.RefusedException;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import org.java_websocket.WebSocket;
import org.java_websocket.WebSocketImpl;
import org.java_websocket.exceptions.WebsocketNotConnectedException;
import org.java_websocket.handshake.ClientHandshake;
import org.java_websocket.server.DefaultSSLWebSocketServerFactory;
import org.java_websocket.server.WebSocketServer;
import org.jspecify.annotations.Nullable;

/**
 * Serves a session as a live feed, as docs/formats.md describes: from any frame on, to any number
 * of clients, at any speed. Frames are cut by the session's own clock, so that the same session
 * always has the same frames.
 */
public final class FeedServer implements AutoCloseable {
  /** As fast as the clients can take it. */
  public static final double AT_ONCE = 0;

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final long FRAME_SPAN = 100 * DayTime.MILLISECOND;
  private static final int FRAME_EVENTS = 500;
  private static final int MAX_ON_THE_WAY = 64;
  private static final int REFUSED_CODE = 4001;
  private static final long IDLE_NANOS = 2_000_000;
  private static final long HEARTBEAT_NANOS = 1_000_000_000;

  private final Session session;
  private final FeedWriter writer;
  private final int[] frameEnds;
  private final String token;
  private final double speed;
  private final LongSupplier nanos;
  private final Socket socket;
  private final Thread pump = new Thread(this::pump, "feed server");
  private final Map<WebSocket, Long> next = new ConcurrentHashMap<>();
  private final CountDownLatch started = new CountDownLatch(1);
  private final long startMoment;
  private volatile long moment;
  private volatile boolean closed;
  private volatile @Nullable Exception failure;

  /**
   * A server that has not started.
   *
   * @param fills the trader's own, told with the session
   * @param address where to listen; other than loopback only with a token and TLS
   * @param token what clients must send; empty for none
   * @param tls the server's certificate; null for none
   * @param from the moment of the session at which it starts; what was before is there at once
   * @param speed how many times faster than the day; {@link #AT_ONCE} for no clock
   * @param nanos a clock that only measures how much time goes by
   */
  public FeedServer(
      Session session,
      List<Fill> fills,
      InetSocketAddress address,
      String token,
      @Nullable SSLContext tls,
      long from,
      double speed,
      LongSupplier nanos) {
    if (!address.getAddress().isLoopbackAddress() && (token.isEmpty() || tls == null)) {
      throw new RefusedException(
          "a feed at "
              + address.getHostString()
              + " can be reached from outside; give it a token and a certificate, or use loopback");
    }
    this.session = session;
    this.token = token;
    this.speed = speed;
    this.nanos = nanos;
    startMoment = from;
    writer = new FeedWriter(session, fills);
    frameEnds = frameEnds(session.tape());
    socket = new Socket(address);
    socket.setReuseAddr(true);
    // A small frame must not wait for the one before it to be acknowledged.
    socket.setTcpNoDelay(true);
    if (tls != null) {
      socket.setWebSocketFactory(new DefaultSSLWebSocketServerFactory(tls));
    }
    pump.setDaemon(true);
  }

  private static int[] frameEnds(EventTape tape) {
    List<Integer> ends = new ArrayList<>();
    int begin = 0;
    for (int i = 1; i <= tape.size(); i++) {
      boolean full =
          i == tape.size()
              || i - begin == FRAME_EVENTS
              || tape.time(i) / FRAME_SPAN != tape.time(begin) / FRAME_SPAN;
      if (full) {
        ends.add(i);
        begin = i;
      }
    }
    return ends.stream().mapToInt(i -> i).toArray();
  }

  /**
   * Starts to listen, and returns once it does.
   *
   * @throws IllegalStateException when it cannot
   */
  public void start() throws InterruptedException {
    socket.start();
    started.await();
    Exception failed = failure;
    if (failed != null) {
      throw new RefusedException(
          "cannot listen on " + socket.getAddress() + ": " + failed.getMessage(), failed);
    }
    pump.start();
  }

  /** The port that it listens on. */
  public int port() {
    return socket.getPort();
  }

  /** How many frames the session has. */
  public long frames() {
    return frameEnds.length;
  }

  /** Cuts every connection at once, without a word. */
  public void cut() {
    socket.getConnections().forEach(connection -> connection.closeConnection(1006, "cut"));
  }

  @Override
  public void close() {
    closed = true;
    try {
      socket.stop(1_000);
      pump.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void pump() {
    long began = nanos.getAsLong();
    long beat = began;
    long released = 0;
    while (!closed) {
      long now = nanos.getAsLong();
      long reached = momentAt(now - began);
      moment = reached;
      while (released < frameEnds.length && begins((int) released) <= reached) {
        released++;
      }
      boolean idle = true;
      for (WebSocket connection : socket.getConnections()) {
        idle &= !send(connection, released);
      }
      if (now - beat >= HEARTBEAT_NANOS) {
        beat = now;
        long seq = released;
        next.forEach((connection, wanted) -> beat(connection, wanted, seq, reached));
      }
      if (idle) {
        LockSupport.parkNanos(IDLE_NANOS);
      }
    }
  }

  /** The moment of the session that has been reached. */
  public long moment() {
    return moment;
  }

  private long momentAt(long gone) {
    return speed == AT_ONCE ? Long.MAX_VALUE : startMoment + (long) (gone * speed);
  }

  private long begins(int frame) {
    return session.tape().time(frameEnds[frame] - 1);
  }

  /** Sends a connection its next frames, until it has all or enough are on their way. */
  private boolean send(WebSocket connection, long released) {
    boolean sent = false;
    while (((WebSocketImpl) connection).outQueue.size() < MAX_ON_THE_WAY) {
      Long wanted = next.get(connection);
      if (wanted == null || wanted > released) {
        break;
      }
      int place = (int) (wanted - 1);
      int begin = place == 0 ? 0 : frameEnds[place - 1];
      if (!next.replace(connection, wanted, wanted + 1)
          || !say(connection, writer.frame(wanted, begin, frameEnds[place]))) {
        break;
      }
      sent = true;
    }
    return sent;
  }

  /** Sends a text; a client that has gone in the meantime comes back by itself. */
  private static boolean say(WebSocket connection, String text) {
    try {
      connection.send(text);
      return true;
    } catch (WebsocketNotConnectedException e) {
      return false;
    }
  }

  private void beat(WebSocket connection, long wanted, long released, long moment) {
    if (wanted > released && connection.isOpen()) {
      long shown = Math.min(moment, DayTime.LAST);
      say(connection, writer.heartbeat(released, shown));
    }
  }

  /** Listens and greets. */
  private final class Socket extends WebSocketServer {
    Socket(InetSocketAddress address) {
      super(address);
      setDaemon(true);
    }

    @Override
    public void onStart() {
      started.countDown();
    }

    @Override
    public void onOpen(WebSocket connection, ClientHandshake handshake) {
      // The client speaks first.
    }

    @Override
    public void onMessage(WebSocket connection, String text) {
      try {
        JsonNode hello = JSON.readTree(text);
        if (!hello.has("hello")) {
          connection.close(REFUSED_CODE, "expected a greeting with hello");
        } else if (!token.isEmpty() && !token.equals(hello.path("token").asText())) {
          connection.close(REFUSED_CODE, "the token is wrong");
        } else {
          say(connection, writer.welcome(frameEnds.length));
          next.put(connection, Math.max(1, hello.path("from").asLong()));
        }
      } catch (JsonProcessingException e) {
        connection.close(REFUSED_CODE, "expected JSON");
      }
    }

    @Override
    public void onClose(WebSocket connection, int code, String reason, boolean remote) {
      next.remove(connection);
    }

    @Override
    public void onError(@Nullable WebSocket connection, Exception error) {
      if (connection == null) {
        failure = error;
        started.countDown();
      }
    }
  }
}
