package kelvo.sim;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * A line between a client and a server on loopback that hands bytes on in pieces of any size, late
 * at times, is cut in the middle of them, or goes dead without a word until the client gives it up;
 * or one that is only slow.
 */
final class FaultyLine implements AutoCloseable {
  private static final int PIECE = 4_096;
  private static final int ONE_LATE_IN = 100;
  private static final long MOST_DELAY_NANOS = 20_000_000;

  private final ServerSocket listening;
  private final int server;
  private final SplittableRandom random;
  private final int mostCuts;
  private final int oneDeadIn;
  private final long bytesASecond;
  private final AtomicInteger cuts = new AtomicInteger();
  private final List<Socket> open = new ArrayList<>();

  /**
   * A line to a server.
   *
   * @param mostCuts after so many cuts it holds
   * @param oneDeadIn one cut in so many is a line that goes dead
   */
  FaultyLine(int server, long seed, int mostCuts, int oneDeadIn) throws IOException {
    this(server, seed, mostCuts, oneDeadIn, Long.MAX_VALUE);
  }

  /** A line to a server that is never cut and hands on so many bytes a second at most. */
  static FaultyLine slow(int server, long bytesASecond) throws IOException {
    return new FaultyLine(server, 0, 0, 1, bytesASecond);
  }

  private FaultyLine(int server, long seed, int mostCuts, int oneDeadIn, long bytesASecond)
      throws IOException {
    this.server = server;
    this.bytesASecond = bytesASecond;
    this.mostCuts = mostCuts;
    this.oneDeadIn = oneDeadIn;
    random = new SplittableRandom(seed);
    listening = new ServerSocket();
    listening.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
    Thread.ofVirtual().start(this::accept);
  }

  int port() {
    return listening.getLocalPort();
  }

  /** How often it was cut or went dead. */
  int cuts() {
    return cuts.get();
  }

  /** How often a client has connected. */
  int connections() {
    synchronized (this) {
      return open.size() / 2;
    }
  }

  private void accept() {
    try {
      while (true) {
        Socket client = listening.accept();
        Socket beyond = new Socket(InetAddress.getLoopbackAddress(), server);
        client.setTcpNoDelay(true);
        beyond.setTcpNoDelay(true);
        SplittableRandom own;
        synchronized (this) {
          open.add(client);
          open.add(beyond);
          own = random.split();
        }
        long lasts = cuts.get() < mostCuts ? own.nextLong(2_000, 60_000) : Long.MAX_VALUE;
        Thread.ofVirtual().start(() -> pump(client, beyond, Long.MAX_VALUE, own.split()));
        Thread.ofVirtual().start(() -> pump(beyond, client, lasts, own));
      }
    } catch (IOException e) {
      // It has been closed.
    }
  }

  /** Hands so many bytes on, then cuts the line. */
  private void pump(Socket from, Socket to, long lasts, SplittableRandom own) {
    byte[] bytes = new byte[PIECE];
    long left = lasts;
    try (InputStream in = from.getInputStream()) {
      OutputStream out = to.getOutputStream();
      int read = in.read(bytes, 0, 1 + own.nextInt(PIECE));
      while (read >= 0 && left > 0) {
        int given = (int) Math.min(read, left);
        if (own.nextInt(ONE_LATE_IN) == 0) {
          LockSupport.parkNanos(own.nextLong(MOST_DELAY_NANOS));
        }
        out.write(bytes, 0, given);
        out.flush();
        LockSupport.parkNanos(given * 1_000_000_000L / bytesASecond);
        left -= given;
        read = left > 0 ? in.read(bytes, 0, 1 + own.nextInt(PIECE)) : read;
      }
      if (left <= 0) {
        boolean dead = own.nextInt(oneDeadIn) == 0;
        cuts.incrementAndGet();
        if (dead) {
          // The client closes its end once it has heard nothing for long enough.
          to.getInputStream().transferTo(OutputStream.nullOutputStream());
        }
        to.close();
      }
    } catch (IOException e) {
      // The other end is gone.
    }
  }

  @Override
  public void close() throws IOException {
    listening.close();
    synchronized (this) {
      for (Socket socket : open) {
        socket.close();
      }
    }
  }
}
