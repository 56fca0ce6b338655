package kelvo.sim;

import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedOutput;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.LongSupplier;
import kelvo.news.Catalyst;
import kelvo.session.Session;

/**
 * Serves the invented news wire over HTTP on loopback as RSS 2.0 at {@code /rss} and as Atom at
 * {@code /atom}: the items that have been published by the moment of the session, with an entity
 * tag, so that asking again costs nothing while there is nothing new.
 */
public final class NewsServer implements AutoCloseable {
  private static final int OK = 200;
  private static final int NOT_MODIFIED = 304;

  private final HttpServer server;
  private final ExecutorService threads =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "news server");
            thread.setDaemon(true);
            return thread;
          });
  private final Session session;
  private final LongSupplier moment;

  /**
   * A server that listens.
   *
   * @param moment the moment of the session that has been reached
   * @throws IOException when it cannot listen there
   */
  public NewsServer(Session session, LongSupplier moment, InetSocketAddress address)
      throws IOException {
    this.session = session;
    this.moment = moment;
    server = HttpServer.create(address, 0);
    server.setExecutor(threads);
    server.createContext("/rss", exchange -> answer(exchange, "rss_2.0", "application/rss+xml"));
    server.createContext("/atom", exchange -> answer(exchange, "atom_1.0", "application/atom+xml"));
    server.start();
  }

  /** The port that it listens on. */
  public int port() {
    return server.getAddress().getPort();
  }

  private void answer(HttpExchange exchange, String kind, String type) throws IOException {
    try (exchange) {
      long now = moment.getAsLong();
      List<Catalyst> published =
          session.catalysts().stream().filter(item -> item.at() <= now).toList();
      String tag = "\"" + kind + "-" + published.size() + "\"";
      exchange.getResponseHeaders().set("ETag", tag);
      if (tag.equals(exchange.getRequestHeaders().getFirst("If-None-Match"))) {
        exchange.sendResponseHeaders(NOT_MODIFIED, -1);
        return;
      }
      byte[] body = text(published, kind).getBytes(StandardCharsets.UTF_8);
      exchange.getResponseHeaders().set("Content-Type", type + "; charset=utf-8");
      exchange.sendResponseHeaders(OK, body.length);
      exchange.getResponseBody().write(body);
    }
  }

  private String text(List<Catalyst> items, String kind) {
    try {
      return new SyndFeedOutput().outputString(NewsWire.feed(kind, items, session.hours().date()));
    } catch (FeedException e) {
      throw new IllegalStateException(e);
    }
  }

  @Override
  public void close() {
    server.stop(0);
    threads.shutdownNow();
  }
}
