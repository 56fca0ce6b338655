package kelvo.bench;

import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.view.ClockView;

/** Hears of each moment after all parts of a window that were there before. */
final class MomentEnd {
  private final Followed<ClockView.Clock> last;

  /**
   * The end of a window's moments.
   *
   * @param then what is done then
   */
  MomentEnd(Workspace workspace, Runnable then) {
    last = new Followed<>(workspace.clock(), clock -> then.run());
  }

  void follow() {
    last.follow(new ClockView());
  }
}
