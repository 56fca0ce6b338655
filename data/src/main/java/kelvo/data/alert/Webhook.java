package kelvo.data.alert;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.IntFunction;
import kelvo.job.DoublingWait;

/**
 * Sends messages to a web address in their order, signed. One that is not taken is sent again, with
 * longer and longer waits, for ten minutes; then it is given up with a word, and the next one
 * follows. {@link #send} never waits. Has one thread, which {@link #close} ends.
 */
public final class Webhook implements AutoCloseable {
  /** The header that carries the signature: "sha256=" and the HMAC of the body. */
  public static final String SIGNATURE = "X-Kelvo-Signature";

  private static final int MOST_WAITING = 1000;
  private static final Duration ANSWERS_WITHIN = Duration.ofSeconds(10);
  private static final DoublingWait USUAL =
      new DoublingWait(Duration.ofSeconds(1), Duration.ofSeconds(60));
  private static final Duration GIVEN_UP_AFTER = Duration.ofMinutes(10);
  private static final int SUCCESS = 2;
  private static final int HUNDREDS = 100;

  private final URI address;
  private final WebhookSecret secret;
  private final Consumer<String> told;
  private final IntFunction<Duration> waits;
  private final BlockingQueue<byte[]> queue = new LinkedBlockingQueue<>(MOST_WAITING);
  private final HttpClient client = HttpClient.newBuilder().connectTimeout(ANSWERS_WITHIN).build();
  private final CountDownLatch closed = new CountDownLatch(1);
  private final Thread thread;

  /**
   * Sends to an address from now on.
   *
   * @param told takes the last answer and what went wrong, in words, on the webhook's thread
   */
  public Webhook(URI address, WebhookSecret secret, Consumer<String> told) {
    this(address, secret, told, Webhook::usualWait);
  }

  /**
   * Sends with other waits.
   *
   * @param waits the wait before the try of a number, from 1; they add up to when it is given up
   */
  Webhook(URI address, WebhookSecret secret, Consumer<String> told, IntFunction<Duration> waits) {
    this.address = address;
    this.secret = secret;
    this.told = told;
    this.waits = waits;
    thread = Thread.ofVirtual().name("kelvo-webhook").start(this::run);
  }

  /** 1, 2, 4 seconds and so on, a minute at most. */
  static Duration usualWait(int attempt) {
    return USUAL.after(attempt - 1);
  }

  /** Sends a message when those before it have gone; too many waiting ones are told. */
  public void send(byte[] message) {
    if (!queue.offer(message)) {
      told.accept("Webhook: " + MOST_WAITING + " messages wait; the newest was left out");
    }
  }

  private void run() {
    try {
      while (!Thread.currentThread().isInterrupted()) {
        deliver(queue.take());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (RuntimeException | Error e) {
      told.accept("Webhook: nothing is sent any more (" + e.getMessage() + "); open the day again");
    }
  }

  private void deliver(byte[] message) throws InterruptedException {
    Duration waited = Duration.ZERO;
    for (int attempt = 1; ; attempt++) {
      String answer = post(message);
      if (answer.isEmpty()) {
        return;
      }
      Duration wait = waits.apply(attempt);
      waited = waited.plus(wait);
      if (waited.compareTo(GIVEN_UP_AFTER) > 0) {
        told.accept("Webhook: given up after ten minutes; " + answer);
        return;
      }
      told.accept("Webhook: " + answer + "; tried again in " + wait.toSeconds() + " s");
      if (closed.await(wait.toMillis(), TimeUnit.MILLISECONDS)) {
        return;
      }
    }
  }

  /** What went wrong; empty when it was taken. */
  private String post(byte[] message) throws InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(address)
            .timeout(ANSWERS_WITHIN)
            .header("Content-Type", "application/json")
            .header(SIGNATURE, "sha256=" + secret.sign(message))
            .POST(HttpRequest.BodyPublishers.ofByteArray(message))
            .build();
    // What it says besides is not waited for: a server may begin to answer and never end.
    try {
      HttpResponse<InputStream> response =
          client.send(request, HttpResponse.BodyHandlers.ofInputStream());
      response.body().close();
      boolean isTaken = response.statusCode() / HUNDREDS == SUCCESS;
      if (isTaken) {
        told.accept("Webhook: taken (" + response.statusCode() + ")");
      }
      return isTaken ? "" : "the answer was " + response.statusCode();
    } catch (IOException e) {
      return "no answer from " + address.getHost();
    }
  }

  @Override
  public void close() {
    closed.countDown();
    thread.interrupt();
    client.shutdownNow();
  }
}
