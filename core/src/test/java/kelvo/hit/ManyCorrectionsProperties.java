package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jspecify.annotations.Nullable;

/**
 * After a burst of corrections of prints of the whole day, in any order, everything goes on as if
 * the prints had been right at once. There are so many prints that nearly every correction is
 * played from a checkpoint.
 */
class ManyCorrectionsProperties {
  private static final int BEFORE = 9_000;
  private static final int AFTER = 2_000;
  private static final long APART = 2 * DayTime.SECOND;
  private static final long CORRECTED_AT = DayTime.of(9, 0) + BEFORE * APART;

  private static final Scan SCAN =
      TestSessions.scan(
          "everything",
          List.of(
                  "new high of day",
                  "new low of day",
                  "new high of 20d",
                  "rises through vwap",
                  "falls through previous close",
                  "rises through opening range high 5m",
                  "stair step 1",
                  "base break",
                  "up 1% in 5m",
                  "down 1% in 5m",
                  "print of 890 shares")
              .stream()
              .flatMap(words -> Trigger.parse(words).stream())
              .toList());

  /** A print as it was told first, and as it is right; null when it never stood. */
  private record Print(long told, @Nullable Long right, long shares) {}

  @Property(tries = 12)
  void everythingGoesOnAsIfThePrintsHadBeenRight(@ForAll long seed) {
    List<Print> prints = prints(new SplittableRandom(seed));
    Session corrected = TestSessions.of(1, tape -> mistaken(tape, prints, seed));
    Session right = TestSessions.of(1, tape -> right(tape, prints));

    List<Found> expected = new ArrayList<>();
    SymbolState as = play(right, expected);
    List<Found> found = new ArrayList<>();
    SymbolState is = play(corrected, found);

    assertThat(found).isEqualTo(expected).hasSizeGreaterThan(20);
    for (Field field : FieldCatalogue.usual()) {
      if (field instanceof Field.Number number) {
        assertThat(Double.valueOf(number.bind(corrected).at(is, DayTime.LAST)))
            .as(number.words())
            .isEqualTo(Double.valueOf(number.bind(right).at(as, DayTime.LAST)));
      }
    }
  }

  private record Found(long at, Trigger trigger, long price) {}

  /** The hits after the corrections. */
  private static SymbolState play(Session session, List<Found> found) {
    TapeReplay replay = new TapeReplay(session);
    replay.listen(
        new ScanEngine(
            replay,
            new Program(List.of(SCAN), List.of()),
            hit -> {
              if (hit.at() > CORRECTED_AT) {
                found.add(new Found(hit.at(), hit.trigger(), hit.price()));
              }
            }));
    replay.runTo(DayTime.LAST);
    return replay.state(0);
  }

  private static List<Print> prints(SplittableRandom random) {
    List<Print> prints = new ArrayList<>();
    long price = 100_000;
    for (int i = 0; i < BEFORE + AFTER; i++) {
      price = Math.max(20_000, price + (random.nextInt(21) - 10) * 100L);
      long shares = 1 + random.nextInt(900);
      boolean mistaken = i < BEFORE && random.nextInt(200) == 0;
      prints.add(
          !mistaken
              ? new Print(price, price, shares)
              : new Print(price + 5_000, random.nextBoolean() ? price : null, shares));
    }
    return prints;
  }

  private static long at(int i) {
    return DayTime.of(9, 0) + i * APART + (i < BEFORE ? 0 : DayTime.MINUTE);
  }

  private static void right(EventTape tape, List<Print> prints) {
    for (int i = 0; i < prints.size(); i++) {
      Print print = prints.get(i);
      if (print.right() != null) {
        tape.trade(at(i), 0, print.right(), print.shares(), SaleCondition.REGULAR.bit(), i + 1);
      }
    }
  }

  private static void mistaken(EventTape tape, List<Print> prints, long seed) {
    List<Integer> wrong = new ArrayList<>();
    for (int i = 0; i < BEFORE; i++) {
      Print print = prints.get(i);
      tape.trade(at(i), 0, print.told(), print.shares(), SaleCondition.REGULAR.bit(), i + 1);
      if (print.right() == null || print.right() != print.told()) {
        wrong.add(i);
      }
    }
    Collections.shuffle(wrong, new Random(seed));
    for (int i : wrong) {
      Print print = prints.get(i);
      if (i % 3 == 0) {
        tape.correct(CORRECTED_AT, 0, i + 1, print.told() + 900, 1);
      }
      if (print.right() == null) {
        tape.cancel(CORRECTED_AT, 0, i + 1);
      } else {
        tape.correct(CORRECTED_AT, 0, i + 1, print.right(), print.shares());
      }
    }
    for (int i = BEFORE; i < prints.size(); i++) {
      Print print = prints.get(i);
      tape.trade(at(i), 0, print.told(), print.shares(), SaleCondition.REGULAR.bit(), i + 1);
    }
  }
}
