package kelvo.desktop.theme;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.TraversalDirection;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.SplitPane;

/** Leads the keys to the first thing that can be chosen in a part; Tab goes on from there. */
public final class FirstChoice {
  private FirstChoice() {}

  /**
   * Gives the focus to the first list of choices in a part that can be seen, else to its first
   * control that Tab leads to.
   *
   * @return false when there is none
   */
  public static boolean focus(Parent part) {
    // What has just come into sight has what it scrolls only once it has been styled.
    part.applyCss();
    List<Control> reached =
        within(part)
            .filter(Node::isFocusTraversable)
            .filter(node -> !node.isDisabled())
            .filter(Control.class::isInstance)
            .map(Control.class::cast)
            .toList();
    Optional<Control> first =
        reached.stream()
            .filter(ComboBox.class::isInstance)
            .findFirst()
            .or(() -> reached.stream().findFirst());
    first.ifPresent(FirstChoice::lead);
    return first.isPresent();
  }

  /**
   * Gives the focus to a control. A button gets it as by Tab, there and back, since the space bar
   * presses only what Tab has led to.
   */
  private static void lead(Control control) {
    control.requestFocus();
    if (control instanceof ButtonBase && control.requestFocusTraversal(TraversalDirection.NEXT)) {
      control.getScene().getFocusOwner().requestFocusTraversal(TraversalDirection.PREVIOUS);
    }
  }

  private static Stream<Node> within(Parent part) {
    Stream<Node> children =
        part instanceof SplitPane split
            ? split.getItems().stream()
            : part.getChildrenUnmodifiable().stream();
    return children
        .filter(Objects::nonNull)
        .filter(Node::isVisible)
        .flatMap(
            node ->
                node instanceof Parent inner && !(node instanceof ComboBox)
                    ? Stream.concat(Stream.of(node), within(inner))
                    : Stream.of(node));
  }
}
