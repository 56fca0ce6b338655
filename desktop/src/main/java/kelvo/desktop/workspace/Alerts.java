package kelvo.desktop.workspace;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kelvo.alert.AlertEvent;
import kelvo.alert.AttentionOverDay;
import kelvo.alert.Ring;
import kelvo.alert.Silence;
import kelvo.session.KnownEvent;
import kelvo.setting.SettingCatalogue;
import kelvo.time.DayTime;
import kelvo.view.RangView;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/**
 * The alerts of a window: the policy of the core decides what rings, from the day's events; what
 * rings while the day goes on is handed on to be shown and heard. Only for the window's thread.
 */
public final class Alerts {
  /** From so many times the speed of the day on there is no sound. */
  private static final double SILENT_FROM = 4;

  private static final long NOTHING_TOLD = -1;
  private static final long SNOOZE = 10 * DayTime.MINUTE;

  private final Workspace workspace;
  private final ReadOnlyObjectWrapper<Set<String>> silenced = new ReadOnlyObjectWrapper<>(Set.of());
  private final ReadOnlyObjectWrapper<@Nullable Ring> newest = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<@Nullable KnownEvent> coming = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<RangView.Rang> rang =
      new ReadOnlyObjectWrapper<>(RangView.Rang.NONE);
  private final ReadOnlyObjectWrapper<List<Silence>> silences =
      new ReadOnlyObjectWrapper<>(List.of());
  private final Followed<RangView.Rang> followed;

  /** What has rung up to the moment shown. */
  private final Set<AlertEvent> known = new HashSet<>();

  private long toldUntil = NOTHING_TOLD;

  /** When scans or alerts were changed last; what happened since may be found late. */
  private long changedAt = Long.MAX_VALUE;

  /** What is not later than this moment rings no more. */
  private long silentUntil;

  Alerts(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::told);
  }

  /** Follows the day from now on, and whatever changes what rings. */
  void follow() {
    again();
    workspace.book().addListener((o, was, is) -> again());
    workspace.lists().lists().addListener((o, was, is) -> again());
    workspace
        .settings()
        .settings()
        .addListener(
            (o, was, is) -> {
              if (!is.alerts().equals(was.alerts())) {
                again();
              }
            });
    silenced.addListener((o, was, is) -> again());
    workspace.alertDesk().book().addListener((o, was, is) -> again());
    silences.addListener((o, was, is) -> again());
  }

  private void again() {
    List<Watchlist> lists =
        workspace.lists().lists().get().stream().map(list -> list.on(workspace.day())).toList();
    followed.follow(
        new RangView(
            workspace.session(),
            new AttentionOverDay(
                workspace.day(),
                workspace.book().get(),
                lists,
                workspace.alertDesk().book().get(),
                silenced.get()),
            workspace.settings().now().alerts(),
            silences.get()));
  }

  /**
   * What is newer than what was told last rings, unless the day was sought to there; so does what
   * is found late because scans or alerts were changed, as far as it happened since.
   */
  private void told(RangView.Rang now) {
    rang.set(now);
    if (toldUntil == NOTHING_TOLD) {
      silentUntil = Math.max(silentUntil, now.moment());
    }
    long from = Math.max(silentUntil, Math.min(toldUntil, changedAt));
    List<Ring> fresh =
        now.rings().stream()
            .map(RangView.Rung::ring)
            .takeWhile(ring -> ring.event().at() > from)
            .toList();
    for (Ring ring : fresh.reversed()) {
      if (known.add(ring.event())) {
        newest.set(ring);
        workspace.alertDesk().spent(ring.event().source());
      }
    }
    toldUntil = now.moment();
  }

  /** Scans or alerts are others from now on. */
  void programChanged() {
    changedAt = workspace.clock().now();
  }

  /** The day goes to a moment: what has rung by then is only looked at, what comes rings anew. */
  void sought(long moment) {
    silentUntil = moment;
    known.removeIf(event -> event.at() > moment);
  }

  /** Warns of a known event that is about to come, while the day plays. */
  public void warn(KnownEvent event) {
    if (workspace.feed() != null || workspace.clock().speed().get() > 0) {
      coming.set(event);
    }
  }

  /** The known event that was last warned of; null before the first. */
  public ReadOnlyObjectProperty<@Nullable KnownEvent> coming() {
    return coming.getReadOnlyProperty();
  }

  /** What has rung so far today. */
  public ReadOnlyObjectProperty<RangView.Rang> rang() {
    return rang.getReadOnlyProperty();
  }

  /** Whether alerts pop up. */
  public BooleanProperty popup() {
    return workspace.settings().onOff(SettingCatalogue.POPUPS);
  }

  /** Whether alerts sound. */
  public BooleanProperty sound() {
    return workspace.settings().onOff(SettingCatalogue.SOUNDS);
  }

  /** No sound until it is switched on again, or sound again. */
  public void mute() {
    boolean sounds = !sound().get();
    sound().set(sounds);
    workspace.window().action().set(sounds ? "Alerts sound" : "Muted: no alert sounds until M");
  }

  /** Whether the day goes so fast that nothing is heard. */
  public boolean isTooFastToHear() {
    return workspace.feed() == null && workspace.clock().speed().get() >= SILENT_FROM;
  }

  /** The times during which less rings. */
  public ReadOnlyObjectProperty<List<Silence>> silences() {
    return silences.getReadOnlyProperty();
  }

  /** Until when only halts and held symbols ring; 0 when everything does. */
  public long quietUntil() {
    long now = workspace.clock().now();
    return silences.get().stream()
        .filter(silence -> silence.symbol().isEmpty())
        .filter(silence -> silence.from() <= now && now < silence.until())
        .mapToLong(Silence::until)
        .max()
        .orElse(0);
  }

  /** Lets only halts and held symbols ring from now until a moment. */
  public void quietUntil(long moment) {
    silence(Silence.ofAll(workspace.clock().now(), moment));
    workspace.window().action().set("Quiet until " + DayTime.minutes(moment));
  }

  /** Lets everything ring again that is not snoozed. */
  public void notQuiet() {
    long now = workspace.clock().now();
    silences.set(
        silences.get().stream()
            .map(
                silence ->
                    silence.symbol().isEmpty() && silence.until() > now
                        ? Silence.ofAll(silence.from(), now)
                        : silence)
            .toList());
    workspace.window().action().set("Everything rings again");
  }

  /** Lets a symbol ring no more for ten minutes. */
  public void snooze(String symbol) {
    long until = workspace.clock().now() + SNOOZE;
    silence(new Silence(workspace.clock().now(), until, symbol));
    workspace.window().action().set(symbol + " is silent until " + DayTime.minutes(until));
  }

  private void silence(Silence more) {
    List<Silence> all = new ArrayList<>(silences.get());
    all.add(more);
    silences.set(List.copyOf(all));
  }

  /** Switches a scan off or on in the stream and in alerts. */
  public void silence(String scan, boolean silent) {
    silenced.set(changed(silenced.get(), scan, silent));
  }

  /** The names of the scans that are switched off. */
  public ReadOnlyObjectProperty<Set<String>> silenced() {
    return silenced.getReadOnlyProperty();
  }

  private static Set<String> changed(Set<String> names, String name, boolean in) {
    Set<String> others = new HashSet<>(names);
    if (in) {
      others.add(name);
    } else {
      others.remove(name);
    }
    return Set.copyOf(others);
  }

  /** The newest alert; null before the first. */
  public ReadOnlyObjectProperty<@Nullable Ring> newest() {
    return newest.getReadOnlyProperty();
  }
}
