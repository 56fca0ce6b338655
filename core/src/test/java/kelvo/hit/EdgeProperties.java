package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.state.Market;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;

/**
 * Whatever the engine spares itself, it finds the same entries and exits as one that asks every
 * scan about the event's security after each event, and about every security at each whole second.
 */
class EdgeProperties {
  private static final int SECURITIES = 6;
  private static final List<Scan> SCANS =
      List.of(
          both("busy", "volume 5m at least 30K", "change % at least -0.5%"),
          both("quiet", "volume 5m at most 9K", "trades at least 20"),
          both("news", "minutes since news between 2 and 9", "volume 5m at least 12K"),
          both("no news", "minutes since news at least 3 or unknown", "spread % at most 0.3%"),
          both("idle", "idle minutes 30 between 1 and 12", "buying share 1m at least 40%"),
          both("minute", "volume 1m at least 4K", "trades 1m at most 9"),
          both("market", "market share up at least 40%", "trades 5m at least 4"),
          both("relative", "relative volume at least 0.9x"),
          both("not relative", "relative volume at most 0.8x", "volume burst at least 0.5x"),
          both("good news", "news within 7m (tone above 0.3)", "trades at least 5"),
          both("no bad news", "news within 20m (category offering) is no"),
          both("quiet bars", "coil 5m is yes", "coil 5m bars at most 2"),
          both("reason", "halt reason is not T2", "news category is offering or unknown"),
          both("talk", "mentions change % above 10%", "mentions 1h at least 20"),
          both("schedule", "volume at least 400K opening, 1M midday", "change % above 0%"));

  private static Scan both(String name, String... rules) {
    return TestSessions.scan(name, List.of(Trigger.ENTERS, Trigger.LEAVES), rules);
  }

  private record Edge(long at, String scan, int security, boolean enters) {}

  /** Those of one moment in any order. */
  private static final Comparator<Edge> IN_ORDER =
      Comparator.comparingLong(Edge::at)
          .thenComparing(Edge::scan)
          .thenComparingInt(Edge::security)
          .thenComparing(Edge::enters);

  @Tag("proof")
  @Property(tries = 8)
  void findsWhatAskingEverythingFindsAtLength(@ForAll long seed) {
    findsWhatAskingEverythingFinds(seed);
  }

  @Property(tries = 2)
  void findsWhatAskingEverythingFinds(@ForAll long seed) {
    assertSameEdges(RandomSessions.of(seed, SECURITIES, 25_000));
  }

  @Tag("proof")
  @Property(tries = 6)
  void findsTheSameAmongEventsThatComeLateAtLength(@ForAll long seed) {
    findsTheSameAmongEventsThatComeLate(seed);
  }

  /** An event that comes late is worked when it comes, and counts at its own time. */
  @Property(tries = 1)
  void findsTheSameAmongEventsThatComeLate(@ForAll long seed) {
    assertSameEdges(RandomSessions.withLateEvents(seed, SECURITIES, 15_000));
  }

  private static void assertSameEdges(Session session) {
    List<Hit> hits = new ArrayList<>();
    ScanEngine.replay(session, new Program(SCANS, List.of()), hits::add).runTo(DayTime.LAST);

    List<Edge> found =
        hits.stream()
            .map(h -> new Edge(h.at(), h.scan(), h.security(), h.trigger().equals(Trigger.ENTERS)))
            .sorted(IN_ORDER)
            .toList();
    List<Edge> expected = new AskEverything(session).edges().stream().sorted(IN_ORDER).toList();
    assertThat(found).isNotEmpty().isEqualTo(expected);
  }

  /** The definition, written down as plainly as it can be. */
  private static final class AskEverything {
    private final Session session;
    private final Market market;
    private final List<SymbolState> states;
    private final List<ScanCheck> checks;
    private final boolean[][] inside = new boolean[SCANS.size()][SECURITIES];
    private final List<Edge> edges = new ArrayList<>();

    AskEverything(Session session) {
      this.session = session;
      checks = SCANS.stream().map(s -> new ScanCheck(s, session)).toList();
      market = Market.of(session);
      states = market.states();
    }

    List<Edge> edges() {
      EventTape tape = session.tape();
      int event = 0;
      long clock = DayTime.FIRST;
      for (long second = DayTime.FIRST; second < DayTime.LAST; second += DayTime.SECOND) {
        for (int i = 0; i < SECURITIES; i++) {
          ask(i, second);
        }
        for (; event < tape.size() && tape.time(event) < second + DayTime.SECOND; event++) {
          SymbolState state = states.get(tape.symbol(event));
          state.apply(event);
          Objects.requireNonNull(market.gauge()).priced(state);
          clock = Math.max(Math.max(clock, second), tape.time(event));
          ask(tape.symbol(event), clock);
        }
      }
      return edges;
    }

    private void ask(int security, long now) {
      for (int k = 0; k < checks.size(); k++) {
        boolean holds =
            checks.get(k).holds(states.get(security), now, session.phases().indexAt(now));
        if (holds != inside[k][security]) {
          inside[k][security] = holds;
          edges.add(new Edge(now, SCANS.get(k).name(), security, holds));
        }
      }
    }
  }
}
