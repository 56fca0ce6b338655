package kelvo.data.ledger;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.util.function.IntToDoubleFunction;

/**
 * Numbers as few bytes, read back bit by bit as they were. Two bits a number say what follows:
 * nothing (unknown), a whole number, ten-thousandths, or the eight bytes of the number. Whole ones
 * come seven bits a byte, the lowest first, with the sign in the lowest bit.
 */
final class PackedNumbers {
  private static final int UNKNOWN = 0;
  private static final int WHOLE = 1;
  private static final int TEN_THOUSANDTHS = 2;
  private static final int AS_IT_IS = 3;
  private static final int BITS = 2;
  private static final int IN_A_BYTE = Byte.SIZE / BITS;
  private static final double UNIT = 10_000;

  /** Up to here every whole number is a double of its own. */
  private static final double EXACT = 1L << 53;

  private PackedNumbers() {}

  /** The bytes of so many numbers; NaN is unknown. */
  static byte[] pack(int count, IntToDoubleFunction numbers) {
    byte[] kinds = new byte[(count + IN_A_BYTE - 1) / IN_A_BYTE];
    ByteArrayOutputStream values = new ByteArrayOutputStream();
    for (int i = 0; i < count; i++) {
      double number = numbers.applyAsDouble(i);
      int kind = kind(number);
      kinds[i / IN_A_BYTE] |= (byte) (kind << (BITS * (i % IN_A_BYTE)));
      switch (kind) {
        case WHOLE -> whole(values, (long) number);
        case TEN_THOUSANDTHS -> whole(values, Math.round(number * UNIT));
        case AS_IT_IS ->
            values.writeBytes(ByteBuffer.allocate(Double.BYTES).putDouble(number).array());
        default -> {}
      }
    }
    ByteArrayOutputStream packed = new ByteArrayOutputStream(kinds.length + values.size());
    packed.writeBytes(kinds);
    packed.writeBytes(values.toByteArray());
    return packed.toByteArray();
  }

  private static int kind(double number) {
    if (Double.isNaN(number)) {
      return UNKNOWN;
    }
    if (same(number, (double) (long) number) && Math.abs(number) < EXACT) {
      return WHOLE;
    }
    return Math.abs(number) < EXACT / UNIT && same(number, Math.round(number * UNIT) / UNIT)
        ? TEN_THOUSANDTHS
        : AS_IT_IS;
  }

  private static boolean same(double number, double other) {
    return Double.doubleToRawLongBits(number) == Double.doubleToRawLongBits(other);
  }

  private static void whole(ByteArrayOutputStream to, long number) {
    long left = number << 1 ^ number >> (Long.SIZE - 1);
    while ((left & ~0x7fL) != 0) {
      to.write((int) ((left & 0x7f) | 0x80));
      left >>>= 7;
    }
    to.write((int) left);
  }

  /** Reads them back, so many as were packed. */
  static double[] unpack(int count, ByteBuffer packed) {
    byte[] kinds = new byte[(count + IN_A_BYTE - 1) / IN_A_BYTE];
    packed.get(kinds);
    double[] numbers = new double[count];
    for (int i = 0; i < count; i++) {
      numbers[i] =
          switch (kinds[i / IN_A_BYTE] >> (BITS * (i % IN_A_BYTE)) & (1 << BITS) - 1) {
            case UNKNOWN -> Double.NaN;
            case WHOLE -> whole(packed);
            case TEN_THOUSANDTHS -> whole(packed) / UNIT;
            default -> packed.getDouble();
          };
    }
    return numbers;
  }

  private static long whole(ByteBuffer from) {
    long read = 0;
    for (int shift = 0; ; shift += 7) {
      byte next = from.get();
      read |= (long) (next & 0x7f) << shift;
      if (next >= 0) {
        return read >>> 1 ^ -(read & 1);
      }
    }
  }
}
