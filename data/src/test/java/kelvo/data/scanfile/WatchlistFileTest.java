package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kelvo.delivery.Channel;
import kelvo.rule.Vocabulary;
import kelvo.watchlist.Mark;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WatchlistFileTest {
  @TempDir Path folder;

  private static final Watchlist FADES =
      Watchlist.of("Own fades", List.of("KELPOR"))
          .with(List.of("TIDARC"), LocalDate.of(2031, 3, 14))
          .following("Fresh news")
          .noted("after lunch")
          .showing(List.of("gap", "volume 5m"))
          .by(Set.of(Channel.SPOKEN))
          .changing("TIDARC", entry -> entry.in("second").marked(Mark.STAR).noted("thin"));

  @Test
  void whatIsWrittenIsRead() {
    assertThat(WatchlistFile.parse("fades.json", WatchlistFile.write(FADES))).isEqualTo(FADES);
  }

  @Test
  void whatIsNoListSaysWhy() {
    assertThatThrownBy(() -> WatchlistFile.parse("a.json", "{\"kelvo\":1,\"name\":\"\"}"))
        .hasMessage("a.json: a watchlist needs a name");
    assertThatThrownBy(
            () ->
                WatchlistFile.parse(
                    "a.json",
                    "{\"kelvo\":1,\"name\":\"a\",\"entries\":[{\"symbol\":\"KELPOR\",\"until\":\"Friday\"}]}"))
        .hasMessage("a.json: until: expected a date such as 2031-03-12, found \"Friday\"");
  }

  @Test
  void aFolderKeepsItsListsByName() {
    List<String> wrong = new ArrayList<>();
    ScanFolder kept = new ScanFolder(folder, Vocabulary.DEFAULT, wrong::add);
    kept.save(FADES);
    kept.save(FADES.without("KELPOR"));
    kept.save(Watchlist.of("swings", List.of("ORBTOW")));

    assertThat(kept.watchlists())
        .as("besides those that ship")
        .hasSize(5)
        .contains(FADES.without("KELPOR"), Watchlist.of("swings", List.of("ORBTOW")));
    kept.remove(FADES);
    assertThat(kept.watchlists()).hasSize(4);
    assertThat(wrong).isEmpty();
  }

  @Test
  void theListsThatShipFollowScansThatShip() {
    List<String> scans =
        ScanFile.shipped(Vocabulary.DEFAULT).stream().map(scan -> scan.name()).toList();

    assertThat(new ScanFolder(folder, Vocabulary.DEFAULT, wrong -> {}).watchlists())
        .hasSize(3)
        .allSatisfy(list -> assertThat(scans).contains(list.follows()));
  }
}
