package kelvo.desktop.morning;

import kelvo.journal.Choice;
import kelvo.scan.Matches;

/** A row of the triage table: a match with the decision on it. */
record TriageRow(String symbol, Matches.Row match, Choice choice) {
  /** The decision as a short mark before the symbol's columns. */
  String mark() {
    return switch (choice) {
      case KEEP -> "● ";
      case WATCH -> "○ ";
      case DROP -> "× ";
      case UNDECIDED -> "";
    };
  }
}
