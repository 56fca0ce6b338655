package kelvo.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kelvo.desktop.shell.WindowLayout;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WindowLayoutTest {
  @TempDir Path folder;

  @Test
  void whatWasKeptComesBack() {
    WindowLayout wide = new WindowLayout(1900, 1050, 0.5, 0.45, 0.7);
    wide.keepIn(folder);

    assertThat(WindowLayout.in(folder)).isEqualTo(wide);
  }

  @Test
  void aFolderThatKeepsNothingOpensAsUsual() {
    assertThat(WindowLayout.in(folder)).isEqualTo(WindowLayout.DEFAULT);
  }

  @Test
  void whatIsNoSensibleNumberIsLeftOutAndTheRestKept() throws IOException {
    Files.writeString(
        folder.resolve("window.properties"),
        "width=-5\nheight=wide\nlistShare=0.4\nintradayShare=7\ndailyShare=NaN\n");

    WindowLayout usual = WindowLayout.DEFAULT;
    assertThat(WindowLayout.in(folder))
        .isEqualTo(
            new WindowLayout(
                usual.width(), usual.height(), 0.4, usual.intradayShare(), usual.dailyShare()));
  }
}
