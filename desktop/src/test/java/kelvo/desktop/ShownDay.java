package kelvo.desktop;

import java.util.List;
import kelvo.check.Check;
import kelvo.desktop.workspace.Workspace;
import kelvo.explain.ScanWorkings;
import kelvo.hit.Hit;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.view.FactsView;
import kelvo.view.MatchesView;
import kelvo.view.Moment;
import kelvo.view.View;
import kelvo.view.WallView;
import kelvo.view.WorkingsView;

/** What a window shows, and what views of its moment say: asked by tests. */
final class ShownDay {
  private final Workspace workspace;
  private final Session session;

  ShownDay(Workspace workspace) {
    this.workspace = workspace;
    session = workspace.session();
  }

  /** Whether the first moment has come to the window. */
  boolean isThere() {
    return events() > 0 || moment() > DayTime.FIRST;
  }

  long moment() {
    return workspace.clock().now();
  }

  int events() {
    return workspace.clock().shown().get().events();
  }

  List<Hit> hits() {
    return workspace.clock().hits();
  }

  /** The symbol in focus whose price is shown; empty for none. */
  String focus() {
    return workspace.focus().quote().get() == null
        ? ""
        : workspace.focus().quote().get().facts().symbol();
  }

  /** What a view says of the moment shown, played anew. */
  <T> T look(View<T> view) {
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(moment());
    return view.look(new Moment(replay, hits()));
  }

  MatchesView.MatchList matches() {
    return look(new MatchesView(session, workspace.shownScan().get()));
  }

  ScanWorkings workings() {
    return look(
        new WorkingsView(
            workspace.shownScan().get(),
            workspace.window().workedRule().get(),
            workspace.focus().symbol().get()));
  }

  List<WallView.Tile> wall() {
    return look(new WallView(session)).tiles();
  }

  List<Check> checks() {
    int security = session.numberOf(workspace.focus().symbol().get()).orElseThrow();
    return look(new FactsView(session, security, workspace.desk().checks().get())).checks();
  }
}
