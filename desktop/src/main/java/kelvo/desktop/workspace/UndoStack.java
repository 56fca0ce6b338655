package kelvo.desktop.workspace;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.Consumer;

/** The edits that can be taken back, the newest first. Only for the window's thread. */
public final class UndoStack implements Undoable {
  private final Consumer<String> says;
  private final Consumer<String> focusOn;
  private final Deque<Edit> edits = new ArrayDeque<>();

  /** An edit that can be taken back. */
  private record Edit(String what, String symbol, Runnable back) {}

  /**
   * No edit yet.
   *
   * @param says takes what was taken back, in words
   * @param focusOn puts the symbol in focus whose edit was taken back
   */
  UndoStack(Consumer<String> says, Consumer<String> focusOn) {
    this.says = says;
    this.focusOn = focusOn;
  }

  @Override
  public void done(String what, String symbol, Runnable back) {
    edits.push(new Edit(what, symbol, back));
  }

  /** Takes the last edit back. */
  public void undo() {
    if (edits.isEmpty()) {
      says.accept("Nothing to undo");
      return;
    }
    Edit edit = edits.pop();
    edit.back.run();
    if (!edit.symbol.isEmpty()) {
      focusOn.accept(edit.symbol);
    }
    says.accept("Undone: " + edit.what);
  }
}
