package kelvo.desktop.workspace;

import java.util.List;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.input.KeyEvent;
import org.jspecify.annotations.Nullable;

/**
 * A stage of the day, such as Morning or Review: fills the list side of the window while it is
 * shown. It follows its views from {@link #shown} to {@link #hidden} only. Only for the window's
 * thread.
 */
public interface DayStage {
  /** Which one it is. */
  StageKind kind();

  /** What stands in the window. */
  Parent node();

  /** It comes to the front. */
  default void shown() {}

  /** Another stage comes to the front. */
  default void hidden() {}

  /** Takes a key of this stage; returns whether it was one. */
  default boolean key(KeyEvent event) {
    return false;
  }

  /** Its keys, for who asks what they are. */
  default List<StageKey> keys() {
    return List.of();
  }

  /** What to do next on it, in one line; empty while there is nothing to say. */
  default ObservableValue<String> nextStep() {
    return new ReadOnlyStringWrapper("");
  }

  /** What stands below the symbol in focus while this stage is in front; null for nothing. */
  default @Nullable Node below() {
    return null;
  }

  /** The {@link PartKind#id} of the part that belongs beside it; empty when any will do. */
  default String partBeside() {
    return "";
  }
}
