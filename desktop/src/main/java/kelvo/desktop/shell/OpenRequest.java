package kelvo.desktop.shell;

import java.nio.file.Path;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import org.jspecify.annotations.Nullable;

/**
 * What to open in a window.
 *
 * @param load reads the day, off the window's thread; null to ask for one first
 * @param places what else can be opened
 * @param at the moment to show; negative for where the day was left
 * @param otherwiseAt the moment when it was never left
 * @param speed times the speed of the day; 0 for paused
 * @param theme null for the one that is set
 * @param pictures where to write pictures of the main views, then exit; null for a usual window
 * @param smoke whether to show one moment, say what was drawn, and exit
 */
public record OpenRequest(
    @Nullable Load load,
    Places places,
    long at,
    long otherwiseAt,
    double speed,
    @Nullable Theme theme,
    @Nullable Path pictures,
    boolean smoke) {
  /** Whether it only shows something and exits, and so leaves no traces of how it was shown. */
  boolean isShowOnly() {
    return smoke || pictures != null;
  }

  /** The same with another day, where it was left. */
  OpenRequest of(Load other) {
    return new OpenRequest(other, places, -1, otherwiseAt, 0, theme, pictures, smoke);
  }

  /** The same at a moment. */
  OpenRequest at(long moment) {
    return new OpenRequest(load, places, moment, otherwiseAt, speed, theme, pictures, smoke);
  }

  /** Reads a day. */
  @FunctionalInterface
  public interface Load {
    /** Reads it, off the window's thread. */
    OpenedDay day(Progress progress);

    /** What is read, in words. */
    default String words() {
      return "the day";
    }

    /**
     * What is to go on beside the day once it is open, if one may write to its folder; null for
     * nothing. Asked off the window's thread.
     */
    default @Nullable Beside beside() {
      return null;
    }
  }

  /** Long work of which the opened day needs nothing. */
  public interface Beside {
    /**
     * Does it, on a thread of its own.
     *
     * @param progress stops it when the window is closed
     */
    void work(Progress progress);

    /** What goes on, as the beginning of a line such as "Inventing earlier sessions, 40%". */
    String words();

    /** What is there once it is done, in one sentence. */
    String done();
  }
}
