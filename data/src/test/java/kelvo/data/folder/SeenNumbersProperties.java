package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Held to a set of objects. */
class SeenNumbersProperties {
  @Provide
  Arbitrary<List<Long>> numbers() {
    return Arbitraries.oneOf(
            Arbitraries.longs().between(-3, 40),
            Arbitraries.longs(),
            Arbitraries.longs().between(0, 1_000).map(n -> n << 40))
        .list()
        .ofMaxSize(400);
  }

  @Property(tries = 100)
  void aNumberHasComeOnceItWasAdded(@ForAll("numbers") List<Long> numbers) {
    SeenNumbers seen = new SeenNumbers();
    Set<Long> expected = new HashSet<>();
    for (long number : numbers) {
      assertThat(seen.contains(number)).isEqualTo(expected.contains(number));
      if (expected.add(number)) {
        seen.add(number);
      }
    }
    assertThat(numbers).allMatch(seen::contains);
  }
}
