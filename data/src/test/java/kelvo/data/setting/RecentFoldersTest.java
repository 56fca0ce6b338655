package kelvo.data.setting;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RecentFoldersTest {
  @TempDir Path home;

  @Test
  void theLastOneOpenedIsFirstAndOneThatIsGoneIsNotThere() throws IOException {
    Path one = Files.createDirectory(home.resolve("one"));
    Path two = Files.createDirectory(home.resolve("two"));
    RecentFolders recent = new RecentFolders(home.resolve("kept"));

    assertThat(recent.all()).isEmpty();
    recent.opened(one);
    recent.opened(two);
    recent.opened(one);
    assertThat(recent.all()).containsExactly(one, two);
    Files.delete(one);
    assertThat(recent.all()).containsExactly(two);
  }

  @Test
  void onlySomeAreKept() throws IOException {
    RecentFolders recent = new RecentFolders(home);
    for (int i = 0; i < 12; i++) {
      recent.opened(Files.createDirectory(home.resolve("day" + i)));
    }

    assertThat(recent.all()).hasSize(8).startsWith(home.resolve("day11"));
  }
}
