package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kelvo.field.FieldValues;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class HitFoldingTest {
  private static final long TEN = DayTime.of(10, 0);
  private static final Scan HIGHS =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_DAY), "trades at least 1");

  private final List<Hit> hits = new ArrayList<>();

  private void hit(String scan, int security, Trigger trigger, long at) {
    FieldValues none = new FieldValues(List.of(), new double[0], new double[0], Map.of(), null);
    hits.add(
        new Hit(
            hits.size(), scan, "", Side.UP, security, "S" + security, at, trigger, 100_000, none));
  }

  private List<HitFold> folds() {
    return HitFolding.fold(hits, List.of(HIGHS));
  }

  @Test
  void repeatsAreOneRowWithTheirCount() {
    for (int i = 0; i < 40; i++) {
      hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN + i * 15 * DayTime.SECOND);
    }

    assertThat(folds()).hasSize(1);
    assertThat(folds().getFirst().count()).isEqualTo(40);
    assertThat(folds().getFirst().first()).isEqualTo(hits.getFirst());
    assertThat(folds().getFirst().last()).isEqualTo(hits.getLast());
  }

  @Test
  void aFoldEndsOnceItsTimePassesWithoutAFiring() {
    hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN);
    hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN + HIGHS.fold());
    hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN + 2 * HIGHS.fold() + 1);

    assertThat(folds()).extracting(HitFold::count).containsExactly(2, 1);
  }

  @Test
  void scansSecuritiesAndTriggersFoldApart() {
    hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN);
    hit("highs", 1, Trigger.NEW_HIGH_OF_DAY, TEN);
    hit("highs", 0, Trigger.ENTERS, TEN);
    hit("others", 0, Trigger.NEW_HIGH_OF_DAY, TEN);
    hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN + 1);

    assertThat(folds()).extracting(HitFold::count).containsExactly(2, 1, 1, 1);
  }

  @Test
  void theStreamHasOneRowASymbolTheNewestFirst() {
    hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN);
    hit("highs", 1, Trigger.NEW_HIGH_OF_DAY, TEN + 1);
    hit("highs", 0, Trigger.ENTERS, TEN + 2);
    hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN + 4 * DayTime.MINUTE);

    List<SymbolStream.Row> rows = SymbolStream.of(hits, List.of(HIGHS), scan -> true);

    assertThat(rows).extracting(row -> row.newest().security()).containsExactly(0, 1);
    SymbolStream.Row busy = rows.getFirst();
    assertThat(busy.folds()).isEqualTo(2);
    assertThat(busy.firings()).isEqualTo(3);
    assertThat(busy.repeats()).isEqualTo(2);
    assertThat(busy.ratePerMinute()).isCloseTo(0.5, within(1e-9));
  }

  @Test
  void theStreamLeavesOutScansThatAreSwitchedOff() {
    hit("highs", 0, Trigger.NEW_HIGH_OF_DAY, TEN);
    hit("others", 0, Trigger.ENTERS, TEN + 1);

    assertThat(SymbolStream.of(hits, List.of(HIGHS), scan -> !scan.equals("highs")))
        .singleElement()
        .satisfies(row -> assertThat(row.newest().scan()).isEqualTo("others"));
  }
}
