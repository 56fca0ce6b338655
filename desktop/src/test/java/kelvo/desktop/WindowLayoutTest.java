package kelvo.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.desktop.shell.WindowLayout;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WindowLayoutTest {
  @TempDir Path folder;

  private final List<String> wrong = new ArrayList<>();

  @Test
  void whatWasKeptComesBack() {
    WindowLayout wide = new WindowLayout(1900, 1050, 0.5, 0.45, 0.7);
    wide.keepIn(folder);

    assertThat(WindowLayout.in(folder, wrong::add)).isEqualTo(wide);
  }

  @Test
  void aFolderThatKeepsNothingOpensAsUsual() {
    assertThat(WindowLayout.in(folder, wrong::add)).isEqualTo(WindowLayout.DEFAULT);
  }

  @Test
  void whatIsNoSensibleNumberIsLeftOutAndTheRestKept() throws IOException {
    Files.writeString(
        folder.resolve("window.properties"),
        "width=-5\nheight=wide\nlistShare=0.4\nintradayShare=7\ndailyShare=NaN\n");

    WindowLayout usual = WindowLayout.DEFAULT;
    assertThat(WindowLayout.in(folder, wrong::add))
        .isEqualTo(
            new WindowLayout(
                usual.width(), usual.height(), 0.4, usual.intradayShare(), usual.dailyShare()));
    assertThat(wrong).isEmpty();
  }

  @Test
  void whatCannotBeReadIsToldAndKeptAside() throws IOException {
    Files.writeString(folder.resolve("window.properties"), "width=\\u12\n");

    assertThat(WindowLayout.in(folder, wrong::add)).isEqualTo(WindowLayout.DEFAULT);
    WindowLayout.DEFAULT.keepIn(folder);

    assertThat(wrong)
        .containsExactly(
            "window.properties: expected lines such as width=1280; the window opens as usual");
    assertThat(folder.resolve("window.properties.unreadable")).content().startsWith("width=");
    assertThat(folder.resolve("window.properties")).content().contains("width=1280");
  }
}
