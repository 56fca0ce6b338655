package kelvo.desktop.shell;

import java.util.List;
import kelvo.desktop.catalysts.CatalystsStage;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.morning.MorningStage;
import kelvo.desktop.research.ResearchStage;
import kelvo.desktop.review.ReviewStage;
import kelvo.desktop.universe.UniverseStage;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;

/** All stages of the day, in the order in which people work. */
final class Stages {
  /** The stage that a window shows first. */
  static final StageKind FIRST = MorningStage.KIND;

  private Stages() {}

  static List<DayStage> of(Workspace workspace) {
    return List.of(
        new UniverseStage(workspace),
        new MorningStage(workspace),
        new LiveStage(workspace),
        new CatalystsStage(workspace),
        new ReviewStage(workspace),
        new ResearchStage(workspace));
  }
}
