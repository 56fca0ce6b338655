package kelvo.desktop.alert;

import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.stage.Window;
import kelvo.alert.AlertEvent;
import kelvo.alert.Ring;
import kelvo.delivery.Channel;
import kelvo.desktop.workspace.Workspace;
import kelvo.session.KnownEvent;
import kelvo.setting.SettingCatalogue;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** Shows and sounds the alerts of a workspace at a window, as they are switched on. */
public final class AlertBell {
  /** In a replay that is too fast to be heard, so much time lies between two popups at least. */
  private static final long POPUPS_APART = 1_000_000_000L;

  private final Workspace workspace;
  private final Supplier<@Nullable Window> window;
  private final BooleanSupplier listed;
  private final AlertPopups popups = new AlertPopups();
  private final AlertOutlets outlets;
  private long poppedAt = Long.MIN_VALUE / 2;

  /**
   * From now on alerts are shown and heard.
   *
   * @param window where they pop up; null while there is none
   * @param listed whether the stage in front lists what rings, so that popups would cover it
   */
  public AlertBell(Workspace workspace, Supplier<@Nullable Window> window, BooleanSupplier listed) {
    this.workspace = workspace;
    this.window = window;
    this.listed = listed;
    outlets =
        new AlertOutlets(
            workspace.folder(),
            workspace.day(),
            System.getenv().getOrDefault("PATH", ""),
            words -> Platform.runLater(() -> workspace.window().action().set(words)));
    workspace.end().onClose(outlets::close);
    workspace.alerts().newest().addListener((o, was, is) -> ring(is));
    workspace.alerts().coming().addListener((o, was, is) -> warn(is));
    workspace.clock().shown().addListener((o, was, is) -> popups.at(is.moment()));
  }

  private double stays() {
    return workspace.settings().now().number(SettingCatalogue.POPUP_SECONDS);
  }

  private void ring(@Nullable Ring ring) {
    Window owner = window.get();
    // Who practises blind must not hear what it is.
    if (ring == null || owner == null || workspace.practice().blind().get()) {
      return;
    }
    boolean isFast = workspace.alerts().isTooFastToHear();
    boolean isTooSoon = isFast && System.nanoTime() - poppedAt < POPUPS_APART;
    if (ring.how().contains(Channel.POPUP) && mayPopUp(ring) && !isTooSoon) {
      poppedAt = System.nanoTime();
      pop(owner, ring);
    }
    boolean sounds = workspace.alerts().sound().get() && !isFast;
    if (ring.how().contains(Channel.TONE) && sounds) {
      sound(AlertTone.of(ring).samples());
    }
    if (!isFast) {
      outlets.ring(
          sounds ? ring : ring.without(Channel.SPOKEN),
          title(ring),
          text(ring.event()),
          workspace.settings().now().text(SettingCatalogue.WEBHOOK));
    }
  }

  /** What stands in the lists of the stage in front does not pop up over them. */
  private boolean mayPopUp(Ring ring) {
    return workspace.alerts().popup().get()
        && (!listed.getAsBoolean() || ring.rank() == Ring.Rank.HALT_OF_MINE)
        && ring.event().at() <= workspace.clock().now();
  }

  private static String title(Ring ring) {
    return ring.event().symbol()
        + "  "
        + ring.event().words()
        + (ring.isFirst() ? ", first today" : "");
  }

  private static String text(AlertEvent event) {
    return DayTime.seconds(event.at())
        + (event.price() == Price.NONE ? "" : "  at " + Price.text(event.price()))
        + "  "
        + event.source()
        + (event.warning().isEmpty() ? "" : "\n" + event.warning());
  }

  private void pop(Window owner, Ring ring) {
    AlertEvent event = ring.event();
    popups.show(
        owner,
        stays(),
        title(ring),
        text(event),
        now -> now >= event.at(),
        () -> workspace.focus().on(event.symbol()),
        () -> workspace.alerts().snooze(event.symbol()));
  }

  /** Sounds all kinds of alerts in turn, as loud as it is set. */
  public void test() {
    sound(AlertTone.inTurn());
  }

  /** On a thread of its own, since audio devices may be slow. */
  private void sound(byte[] samples) {
    double volume = workspace.settings().now().number(SettingCatalogue.VOLUME);
    Thread.ofVirtual()
        .start(
            () -> {
              try {
                String problem = AlertSound.play(samples, volume);
                if (problem != null) {
                  Platform.runLater(() -> workspace.window().action().set(problem));
                }
              } catch (RuntimeException e) {
                workspace.troubles().tell("playing the sound of an alert", e);
              }
            });
  }

  private void warn(@Nullable KnownEvent event) {
    Window owner = window.get();
    boolean blind = workspace.practice().blind().get();
    if (event != null
        && owner != null
        && !blind
        && !listed.getAsBoolean()
        && workspace.alerts().popup().get()) {
      long now = workspace.clock().now();
      popups.show(
          owner,
          stays(),
          event.title(),
          "at " + DayTime.minutes(event.at()),
          moment -> moment >= now && moment < event.at(),
          () -> {},
          null);
    }
  }
}
