package kelvo.desktop.alert;

import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.Clip;
import javax.sound.sampled.FloatControl;
import javax.sound.sampled.LineEvent;
import javax.sound.sampled.LineUnavailableException;
import org.jspecify.annotations.Nullable;

/**
 * The sound of an alert. Played off the window's thread, since audio devices may be slow to open.
 */
final class AlertSound {
  private static final AudioFormat FORMAT =
      new AudioFormat(AlertTone.SAMPLES_A_SECOND, 16, 1, true, false);

  private AlertSound() {}

  /**
   * Plays samples as {@link AlertTone} makes them; returns a sentence when it cannot be heard, null
   * when it can.
   *
   * @param volume per cent of the full loudness, above 0
   */
  static @Nullable String play(byte[] samples, double volume) {
    try {
      Clip clip = AudioSystem.getClip();
      clip.open(FORMAT, samples, 0, samples.length);
      if (clip.isControlSupported(FloatControl.Type.MASTER_GAIN)) {
        FloatControl gain = (FloatControl) clip.getControl(FloatControl.Type.MASTER_GAIN);
        gain.setValue((float) Math.max(gain.getMinimum(), 20 * Math.log10(volume / 100)));
      }
      clip.addLineListener(
          event -> {
            if (event.getType().equals(LineEvent.Type.STOP)) {
              clip.close();
            }
          });
      clip.start();
      return null;
    } catch (LineUnavailableException | IllegalArgumentException e) {
      return "No sound: this machine offers no audio device; alerts still pop up.";
    }
  }
}
