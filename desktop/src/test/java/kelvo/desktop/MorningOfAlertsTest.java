package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.alert.AlertEvent;
import kelvo.alert.AlertLimits;
import kelvo.alert.Ring;
import kelvo.delivery.Channel;
import kelvo.desktop.live.LiveStage;
import kelvo.explain.ScanPairs;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.view.RangView;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A morning to 11:00 with 30 scans, 5 watchlists and 40 alerts in the real window, while its keys
 * are used: what rang is in the history, nothing twice within its cooldown, each scan within its
 * budget, no halt held back. {@code -Dkelvo.speed=60} plays it slowly.
 */
@Tag("proof")
@ExtendWith(RealWindow.class)
class MorningOfAlertsTest {
  private static final long START = DayTime.of(7, 0);
  private static final long END = DayTime.of(11, 0);
  private static final double SPEED = Double.parseDouble(System.getProperty("kelvo.speed", "1200"));

  private final List<AlertEvent> rung = new ArrayList<>();
  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, START);
  }

  @BeforeEach
  void prepare(FxRobot robot) {
    until(() -> opened.shown().moment() == START);
    robot.type(KeyCode.DIGIT3);
    until(() -> opened.workspace.window().stage().get().equals(LiveStage.KIND));
    onWindowThread(
        () -> {
          scans();
          lists();
          alerts();
          opened.workspace.alerts().newest().addListener((o, was, is) -> rung.add(is.event()));
        });
    until(() -> opened.workspace.clock().playedUntil().get() >= DayTime.LAST);
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private static void onWindowThread(Runnable action) {
    WaitForAsyncUtils.waitForAsyncFx(60_000, action);
  }

  /** Thirty scans, all of which ring on any symbol. */
  private void scans() {
    List<Scan> more = new ArrayList<>();
    for (Scan scan : List.copyOf(opened.workspace.scans())) {
      more.addAll(ScanPairs.byPrice(scan, 10));
    }
    opened.workspace.desk().add(more.subList(0, 30 - opened.workspace.scans().size()));
    assertThat(opened.workspace.scans()).hasSize(30);
    for (Scan scan : opened.workspace.scans()) {
      opened.workspace.alertDesk().ringing(scan.name(), Channel.USUAL);
    }
  }

  private List<String> symbols() {
    return opened.workspace.session().securities().stream()
        .map(facts -> facts.symbol())
        .limit(100)
        .toList();
  }

  private void lists() {
    for (int i = 0; i < 5; i++) {
      opened
          .workspace
          .lists()
          .change(Watchlist.of("List " + i, symbols().subList(5 * i, 5 * i + 5)), "a list");
    }
  }

  private void alerts() {
    for (int i = 0; i < 29; i++) {
      opened.workspace.alertDesk().add(symbols().get(i) + " new high of session, again after 5m");
    }
    for (int i = 0; i < 5; i++) {
      opened.workspace.alertDesk().add("list List " + i + ": falls through vwap, again after 5m");
      opened.workspace.alertDesk().add("list List " + i + ": new low of day, once");
    }
  }

  @Test
  @Timeout(value = 10, unit = TimeUnit.MINUTES)
  void whatRangIsInTheHistoryAndKeepsTheRules(FxRobot robot) {
    onWindowThread(() -> opened.workspace.focus().on("TIDARC"));
    robot.type(KeyCode.E);
    until(() -> robot.lookup("#alert-field").<TextField>query().isFocused());
    robot.write("new high of day, again after 2m").type(KeyCode.ENTER);
    until(() -> opened.workspace.alertDesk().book().get().standing().size() == 40);
    until(() -> opened.workspace.clock().playedUntil().get() >= DayTime.LAST);

    onWindowThread(() -> opened.workspace.clock().play(SPEED));
    KeyCode[] keys = {KeyCode.J, KeyCode.I, KeyCode.N, KeyCode.J};
    for (int i = 0;
        WaitForAsyncUtils.waitForAsyncFx(20_000, opened.workspace.clock()::now) < END;
        i++) {
      robot.type(keys[i % keys.length]);
    }
    onWindowThread(() -> opened.workspace.clock().play(0));
    until(() -> opened.workspace.alerts().rang().get().moment() == opened.workspace.clock().now());
    RangView.Rang rang =
        WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.alerts().rang().get());

    List<Ring> history = rang.rings().stream().map(RangView.Rung::ring).toList().reversed();
    List<AlertEvent> since =
        history.stream().map(Ring::event).filter(event -> event.at() > START).toList();
    assertThat(since).as("whatever rang is in the history").containsAll(rung);
    assertThat(rung).as("whatever is in the history rang").containsAll(since);
    assertThat(rung).hasSizeGreaterThan(50).doesNotHaveDuplicates();
    nothingTwiceWithinItsCooldown(history);
    eachScanWithinItsBudget(history);
    haltsFirst(history);
    assertThat(history).anyMatch(ring -> ring.rank() == Ring.Rank.ALERT || isAlert(ring));
    assertThat(rang.overBudget())
        .as("only scans and alerts on everybody have a budget")
        .allMatch(ring -> ring.rank() == Ring.Rank.SCAN || ring.rank() == Ring.Rank.ALERT);
  }

  /**
   * What comes at one moment rings in the order of its rank, in which one's own halts are first.
   */
  private static void haltsFirst(List<Ring> history) {
    for (int i = 1; i < history.size(); i++) {
      Ring before = history.get(i - 1);
      Ring after = history.get(i);
      if (before.event().at() == after.event().at()) {
        assertThat(after.rank()).isGreaterThanOrEqualTo(before.rank());
      }
    }
    assertThat(history).anyMatch(ring -> ring.event().kind() == AlertEvent.Kind.HALT);
  }

  private static boolean isAlert(Ring ring) {
    return ring.event().kind() == AlertEvent.Kind.ALERT;
  }

  private static void nothingTwiceWithinItsCooldown(List<Ring> history) {
    record Key(String symbol, String source, String words) {}
    Map<Key, Long> last = new HashMap<>();
    for (Ring ring : history) {
      AlertEvent event = ring.event();
      Long before =
          last.put(
              new Key(event.symbol(), event.source(), isAlert(ring) ? "" : event.words()),
              event.at());
      if (before != null) {
        long least =
            isAlert(ring)
                ? event.symbol().equals("TIDARC") && event.source().endsWith("new high of day")
                    ? 2 * DayTime.MINUTE
                    : 5 * DayTime.MINUTE
                : AlertLimits.DEFAULT.cooldown();
        assertThat(event.at() - before).as(ring.toString()).isGreaterThanOrEqualTo(least);
      }
    }
  }

  /** A scan may go over it for what is stronger than all that it rang in the last minute. */
  private static void eachScanWithinItsBudget(List<Ring> history) {
    Map<String, Deque<Ring>> minutes = new HashMap<>();
    for (Ring ring : history) {
      if (ring.rank() == Ring.Rank.SCAN) {
        Deque<Ring> minute =
            minutes.computeIfAbsent(ring.event().source(), scan -> new ArrayDeque<>());
        minute.removeIf(old -> ring.event().at() - old.event().at() >= DayTime.MINUTE);
        boolean isStrongest = minute.stream().allMatch(old -> ring.strength() > old.strength());
        minute.add(ring);
        assertThat(minute.size() <= AlertLimits.DEFAULT.aMinute() || isStrongest)
            .as(ring.toString())
            .isTrue();
      }
    }
  }
}
