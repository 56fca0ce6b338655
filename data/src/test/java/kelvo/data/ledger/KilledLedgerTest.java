package kelvo.data.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import kelvo.data.KillableProcesses;
import kelvo.field.FieldCatalogue;
import kelvo.field.FieldValues;
import kelvo.hit.Hit;
import kelvo.journal.Note;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * Processes that write hits and notes into one ledger are killed at random moments and go on with
 * it: none loses what it had called saved, and in the end the ledger holds what it would hold had
 * nobody been killed. {@code -Dkelvo.kills=500} tries it more often.
 */
class KilledLedgerTest {
  private static final LocalDate DAY = LocalDate.of(2031, 3, 12);
  private static final int KILLS =
      Integer.getInteger("kelvo.kills", Boolean.getBoolean("kelvo.proofs") ? 100 : 1);
  private static final int HITS_EACH = 20;
  private static final int BETWEEN_SAVES = 4;

  /** Enough for all of them, with some to spare for the last. */
  private static final int HITS = (KILLS + 2) * 2 * HITS_EACH;

  @TempDir Path folder;
  @TempDir Path scratch;

  @Tag("sampled")
  @Test
  @Timeout(value = 1, unit = TimeUnit.HOURS)
  void noKillLosesWhatWasSavedAndTheLedgerIsWholeInTheEnd()
      throws IOException, InterruptedException {
    KillableProcesses writers =
        new KillableProcesses(
            scratch, KilledLedgerTest.class, scratch.resolve("first.sqlite").toString(), "40");
    Path killed = folder.resolve("killed.sqlite");
    writers.kill(KILLS, 2 * HITS_EACH / BETWEEN_SAVES, killed.toString(), String.valueOf(HITS));

    Path undisturbed = folder.resolve("undisturbed.sqlite");
    write(undisturbed, HITS, false);
    try (Ledger found = Ledger.open(killed);
        Ledger expected = Ledger.open(undisturbed)) {
      assertThat(found.hits(DAY)).isEqualTo(expected.hits(DAY)).hasSize(HITS);
      assertThat(found.day(DAY)).isEqualTo(expected.day(DAY));
    }
  }

  /** What a process does until it is killed: says how many hits are there, and how many saved. */
  public static void main(String[] args) {
    write(Path.of(args[0]), Integer.parseInt(args[1]), true);
  }

  private static void write(Path file, int hits, boolean tells) {
    try (Ledger ledger = Ledger.open(file)) {
      int first = (int) ledger.hitCount(DAY);
      int notes = ledger.day(DAY).notes().size();
      tell(tells, first);
      for (int i = first; i < hits; i++) {
        if (i / BETWEEN_SAVES >= notes) {
          ledger.add(DAY, new Note("TIDARC", DayTime.of(8, 2) + notes, "note " + notes));
          notes++;
        }
        ledger.add(DAY, hit(i));
        if ((i + 1) % BETWEEN_SAVES == 0) {
          ledger.awaitSaved();
          tell(tells, i + 1);
        }
      }
    }
  }

  private static Hit hit(int number) {
    FieldValues values =
        new FieldValues(
            List.of(FieldCatalogue.number("price")),
            new double[0],
            new double[] {8 + number % 100 / 100.0},
            Map.of("news category", "contract"),
            null);
    return new Hit(
        number, "risers", "", Side.UP, 0, "TIDARC", number, Trigger.ENTERS, 82_000, values);
  }

  private static void tell(boolean tells, long hits) {
    if (tells) {
      System.out.println(hits);
    }
  }
}
