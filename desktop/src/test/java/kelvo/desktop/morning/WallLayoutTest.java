package kelvo.desktop.morning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Rectangle2D;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class WallLayoutTest {
  @Test
  void eachGroupHasOneHeadingAndBeginsARow() {
    WallLayout layout = WallLayout.of(List.of("salt", "salt", "salt", "risers"), 260);

    assertThat(layout.headings())
        .extracting(WallLayout.Heading::group)
        .containsExactly("salt", "risers");
    assertThat(layout.headings().getFirst().charts()).isEqualTo(3);
    assertThat(layout.boxes().get(2).getMinX()).isZero();
    assertThat(layout.boxes().get(3).getMinX()).isZero();
    assertThat(layout.boxes().get(3).getMinY()).isGreaterThan(layout.boxes().get(2).getMaxY());
    assertThat(layout.at(layout.boxes().get(1).getMinX() + 5, layout.boxes().get(1).getMinY() + 5))
        .isEqualTo(1);
    assertThat(layout.at(5, 5)).isEqualTo(-1);
  }

  @Property(tries = 100)
  void noTwoChartsOverlap(
      @ForAll @Size(min = 1, max = 40) List<@IntRange(min = 1, max = 4) Integer> groups,
      @ForAll @IntRange(min = 100, max = 2_000) int width) {
    List<String> sorted = groups.stream().sorted().map(group -> "group " + group).toList();
    List<Rectangle2D> boxes = WallLayout.of(sorted, width).boxes();

    assertThat(boxes).hasSameSizeAs(groups);
    for (int i = 0; i < boxes.size(); i++) {
      for (int k = i + 1; k < boxes.size(); k++) {
        assertThat(boxes.get(i).intersects(boxes.get(k))).isFalse();
      }
    }
  }
}
