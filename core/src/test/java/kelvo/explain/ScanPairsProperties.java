package kelvo.explain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import kelvo.hit.Hit;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.trigger.Trigger;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class ScanPairsProperties {
  private static final Scan RISERS =
      TestSessions.scan(
              "risers", List.of(Trigger.ENTERS), "change % at least 0.4%", "trades at least 3")
          .looking(Side.UP);

  private static List<String> sentences(Scan scan) {
    return scan.rules().stream().map(Rule::sentence).toList();
  }

  @Example
  void theOtherWayMirrorsWhatIsOfAChangeAndKeepsTheRest() {
    Scan fallers = ScanPairs.mirrored(RISERS);

    assertThat(sentences(fallers)).containsExactly("change % at most -0.4%", "trades at least 3");
    assertThat(fallers.side()).isEqualTo(Side.DOWN);
    assertThat(fallers.name()).isEqualTo("risers, the other way");
  }

  @Example
  void mirroredTwiceItAsksTheSame() {
    Scan again = ScanPairs.mirrored(ScanPairs.mirrored(RISERS));

    assertThat(sentences(again)).isEqualTo(sentences(RISERS));
    assertThat(again.side()).isEqualTo(Side.UP);
  }

  /** Every hit of the whole is one of exactly one half, at the same moment. */
  @Property(tries = 15)
  void theHalvesByPriceShareOutWhoFits(
      @ForAll long seed, @ForAll @DoubleRange(min = 9, max = 11) double split) {
    double dollars = Math.round(split * 10) / 10.0;
    Session session = RandomSessions.of(seed, 4, 400);
    Scan whole = TestSessions.scan("all", List.of(Trigger.NEW_HIGH_OF_DAY), "trades at least 2");
    List<Scan> halves = ScanPairs.byPrice(whole, dollars);
    List<Hit> ofHalves =
        halves.stream().flatMap(half -> TestSessions.hits(session, half).stream()).toList();

    Stream<String> shared = ofHalves.stream().map(ScanPairsProperties::moment).sorted();
    Stream<String> all =
        TestSessions.hits(session, whole).stream().map(ScanPairsProperties::moment).sorted();
    assertThat(shared.toList()).isEqualTo(all.toList());
    assertThat(ofHalves)
        .allMatch(hit -> hit.price() < dollars * 10_000 == hit.scan().contains("under"));
  }

  private static String moment(Hit hit) {
    return hit.at() + " " + hit.symbol() + " " + hit.trigger().words();
  }
}
