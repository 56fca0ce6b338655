package kelvo.desktop.focus;

import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.shell.Workspace;

/** The parts about a symbol, in the order in which they stand. */
public enum PartKind {
  INTRADAY("Intraday chart"),
  DAILY("Daily chart"),
  FACTS("Facts and checks"),
  PRINTS("Prints"),
  NEWS("News"),
  PLAN("Plan, levels, notes");

  private final String title;

  PartKind(String title) {
    this.title = title;
  }

  /** Its name on buttons and windows. */
  public String title() {
    return title;
  }

  /** Makes such a part; charts with the same choice share bars and hours. */
  public FocusPart make(Workspace workspace, ChartChoice choice) {
    FocusPart part =
        switch (this) {
          case INTRADAY -> new IntradayPart(workspace, choice);
          case DAILY -> new DailyPart(workspace, choice);
          case FACTS -> new FactsPart(workspace);
          case PRINTS -> new PrintsPart();
          case NEWS -> new NewsPart();
          case PLAN -> new PlanPart(workspace);
        };
    part.node().setAccessibleText(title);
    return part;
  }
}
