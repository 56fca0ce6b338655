package kelvo.desktop.morning;

import java.util.List;
import java.util.OptionalInt;
import java.util.function.BiConsumer;
import kelvo.desktop.workspace.Workspace;
import kelvo.explain.RuleAnswer;
import kelvo.explain.WhyNot;
import kelvo.job.LatestAnswer;
import kelvo.scan.Scan;
import kelvo.session.Session;
import org.jspecify.annotations.Nullable;

/**
 * Finds when each rule of a scan last held for the symbol in focus. That takes a play of the
 * session behind the window, so it is asked once a scan, symbol and standing moment, one question
 * at a time. Only for the window's thread.
 */
final class LastHeld {
  private final Workspace workspace;
  private final Runnable outdated;
  private final BiConsumer<Integer, Long> found;
  private @Nullable Question asked;
  private final LatestAnswer answers;

  private record Question(Scan scan, String symbol, long moment) {}

  /**
   * Nothing is asked yet.
   *
   * @param outdated hears that whatever was found before no longer counts
   * @param found hears of the place of each rule and when it last held; -1 for never
   */
  LastHeld(Workspace workspace, Runnable outdated, BiConsumer<Integer, Long> found) {
    this.workspace = workspace;
    answers = workspace.answers().latest("finding when each rule last held");
    this.outdated = outdated;
    this.found = found;
  }

  /** Asks about a scan, unless the session is playing or this has been asked before. */
  void ask(Scan scan) {
    Session session = workspace.session();
    OptionalInt security = session.numberOf(workspace.focus().symbol().get());
    Question question =
        new Question(scan, workspace.focus().symbol().get(), workspace.clock().now());
    if (question.equals(asked)) {
      return;
    }
    if (asked != null) {
      asked = null;
      outdated.run();
    }
    boolean playing = workspace.clock().speed().get() != 0;
    if (answers.isBusy() || playing || security.isEmpty()) {
      return;
    }
    asked = question;
    answers.ask(
        stop -> WhyNot.explain(session, scan, security.getAsInt(), question.moment),
        found -> answered(question, found));
  }

  private void answered(Question question, List<RuleAnswer> last) {
    boolean still =
        question.scan.equals(workspace.shownScan().get())
            && question.symbol.equals(workspace.focus().symbol().get())
            && question.moment == workspace.clock().now();
    if (!still) {
      asked = null;
      ask(workspace.shownScan().get());
      return;
    }
    asked = question;
    int first = question.scan.universe().name().isEmpty() ? 0 : 1;
    for (int i = 0; i < question.scan.rules().size(); i++) {
      found.accept(i, last.get(first + i).lastPassed());
    }
  }
}
