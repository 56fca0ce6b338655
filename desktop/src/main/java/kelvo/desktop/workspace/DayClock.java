package kelvo.desktop.workspace;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongConsumer;
import javafx.application.Platform;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import kelvo.data.feed.LiveFeed;
import kelvo.data.ledger.Ledger;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.player.LivePlayer;
import kelvo.player.Player;
import kelvo.player.PlayerListener;
import kelvo.player.SessionPlayer;
import kelvo.player.SessionRun;
import kelvo.time.DayTime;
import kelvo.view.ClockView;
import kelvo.view.HitCountsView;
import kelvo.view.HitCountsView.HitCounts;
import kelvo.view.HitsView;
import kelvo.view.View;
import org.jspecify.annotations.Nullable;

/**
 * At which moment of its session a window stands, and how it goes on from there: sought, played,
 * followed. Every part follows its views of the market through it. Only for the window's thread.
 */
public final class DayClock {
  private static final ClockView.Clock AT_START = new ClockView.Clock(DayTime.FIRST, 0);

  private final boolean goesOn;
  private final Consumer<String> says;
  private final Troubles troubles;
  private final Player player;
  private final ShownViews views;
  private final List<LongConsumer> whenSought = new ArrayList<>();
  private final ReadOnlyObjectWrapper<ClockView.Clock> shown =
      new ReadOnlyObjectWrapper<>(AT_START);
  private final ReadOnlyLongWrapper playedUntil = new ReadOnlyLongWrapper(DayTime.FIRST);
  private final DoubleProperty speed = new SimpleDoubleProperty(0);
  private final ReadOnlyObjectWrapper<HitCounts> hitCounts =
      new ReadOnlyObjectWrapper<>(HitCounts.NONE);

  /** No property, which would compare the old list with the new one, hit by hit. */
  private List<Hit> hits = List.of();

  /**
   * A clock that stands at a moment.
   *
   * @param feed where a session that still goes on comes from; null for a recorded one
   * @param says takes what was done, in words
   */
  DayClock(
      SessionRun run,
      @Nullable LiveFeed feed,
      LocalDate day,
      long moment,
      Ledger ledger,
      Troubles troubles,
      Consumer<String> says) {
    goesOn = feed != null;
    this.says = says;
    this.troubles = troubles;
    views = new ShownViews(Platform::runLater, e -> troubles.tell("showing a part", e));
    PlayerListener told = new Told(day, ledger);
    if (feed == null) {
      player = new SessionPlayer(run, moment, told, System::nanoTime);
    } else {
      speed.set(1);
      playedUntil.set(DayTime.LAST);
      player = new LivePlayer(run, feed, told, System::nanoTime);
    }
    // The hits first: whoever hears of a new moment finds the hits of that moment.
    follow(new HitsView(), now -> hits = now);
    follow(new HitCountsView(), hitCounts::set);
    follow(new ClockView(), shown::set);
  }

  /** Hears of the player, on the player's thread. */
  private final class Told implements PlayerListener {
    private final LocalDate day;
    private final Ledger ledger;

    Told(LocalDate day, Ledger ledger) {
      this.day = day;
      this.ledger = ledger;
    }

    @Override
    public void hit(Hit hit) {
      ledger.add(day, hit);
    }

    @Override
    public void played(long until) {
      Platform.runLater(() -> playedUntil.set(until));
    }

    @Override
    public void published() {
      views.published();
    }

    @Override
    public void trouble(String what, Throwable cause) {
      troubles.tell(what, cause);
    }

    @Override
    public void stopped(Throwable cause) {
      troubles.tell("the session's player", cause);
      troubles.tell("Nothing moves any more; close the window and open the day again.");
    }
  }

  /**
   * Follows a view of the market from now on; its answers come on the window's thread, together
   * with those of all other views of the same moment. Parts hold a {@link Followed}.
   */
  <T> Player.Following follow(View<T> view, Consumer<T> show) {
    return player.follow(view, views.to(show));
  }

  /** The moment shown and the events applied by then. */
  public ReadOnlyObjectProperty<ClockView.Clock> shown() {
    return shown.getReadOnlyProperty();
  }

  /** The moment shown. */
  public long now() {
    return shown.get().moment();
  }

  /** All hits up to the moment shown, oldest first. */
  public List<Hit> hits() {
    return hits;
  }

  /** How many those are; changes after {@link #hits}. */
  public ReadOnlyObjectProperty<HitCounts> hitCounts() {
    return hitCounts.getReadOnlyProperty();
  }

  /** How many times the speed of the day; 0 when paused. Change it with {@link #play}. */
  public DoubleProperty speed() {
    return speed;
  }

  /**
   * Up to which moment a recorded day has been played through its scans; {@link DayTime#LAST} for
   * one that goes on.
   */
  public ReadOnlyLongProperty playedUntil() {
    return playedUntil.getReadOnlyProperty();
  }

  /** Does something with the moment whenever one is about to be sought. */
  void onSeek(LongConsumer then) {
    whenSought.add(then);
  }

  /** Goes to a moment of the session. */
  public void seek(long moment) {
    whenSought.forEach(then -> then.accept(moment));
    player.seek(moment);
    if (goesOn) {
      speed.set(0);
    }
    says.accept("At " + DayTime.seconds(moment));
  }

  /** Plays at so many times the speed of the day; 0 pauses. */
  public void play(double times) {
    speed.set(times);
    player.speed(times);
    says.accept(playing(times));
  }

  private String playing(double times) {
    if (goesOn) {
      return times == 0 ? "Standing still; the session goes on" : "At now";
    }
    return times == 0 ? "Paused" : "Playing at " + (int) times + "x";
  }

  /** Replays the day through other scans and levels. */
  void replay(Program program) {
    player.play(program);
  }

  /** Asks something about the run behind the window and hands the answer to it. */
  public <T> void ask(Function<SessionRun, T> question, Consumer<T> answer) {
    player.ask(question, found -> Platform.runLater(() -> answer.accept(found)));
  }

  /** Ends the player; on any thread. */
  void close() {
    player.close();
  }
}
