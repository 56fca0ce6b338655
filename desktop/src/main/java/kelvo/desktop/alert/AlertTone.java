package kelvo.desktop.alert;

import java.io.ByteArrayOutputStream;
import java.util.function.DoubleUnaryOperator;
import kelvo.alert.Ring;

/**
 * The tones of alerts, made here. They differ in shape and not only in pitch, so that each is known
 * at any volume.
 */
enum AlertTone {
  /** Two notes to and fro: a halt of what one holds or watches. */
  WARBLE(0.6, time -> (int) (time * 12) % 2 == 0 ? 660 : 880),
  /** Three short notes: any other halt. */
  TRIPLE(0.5, time -> time % 0.18 < 0.09 ? 740 : 0),
  /** Two notes: what one holds. */
  DOUBLE(0.4, time -> time % 0.22 < 0.13 ? 990 : 0),
  /** Going up: strength in what one watches. */
  RISING(0.35, time -> 520 + 900 * time),
  /** Going down: weakness in what one watches. */
  FALLING(0.35, time -> 880 - 900 * time),
  /** One short note: a scan. */
  SHORT(0.12, time -> 620);

  static final int SAMPLES_A_SECOND = 22_050;

  /** How long a tone takes to come and to go, so that it does not click. */
  private static final double EDGE = 0.01;

  /** The pitch at which a note fades, hertz. */
  private static final double FADING = 600;

  /** How much silence lies between two of them, seconds. */
  private static final double APART = 0.4;

  private final double seconds;
  private final DoubleUnaryOperator pitch;

  /** A tone of a length, with a pitch at each moment in hertz; 0 for silence. */
  AlertTone(double seconds, DoubleUnaryOperator pitch) {
    this.seconds = seconds;
    this.pitch = pitch;
  }

  /** The tone of what rings. */
  static AlertTone of(Ring ring) {
    return switch (ring.rank()) {
      case HALT_OF_MINE -> WARBLE;
      case HALT_ELSEWHERE -> TRIPLE;
      case HELD -> DOUBLE;
      case WATCHED -> ring.event().side().direction() < 0 ? FALLING : RISING;
      case ALERT, SCAN -> SHORT;
    };
  }

  /** All six, one after the other with silence between them. */
  static byte[] inTurn() {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    byte[] silence = new byte[2 * (int) (APART * SAMPLES_A_SECOND)];
    for (AlertTone tone : values()) {
      all.writeBytes(tone.samples());
      all.writeBytes(silence);
    }
    return all.toByteArray();
  }

  /** Its samples, 16 bits signed, little-endian, one channel. */
  byte[] samples() {
    int count = (int) (seconds * SAMPLES_A_SECOND);
    byte[] bytes = new byte[2 * count];
    double phase = 0;
    double loud = 0;
    double step = 1 / (EDGE * SAMPLES_A_SECOND);
    for (int i = 0; i < count; i++) {
      double time = i / (double) SAMPLES_A_SECOND;
      double hertz = pitch.applyAsDouble(time);
      boolean ends = seconds - time <= EDGE;
      loud = Math.clamp(loud + (hertz > 0 && !ends ? step : -step), 0, 1);
      phase += 2 * Math.PI * (hertz > 0 ? hertz : FADING) / SAMPLES_A_SECOND;
      short sample = (short) (loud * 0.8 * Short.MAX_VALUE * Math.sin(phase));
      bytes[2 * i] = (byte) sample;
      bytes[2 * i + 1] = (byte) (sample >> 8);
    }
    return bytes;
  }
}
