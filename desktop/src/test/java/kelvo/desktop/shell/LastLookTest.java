package kelvo.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Properties;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LastLookTest {
  @TempDir Path folder;

  @Test
  void whatAWindowShowedComesBackWithItsSize() {
    LastLook look = new LastLook("Review", "Thin stairs", 600, Set.of("Live", "Review"), 40, 60);
    WindowLayout layout = new WindowLayout(1400, 900, 0.5, 0.4, 0.6, look);
    layout.keepIn(folder);

    assertThat(WindowLayout.in(folder, wrong -> {})).isEqualTo(layout);
  }

  @Test
  void whatIsNoSensibleValueIsNotKnown() {
    Properties kept = new Properties();
    kept.setProperty("speed", "fast");
    kept.setProperty("x", "Infinity");

    assertThat(LastLook.from(kept)).isEqualTo(LastLook.NONE);
    assertThat(LastLook.NONE.isOnAScreen()).isFalse();
  }
}
