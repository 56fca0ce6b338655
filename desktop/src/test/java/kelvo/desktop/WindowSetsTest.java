package kelvo.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kelvo.desktop.windows.PlacedPart;
import kelvo.desktop.windows.WindowSets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WindowSetsTest {
  @TempDir Path folder;

  private final List<String> wrong = new ArrayList<>();

  @Test
  void whatWasKeptComesBack() {
    WindowSets kept =
        new WindowSets(
            Map.of(
                "premarket", List.of(new PlacedPart("NEWS", "", 10, 20, 400, 300)),
                "close", List.of(new PlacedPart("PRINTS", "TIDARC", -900, 0, 300, 800))));
    kept.keepIn(folder);

    assertThat(WindowSets.in(folder, wrong::add)).isEqualTo(kept);
  }

  @Test
  void whatCannotBeReadOpensNoWindow() throws IOException {
    assertThat(WindowSets.in(folder, wrong::add)).isEqualTo(WindowSets.NONE);
    for (String text :
        List.of("{", "[1]", "{\"early\": [{\"part\": \"SOUP\"}]}", "null", "{\"early\": [null]}")) {
      Files.writeString(folder.resolve("windows.json"), text);
      assertThat(WindowSets.in(folder, wrong::add)).as(text).isEqualTo(WindowSets.NONE);
    }
    assertThat(wrong)
        .hasSize(5)
        .containsOnly(
            "windows.json: expected the windows of each phase; no part opens in a window");

    WindowSets.NONE.keepIn(folder);
    assertThat(folder.resolve("windows.json.unreadable")).hasContent("{\"early\": [null]}");
  }

  @Test
  void aWindowHasASensibleSize() {
    assertThatThrownBy(() -> new PlacedPart("NEWS", "", 0, 0, 0, 300))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("width");
    assertThatThrownBy(() -> new PlacedPart("NEWS", "", Double.NaN, 0, 200, 300))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
