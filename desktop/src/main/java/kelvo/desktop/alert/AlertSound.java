package kelvo.desktop.alert;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.Clip;
import javax.sound.sampled.FloatControl;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.jspecify.annotations.Nullable;

/**
 * The sound of an alert. Played off the window's thread, since audio devices may be slow to open.
 */
final class AlertSound {
  private AlertSound() {}

  /**
   * Plays it; returns a sentence when it cannot be heard, null when it can.
   *
   * @param volume per cent of the full loudness, above 0
   */
  static @Nullable String play(double volume) {
    try (InputStream in = AlertSound.class.getResourceAsStream("/kelvo/desktop/sounds/alert.wav")) {
      if (in == null) {
        return "The alert sound is missing from this build.";
      }
      Clip clip = AudioSystem.getClip();
      clip.open(AudioSystem.getAudioInputStream(new BufferedInputStream(in)));
      if (clip.isControlSupported(FloatControl.Type.MASTER_GAIN)) {
        FloatControl gain = (FloatControl) clip.getControl(FloatControl.Type.MASTER_GAIN);
        gain.setValue((float) Math.max(gain.getMinimum(), 20 * Math.log10(volume / 100)));
      }
      clip.start();
      return null;
    } catch (IOException
        | UnsupportedAudioFileException
        | LineUnavailableException
        | IllegalArgumentException e) {
      return "No sound: this machine offers no audio device; alerts still pop up.";
    }
  }
}
