package kelvo.desktop.morning;

import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.scan.Side;
import kelvo.view.MatchesView;
import kelvo.view.WhyItMoves;
import org.jspecify.annotations.Nullable;

/** A row of the triage table: a match with the decision on it, null for none. */
record TriageRow(String symbol, MatchesView.Listed listed, @Nullable Decision decision) {
  /** The decision as a mark: the side of what is kept, watched, or dropped. */
  String mark() {
    return decision == null
        ? ""
        : switch (decision.choice()) {
          case KEEP -> decision.side() == Side.DOWN ? "▼" : "▲";
          case WATCH -> "○";
          case DROP -> "×";
          case UNDECIDED -> "";
        };
  }

  boolean isDropped() {
    return decision != null && decision.choice() == Choice.DROP;
  }

  /** Why it moves, or why it was dropped. */
  String why() {
    return decision != null && isDropped()
        ? "dropped" + (decision.reason().isEmpty() ? "" : ": " + decision.reason())
        : listed.why().words();
  }

  WhyItMoves.Kind kind() {
    return isDropped() ? WhyItMoves.Kind.NOTHING : listed.why().kind();
  }
}
