package kelvo.desktop.alert;

import java.util.List;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.stage.Window;
import kelvo.alert.Ring;
import kelvo.desktop.workspace.Workspace;
import kelvo.session.KnownEvent;
import kelvo.setting.SettingCatalogue;
import org.jspecify.annotations.Nullable;

/** Shows and sounds the alerts of a workspace at a window, as they are switched on. */
public final class AlertBell {
  private static final long APART_MS = 900;

  private final Workspace workspace;
  private final Supplier<@Nullable Window> window;

  /**
   * From now on alerts are shown and heard.
   *
   * @param window where they pop up; null while there is none
   */
  public AlertBell(Workspace workspace, Supplier<@Nullable Window> window) {
    this.workspace = workspace;
    this.window = window;
    workspace.alerts().newest().addListener((o, was, is) -> ring(is));
    workspace.alerts().coming().addListener((o, was, is) -> warn(is));
  }

  private double stays() {
    return workspace.settings().now().number(SettingCatalogue.POPUP_SECONDS);
  }

  private void ring(@Nullable Ring ring) {
    Window owner = window.get();
    if (ring == null || owner == null) {
      return;
    }
    if (workspace.alerts().popup().get()) {
      AlertPopup.show(owner, stays(), ring, () -> workspace.focusOn(ring.event().symbol()));
    }
    if (workspace.alerts().sound().get() && !workspace.alerts().isTooFastToHear()) {
      sound(List.of(AlertTone.of(ring)));
    }
  }

  /** Sounds all kinds of alerts in turn, as loud as it is set. */
  public void test() {
    sound(List.of(AlertTone.values()));
  }

  /** On a thread of its own, since audio devices may be slow. */
  private void sound(List<AlertTone> tones) {
    double volume = workspace.settings().now().number(SettingCatalogue.VOLUME);
    Thread.ofVirtual()
        .start(
            () -> {
              try {
                play(tones, volume);
              } catch (RuntimeException e) {
                workspace.troubles().tell("playing the sound of an alert", e);
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
            });
  }

  private void play(List<AlertTone> tones, double volume) throws InterruptedException {
    for (AlertTone tone : tones) {
      String problem = AlertSound.play(tone, volume);
      if (problem != null) {
        Platform.runLater(() -> workspace.action().set(problem));
        return;
      }
      if (tones.size() > 1) {
        Thread.sleep(APART_MS);
      }
    }
  }

  private void warn(@Nullable KnownEvent event) {
    Window owner = window.get();
    if (event != null && owner != null && workspace.alerts().popup().get()) {
      AlertPopup.show(owner, stays(), event);
    }
  }
}
