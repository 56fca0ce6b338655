package kelvo.desktop.workspace;

import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Question;
import kelvo.scan.Scan;

/** What all questions of research have in common here. Only for the window's thread. */
public final class ResearchDesk {
  private final Workspace workspace;
  private final ReadOnlyStringWrapper scanWanted = new ReadOnlyStringWrapper("");

  ResearchDesk(Workspace workspace) {
    this.workspace = workspace;
  }

  /**
   * A question with the trader's fees and fields.
   *
   * @param direction which way one enters
   */
  public Question question(Scan scan, CaseMoment moment, Direction direction) {
    return new Question(
        scan,
        moment,
        direction,
        new Question.Costs(workspace.review().settings().fees(), Question.Costs.USUAL_POSITION),
        workspace.desk().vocabulary().own().fields());
  }

  /** The scan that was last wanted on the Research stage; empty before. */
  public ReadOnlyStringProperty scanWanted() {
    return scanWanted.getReadOnlyProperty();
  }

  /** Wants the Research stage to ask about a scan. */
  public void want(String scan) {
    // Wanted again it is asked again, whatever was chosen meanwhile.
    scanWanted.set("");
    scanWanted.set(scan);
  }
}
