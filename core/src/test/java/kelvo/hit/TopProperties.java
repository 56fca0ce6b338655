package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.scan.Side;
import kelvo.scan.SortOrder;
import kelvo.session.Session;
import kelvo.state.Market;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Who enters the top of a scan is found as by sorting everybody anew after each event. */
class TopProperties {
  private static final int SECURITIES = 9;
  private static final int RANK = 3;

  private record Arrival(long at, int security) {}

  private static Scan scan(boolean byChange) {
    Scan plain =
        TestSessions.scan(
            "top", Trigger.parse("enters top " + RANK), "trades at least 12", "change % above -3%");
    return new Scan(
        plain.name(),
        plain.purpose(),
        plain.universe(),
        DayTime.of(7, 0),
        DayTime.of(15, 0),
        plain.rules(),
        List.of(),
        plain.triggers(),
        plain.fold(),
        Side.BOTH,
        50,
        List.of(
            new SortOrder(0, FieldCatalogue.number("volume"), true),
            new SortOrder(
                DayTime.of(10, 0),
                FieldCatalogue.number(byChange ? "change %" : "largest print"),
                byChange)),
        List.of());
  }

  @Property(tries = 4)
  void arrivalsAreThoseOfSortingAnew(@ForAll long seed, @ForAll boolean byChange) {
    Session session = RandomSessions.of(seed, SECURITIES, 8_000);
    Scan scan = scan(byChange);

    List<Arrival> found = new ArrayList<>();
    for (Hit hit : TestSessions.hits(session, scan)) {
      found.add(new Arrival(hit.at(), hit.security()));
    }

    assertThat(found).isNotEmpty().containsExactlyElementsOf(bySorting(session, scan));
  }

  private static List<Arrival> bySorting(Session session, Scan scan) {
    Market market = Market.of(session);
    List<SymbolState> states = market.states();
    ScanCheck check = new ScanCheck(scan, session);
    List<Field.Reading> readings =
        scan.sort().stream().map(order -> order.field().bind(session)).toList();
    List<Arrival> arrivals = new ArrayList<>();
    Set<Integer> top = new HashSet<>();
    EventTape tape = session.tape();
    int event = 0;
    for (long second = DayTime.FIRST; second < DayTime.LAST; second += DayTime.SECOND) {
      arrive(session, scan, check, readings, states, second, top, arrivals);
      for (; event < tape.size() && tape.time(event) < second + DayTime.SECOND; event++) {
        SymbolState state = states.get(tape.symbol(event));
        state.apply(event);
        Objects.requireNonNull(market.gauge()).priced(state);
        arrive(session, scan, check, readings, states, tape.time(event), top, arrivals);
      }
    }
    return arrivals;
  }

  private static void arrive(
      Session session,
      Scan scan,
      ScanCheck check,
      List<Field.Reading> readings,
      List<SymbolState> states,
      long now,
      Set<Integer> top,
      List<Arrival> arrivals) {
    int phase = session.phases().indexAt(now);
    int inForce = now >= scan.sort().getLast().from() ? 1 : 0;
    double sign = scan.sort().get(inForce).descending() ? -1 : 1;
    Field.Reading reading = readings.get(inForce);
    List<Integer> first =
        IntStream.range(0, SECURITIES)
            .filter(i -> scan.open(now) && check.holds(states.get(i), now, phase))
            .boxed()
            .sorted(
                Comparator.<Integer>comparingDouble(i -> sign * reading.at(states.get(i), now))
                    .thenComparing(i -> i))
            .limit(RANK)
            .toList();
    first.stream().filter(i -> !top.contains(i)).forEach(i -> arrivals.add(new Arrival(now, i)));
    top.clear();
    top.addAll(first);
  }
}
