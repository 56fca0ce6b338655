package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.ledger.KeptHit;
import kelvo.data.ledger.Ledger;
import kelvo.data.scanfile.ScanFile;
import kelvo.field.FieldValues;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.rule.Vocabulary;
import kelvo.session.Session;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The hits of an invented day in the ledger: with every field, bit by bit, in little room. */
@Tag("proof")
class KeptHitsOfADayTest {
  private static final int MOST_BYTES_A_HIT = 500;

  @TempDir Path folder;

  private static Map<String, Double> known(FieldValues fields) {
    Map<String, Double> known = new HashMap<>();
    for (int i = 0; i < fields.fields().size(); i++) {
      if (!Double.isNaN(fields.at(i))) {
        known.put(fields.fields().get(i).words(), fields.at(i));
      }
    }
    return known;
  }

  private static List<Hit> keep(Path file, List<Hit> hits) {
    try (Ledger ledger = Ledger.open(file)) {
      hits.forEach(hit -> ledger.add(DemoSize.SESSION, hit));
      assertThat(ledger.awaitSaved()).isTrue();
    }
    return hits;
  }

  @Test
  void everyFieldComesBackAndAHitTakesFiveHundredBytesAtMost() throws IOException {
    Path data = folder.resolve("demo");
    SmallDemo.copyTo(data);
    Session session =
        new DataFolder(data, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);
    Path file = folder.resolve("ledger.sqlite");
    Ledger.open(file).close();
    long empty = Files.size(file);
    List<Hit> hits =
        keep(
            file,
            SessionRun.of(
                    session,
                    new Program(ScanFile.shipped(Vocabulary.DEFAULT), List.of()),
                    Progress.NONE)
                .hits());

    assertThat(hits).hasSizeGreaterThan(500);
    assertThat((Files.size(file) - empty) / hits.size()).isLessThanOrEqualTo(MOST_BYTES_A_HIT);
    try (Ledger ledger = Ledger.readOnly(file)) {
      List<KeptHit> kept = ledger.hits(DemoSize.SESSION);
      Map<List<Object>, Hit> byKey = new HashMap<>();
      hits.forEach(
          h -> byKey.putIfAbsent(List.of(h.at(), h.scan(), h.symbol(), h.trigger().words()), h));
      assertThat(kept).hasSize(byKey.size());
      for (KeptHit one : kept) {
        Hit hit = byKey.get(List.of(one.at(), one.scan(), one.symbol(), one.trigger()));
        assertThat(one.numbers()).isEqualTo(known(hit.fields()));
        assertThat(one.words()).isEqualTo(hit.fields().words());
        assertThat(one.price()).isEqualTo(hit.price());
      }
    }
  }
}
