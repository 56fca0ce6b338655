package kelvo.desktop.alert;

import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import kelvo.alert.Ring;
import kelvo.data.alert.Webhook;
import kelvo.data.alert.WebhookMessage;
import kelvo.data.alert.WebhookSecret;
import kelvo.delivery.Channel;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * The ways in which alerts leave the window: spoken, as a notification of the desktop, to a
 * webhook. What this machine has no program for is told once. Only for the window's thread.
 */
final class AlertOutlets implements AutoCloseable {
  private static final List<List<String>> SPEAKERS =
      List.of(List.of("espeak-ng", "--"), List.of("espeak", "--"), List.of("say"));
  private static final List<List<String>> NOTIFIERS =
      List.of(List.of("notify-send", "--app-name=Kelvo", "--"));

  private final Path folder;
  private final LocalDate date;
  private final Consumer<String> told;
  private final Optional<OutsideProgram> speaker;
  private final Optional<OutsideProgram> notifier;
  private @Nullable Webhook webhook;
  private String address = "";
  private boolean toldOfSpeech;
  private boolean toldOfNotifier;

  /**
   * The outlets of a machine.
   *
   * @param folder the data folder, which has the webhook's secret
   * @param date of the session
   * @param path where programs are searched
   * @param told takes what went wrong, in words, on any thread
   */
  AlertOutlets(Path folder, LocalDate date, String path, Consumer<String> told) {
    this.folder = folder;
    this.date = date;
    this.told = told;
    speaker = OutsideProgram.first(SPEAKERS, path, told);
    notifier = OutsideProgram.first(NOTIFIERS, path, told);
  }

  /** Lets a ring out in the ways that it asks for. */
  void ring(Ring ring, String title, String text, String webhookAddress) {
    if (ring.how().contains(Channel.SPOKEN)) {
      speak(spelled(ring.event().symbol()) + ". " + ring.event().words());
    }
    if (ring.how().contains(Channel.NOTIFICATION)) {
      notify(title, text);
    }
    if (ring.how().contains(Channel.WEBHOOK)) {
      post(ring, webhookAddress);
    }
  }

  /** A ticker is no word: its letters are said one by one. */
  private static String spelled(String symbol) {
    return String.join(" ", symbol.split(""));
  }

  private void speak(String words) {
    speaker.ifPresent(program -> program.call(words));
    if (speaker.isEmpty() && !toldOfSpeech) {
      toldOfSpeech = true;
      told.accept("Nothing is spoken: this machine has no speech program (espeak-ng)");
    }
  }

  private void notify(String title, String text) {
    notifier.ifPresent(program -> program.call(title, text));
    if (notifier.isEmpty() && !toldOfNotifier) {
      toldOfNotifier = true;
      told.accept("No notification: this machine has no program for them (notify-send)");
    }
  }

  private void post(Ring ring, String webhookAddress) {
    if (webhookAddress.isEmpty()) {
      told.accept("An alert goes by webhook, but Settings has no webhook address");
      return;
    }
    try {
      to(webhookAddress).send(WebhookMessage.of(ring, date));
    } catch (UncheckedIOException | RefusedException e) {
      told.accept(String.valueOf(e.getMessage()));
    }
  }

  /** The webhook of an address; another one's is closed. */
  private Webhook to(String wanted) {
    Webhook open = webhook;
    if (open != null && wanted.equals(address)) {
      return open;
    }
    if (open != null) {
      open.close();
    }
    address = wanted;
    Webhook fresh = new Webhook(URI.create(wanted), WebhookSecret.in(folder, told), told);
    webhook = fresh;
    return fresh;
  }

  @Override
  public void close() {
    speaker.ifPresent(OutsideProgram::close);
    notifier.ifPresent(OutsideProgram::close);
    Webhook open = webhook;
    if (open != null) {
      open.close();
    }
  }
}
