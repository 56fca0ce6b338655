package kelvo.data.news;

import com.rometools.rome.io.FeedException;
import java.io.IOException;
import java.io.StringReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import kelvo.data.fault.PlainReason;
import kelvo.job.DoublingWait;
import kelvo.news.Catalyst;
import kelvo.time.DayTime;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Asks the sources with an address for what is new, politely: each at most once in its time, with
 * the entity tag and date of the last answer so that nothing new costs nothing, and rarer and rarer
 * while it fails. Whoever wants the items {@link #take takes} them from any thread.
 */
public final class NewsPoller implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(NewsPoller.class);
  private static final int OK = 200;
  private static final int NOT_MODIFIED = 304;
  private static final int MAX_BYTES = 8_000_000;
  private static final int LONGEST_BACK_OFF = 32;
  private static final Duration TIMEOUT = Duration.ofSeconds(15);

  private final List<NewsSource> sources;
  private final LocalDate session;
  private final Set<String> symbols;
  private final Consumer<String> problem;
  private final HttpClient http =
      HttpClient.newBuilder()
          .connectTimeout(TIMEOUT)
          .followRedirects(HttpClient.Redirect.NORMAL)
          .build();
  private final ScheduledExecutorService thread =
      Executors.newSingleThreadScheduledExecutor(
          Thread.ofPlatform().daemon().name("news sources").factory());
  private final Queue<Catalyst> found = new ConcurrentLinkedQueue<>();
  private final Map<String, Asked> asked = new HashMap<>();

  /** What is known of a source from its last answers. */
  private static final class Asked {
    String tag = "";
    String date = "";
    int failures;
    final Set<Catalyst> seen = new HashSet<>();
  }

  /**
   * A poller that has not asked anybody yet.
   *
   * @param symbols those that are listed
   * @param problem takes a sentence about a source that does not answer as it should
   */
  public NewsPoller(
      List<NewsSource> sources, LocalDate session, Set<String> symbols, Consumer<String> problem) {
    this.sources = sources.stream().filter(source -> source.address() != null).toList();
    this.session = session;
    this.symbols = Set.copyOf(symbols);
    this.problem = problem;
  }

  /** Begins to ask, on a thread of its own. */
  public void start() {
    for (NewsSource source : sources) {
      thread.execute(() -> askAndGoOn(source));
    }
  }

  /** Asks, and asks again later whatever comes of it. */
  private void askAndGoOn(NewsSource source) {
    try {
      ask(source);
    } catch (RuntimeException | Error e) {
      failed(source, asked(source), "its answer could not be taken (" + e + ")");
    } finally {
      if (!thread.isShutdown()) {
        long wait = wait(source, asked(source)).toMillis();
        ScheduledFuture<?> unused =
            thread.schedule(() -> askAndGoOn(source), wait, TimeUnit.MILLISECONDS);
      }
    }
  }

  private Asked asked(NewsSource source) {
    return asked.computeIfAbsent(source.name(), name -> new Asked());
  }

  /** Asks one source now; what is new can be {@link #take taken} afterwards. */
  public void ask(NewsSource source) {
    URI address = source.address();
    if (address == null) {
      return;
    }
    Asked last = asked(source);
    HttpRequest.Builder request =
        HttpRequest.newBuilder(address).timeout(TIMEOUT).header("User-Agent", "Kelvo");
    if (!last.tag.isEmpty()) {
      request.header("If-None-Match", last.tag);
    }
    if (!last.date.isEmpty()) {
      request.header("If-Modified-Since", last.date);
    }
    try {
      HttpResponse<String> answer =
          http.send(
              request.build(),
              HttpResponse.BodyHandlers.limiting(HttpResponse.BodyHandlers.ofString(), MAX_BYTES));
      switch (answer.statusCode()) {
        case NOT_MODIFIED -> last.failures = 0;
        case OK -> {
          read(source, answer, last);
          last.failures = 0;
        }
        default -> failed(source, last, "it answered with status " + answer.statusCode());
      }
    } catch (IOException e) {
      failed(source, last, why(e));
    } catch (FeedException | IllegalArgumentException e) {
      failed(source, last, PlainReason.of(e));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** The JDK says that an answer was too long only in the words of its message. */
  private static String why(IOException e) {
    return String.valueOf(e.getMessage()).contains("exceeds capacity")
        ? "its answer is longer than " + MAX_BYTES + " bytes"
        : PlainReason.of(e);
  }

  private void read(NewsSource source, HttpResponse<String> answer, Asked last)
      throws IOException, FeedException {
    boolean json = answer.body().stripLeading().startsWith("{");
    List<FeedItem> items =
        json
            ? JsonFeed.read(new StringReader(answer.body()), title -> {})
            : NewsFiles.entries(new StringReader(answer.body()), title -> {});
    for (FeedItem item : items) {
      Catalyst catalyst = item.from(source.name()).catalyst(session, symbols).ofKind(source.kind());
      boolean today = catalyst.at() >= 0 && catalyst.at() <= DayTime.LAST;
      if (today && !catalyst.symbols().isEmpty() && last.seen.add(catalyst)) {
        found.add(catalyst);
      }
    }
    last.tag = answer.headers().firstValue("ETag").orElse("");
    last.date = answer.headers().firstValue("Last-Modified").orElse("");
  }

  private static Duration wait(NewsSource source, Asked last) {
    Duration longest = source.every().multipliedBy(LONGEST_BACK_OFF);
    return new DoublingWait(source.every(), longest).after(last.failures);
  }

  private void failed(NewsSource source, Asked last, String why) {
    last.failures++;
    String sentence =
        "news source "
            + source.name()
            + ": "
            + why
            + "; it is asked again in "
            + wait(source, last).toSeconds()
            + " s";
    try {
      problem.accept(sentence);
    } catch (RuntimeException e) {
      LOG.error("nobody could be told: {}", sentence, e);
    }
  }

  /** The items that have come since the last taking. */
  public List<Catalyst> take() {
    List<Catalyst> taken = new ArrayList<>();
    for (Catalyst item = found.poll(); item != null; item = found.poll()) {
      taken.add(item);
    }
    return taken;
  }

  @Override
  public void close() {
    thread.shutdownNow();
    // Whatever a server is still sending is not waited for.
    http.shutdownNow();
  }
}
