package kelvo.desktop;

import javafx.scene.Scene;
import javafx.stage.Stage;

/**
 * The stage of a test, where a robot finds it. All tests of a run share one stage: what an earlier
 * one left of its size and least size would move the places that a later one clicks at.
 */
public final class PlacedStage {
  private PlacedStage() {}

  /** Shows a scene at its own size at the top left of the screen; call on the window's thread. */
  public static void show(Stage stage, Scene scene) {
    stage.setMinWidth(0);
    stage.setMinHeight(0);
    stage.setScene(scene);
    stage.sizeToScene();
    // The headless screen is smaller than the window: centred on it, a robot would miss by the
    // rest.
    stage.setX(0);
    stage.setY(0);
    stage.show();
  }
}
