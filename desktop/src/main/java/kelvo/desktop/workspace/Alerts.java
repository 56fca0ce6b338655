package kelvo.desktop.workspace;

import java.util.Set;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kelvo.alert.AlertPolicy;
import kelvo.hit.Hit;
import kelvo.session.KnownEvent;
import kelvo.setting.SettingCatalogue;
import kelvo.time.DayTime;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;

/**
 * The alerts of a window: the policy of the core decides what rings, popup and sound are switched
 * apart. Only for the window's thread.
 */
public final class Alerts {
  private final Workspace workspace;
  private final AlertPolicy policy;
  private final ReadOnlyObjectWrapper<Set<String>> silenced = new ReadOnlyObjectWrapper<>(Set.of());
  private final ReadOnlyObjectWrapper<@Nullable Hit> newest = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<@Nullable KnownEvent> coming = new ReadOnlyObjectWrapper<>();

  Alerts(Workspace workspace) {
    this.workspace = workspace;
    policy = new AlertPolicy(cooldown());
    workspace.settings().settings().addListener((o, was, is) -> policy.cooldown(cooldown()));
  }

  private long cooldown() {
    return (long) (workspace.settings().now().number(SettingCatalogue.COOLDOWN) * DayTime.SECOND);
  }

  /** Takes each new hit. */
  void hit(Hit hit) {
    TheTen ten = TheTen.at(workspace.book().get(), hit.at());
    if (policy.rings(hit, ten.watchlist(), goesOn(), System.nanoTime())) {
      newest.set(hit);
    }
  }

  private boolean goesOn() {
    return workspace.feed() != null || workspace.speed().get() > 0;
  }

  /** Warns of a known event that is about to come, while the day plays. */
  public void warn(KnownEvent event) {
    if (goesOn()) {
      coming.set(event);
    }
  }

  /** The known event that was last warned of; null before the first. */
  public ReadOnlyObjectProperty<@Nullable KnownEvent> coming() {
    return coming.getReadOnlyProperty();
  }

  /** Whether alerts pop up. */
  public BooleanProperty popup() {
    return workspace.settings().onOff(SettingCatalogue.POPUPS);
  }

  /** Whether alerts sound. */
  public BooleanProperty sound() {
    return workspace.settings().onOff(SettingCatalogue.SOUNDS);
  }

  /** Switches a scan off or on in the stream and in alerts. */
  public void silence(String scan, boolean silent) {
    policy.silence(scan, silent);
    silenced.set(policy.silenced());
  }

  /** The names of the scans that are switched off. */
  public ReadOnlyObjectProperty<Set<String>> silenced() {
    return silenced.getReadOnlyProperty();
  }

  /** The newest alert; null before the first. */
  public ReadOnlyObjectProperty<@Nullable Hit> newest() {
    return newest.getReadOnlyProperty();
  }
}
