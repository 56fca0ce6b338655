package kelvo.desktop.shell;

import javafx.application.Platform;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableSet;
import kelvo.session.KnownEvent;
import kelvo.hit.Hit;
import org.jspecify.annotations.Nullable;

/**
 * Which hits make themselves noticed. Popup, sound and the scans themselves are switched apart. A
 * hit alerts when its symbol is on the Ten and the day is playing.
 */
public final class Alerts {
  private static final long QUIET_NANOS = 2_000_000_000L;

  private final Workspace workspace;
  private final BooleanProperty popup = new SimpleBooleanProperty(true);
  private final BooleanProperty sound = new SimpleBooleanProperty(false);
  private final ObservableSet<String> silenced = FXCollections.observableSet();
  private final ReadOnlyObjectWrapper<@Nullable Hit> newest = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<@Nullable KnownEvent> coming = new ReadOnlyObjectWrapper<>();
  private long lastAlert;

  Alerts(Workspace workspace) {
    this.workspace = workspace;
  }

  /** Takes each new hit on the player's thread: into the ledger, and to the window if it alerts. */
  void hit(Hit hit) {
    workspace.ledger().add(workspace.day(), hit);
    Platform.runLater(() -> maybe(hit));
  }

  private void maybe(Hit hit) {
    boolean kept =
        workspace.book().get().theTen(hit.at()).stream()
            .anyMatch(d -> d.symbol().equals(hit.symbol()));
    boolean quiet = System.nanoTime() - lastAlert < QUIET_NANOS;
    boolean goesOn = workspace.feed() != null || workspace.speed().get() > 0;
    if (kept && !quiet && goesOn && !silenced.contains(hit.scan())) {
      lastAlert = System.nanoTime();
      newest.set(hit);
    }
  }

  /** Warns of a known event that is about to come, while the day plays. */
  void warn(KnownEvent event) {
    if (workspace.feed() != null || workspace.speed().get() > 0) {
      coming.set(event);
    }
  }

  /** The known event that was last warned of; null before the first. */
  public ReadOnlyObjectProperty<@Nullable KnownEvent> coming() {
    return coming.getReadOnlyProperty();
  }

  /** Whether alerts pop up. */
  public BooleanProperty popup() {
    return popup;
  }

  /** Whether alerts sound. */
  public BooleanProperty sound() {
    return sound;
  }

  /** The names of the scans that are switched off in the stream and in alerts. */
  public ObservableSet<String> silenced() {
    return silenced;
  }

  /** The newest alert; null before the first. */
  public ReadOnlyObjectProperty<@Nullable Hit> newest() {
    return newest.getReadOnlyProperty();
  }
}
