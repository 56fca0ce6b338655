package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.watchlist.Mark;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WatchlistTableTest {
  private static final Watchlist LIST =
      Watchlist.of("Fades", List.of("KELPOR"))
          .with(List.of("TIDARC"), LocalDate.of(2031, 3, 14))
          .changing(
              "TIDARC", entry -> entry.in("second").marked(Mark.STAR).noted("thin, \"wide\""));

  @TempDir Path folder;

  @Test
  void aListComesBackFromItsTable() {
    Path file = folder.resolve("list.csv");
    WatchlistTable.write(file, LIST);

    assertThat(WatchlistTable.with(Watchlist.of("Fades", List.of()), file)).isEqualTo(LIST);
    assertThat(WatchlistTable.with(LIST, file)).as("once more").isEqualTo(LIST);
  }

  @Test
  void anyTableWithSymbolsWillDo() throws IOException {
    Path file = folder.resolve("any.csv");
    Files.writeString(file, "name,symbol\nKelp Harbour, kelpor\nOrbital Tow,ORBTOW\n");

    assertThat(WatchlistTable.with(Watchlist.of("a", List.of("GENSED")), file).symbols())
        .containsExactly("GENSED", "KELPOR", "ORBTOW");
  }

  @Test
  void whatIsWrongIsToldWithItsLine() throws IOException {
    Path file = folder.resolve("wrong.csv");
    Files.writeString(file, "symbol,mark\nKELPOR,star\nORBTOW,heart\n");
    assertThatThrownBy(() -> WatchlistTable.with(LIST, file))
        .hasMessageStartingWith("wrong.csv, line 3: expected circle, square");

    Files.writeString(file, "ticker\nKELPOR\n");
    assertThatThrownBy(() -> WatchlistTable.with(LIST, file))
        .hasMessage("wrong.csv, line 2: expected a column \"symbol\" in line 1");
  }
}
