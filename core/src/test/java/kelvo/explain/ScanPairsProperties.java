package kelvo.explain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import kelvo.hit.Hit;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
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
    Scan fallers = ScanPairs.byWay(RISERS).getFirst();

    assertThat(sentences(fallers)).containsExactly("change % at most -0.4%", "trades at least 3");
    assertThat(fallers.side()).isEqualTo(Side.DOWN);
    assertThat(fallers.name()).isEqualTo("risers, the other way");
  }

  @Example
  void mirroredTwiceItAsksTheSame() {
    Scan again = ScanPairs.byWay(ScanPairs.byWay(RISERS).getFirst()).getFirst();

    assertThat(sentences(again)).isEqualTo(sentences(RISERS));
    assertThat(again.side()).isEqualTo(Side.UP);
  }

  @Example
  void groupsAreMirroredToo() {
    Rule up = RuleSentence.parse("change from open % at least 2%", Vocabulary.DEFAULT);
    Scan fallers = ScanPairs.byWay(RISERS.withAnyOf(List.of(List.of(up)))).getFirst();

    assertThat(fallers.anyOf().getFirst().getFirst().sentence())
        .isEqualTo("change from open % at most -2%");
  }

  /** Every hit of a scan that looks both ways is one of exactly one half. */
  @Property(tries = 15)
  void theHalvesByWayShareOutWhoFits(@ForAll long seed) {
    Session session = RandomSessions.of(seed, 4, 400);
    Scan whole =
        TestSessions.scan("all", List.of(Trigger.NEW_HIGH_OF_DAY), "trades at least 2")
            .looking(Side.BOTH);
    List<Scan> halves = ScanPairs.byWay(whole);
    List<Hit> ofHalves =
        halves.stream().flatMap(half -> TestSessions.hits(session, half).stream()).toList();

    assertThat(halves).extracting(Scan::name).containsExactly("all, up", "all, down");
    assertThat(ofHalves.stream().map(ScanPairsProperties::moment).sorted().toList())
        .isEqualTo(
            TestSessions.hits(session, whole).stream()
                .map(ScanPairsProperties::moment)
                .sorted()
                .toList());
    assertThat(ofHalves).allMatch(hit -> hit.price() >= 100_000 == (hit.side() == Side.UP));
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
