package kelvo.data.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Numbers come back bit by bit as they were. */
class PackedNumbersProperties {
  @Provide
  Arbitrary<List<Double>> numbers() {
    return Arbitraries.oneOf(
            Arbitraries.doubles(),
            Arbitraries.longs().map(Long::doubleValue),
            Arbitraries.longs().between(-10_000_000, 10_000_000).map(units -> units / 10_000.0),
            Arbitraries.of(
                Double.NaN,
                0.0,
                -0.0,
                Double.POSITIVE_INFINITY,
                Double.NEGATIVE_INFINITY,
                (double) (1L << 53),
                100.0 / 3))
        .list()
        .ofMaxSize(200);
  }

  private static double[] back(double... numbers) {
    byte[] packed = PackedNumbers.pack(numbers.length, i -> numbers[i]);
    ByteBuffer from = ByteBuffer.wrap(packed);
    double[] back = PackedNumbers.unpack(numbers.length, from);
    assertThat(from.remaining()).isZero();
    return back;
  }

  @Property
  void whatIsPackedComesBack(@ForAll("numbers") List<Double> numbers) {
    double[] given = numbers.stream().mapToDouble(Double::doubleValue).toArray();
    double[] back = back(given);

    for (int i = 0; i < given.length; i++) {
      assertThat(Double.doubleToLongBits(back[i])).isEqualTo(Double.doubleToLongBits(given[i]));
    }
  }

  @Example
  void usualNumbersTakeFewBytes() {
    assertThat(PackedNumbers.pack(4, i -> Double.NaN)).hasSize(1);
    assertThat(PackedNumbers.pack(4, i -> 40)).hasSize(1 + 4);
    assertThat(PackedNumbers.pack(1, i -> 8.25)).hasSize(1 + 3);
    assertThat(PackedNumbers.pack(1, i -> 1 / 3.0)).hasSize(1 + 8);
  }
}
