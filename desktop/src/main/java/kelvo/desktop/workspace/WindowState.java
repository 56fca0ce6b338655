package kelvo.desktop.workspace;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import kelvo.desktop.chart.PointedAt;
import kelvo.desktop.theme.Theme;
import org.jspecify.annotations.Nullable;

/** What a window shows where and how it looks. Only for the window's thread. */
public final class WindowState {
  /** No scan is being worked on. */
  public static final int NO_RULE = -1;

  private final ObjectProperty<StageKind> stage = new SimpleObjectProperty<>(StageKind.NONE);
  private final ObjectProperty<Theme> theme;
  private final IntegerProperty workedRule = new SimpleIntegerProperty(NO_RULE);
  private final BooleanProperty scanInFront = new SimpleBooleanProperty(false);
  private final BooleanProperty wall = new SimpleBooleanProperty(false);
  private final ObjectProperty<@Nullable PointedAt> pointed = new SimpleObjectProperty<>();
  private final StringProperty action = new SimpleStringProperty("");
  private final StringProperty beside = new SimpleStringProperty("");
  private final ReadOnlyIntegerWrapper pastSessions = new ReadOnlyIntegerWrapper();

  /** A window before its first stage. */
  WindowState(Theme theme) {
    this.theme = new SimpleObjectProperty<>(theme);
  }

  /** The stage of the day that is shown. */
  public ObjectProperty<StageKind> stage() {
    return stage;
  }

  /** The look. */
  public ObjectProperty<Theme> theme() {
    return theme;
  }

  /** Whatever is drawn hears of its look only when that changes: so it goes there and back. */
  void drawAgain() {
    Theme shown = theme.get();
    theme.set(shown.other());
    theme.set(shown);
  }

  /** Whether small charts of the movers are wanted. */
  public BooleanProperty wall() {
    return wall;
  }

  /** The place of the rule that is being worked on; {@link #NO_RULE} while none is. */
  public IntegerProperty workedRule() {
    return workedRule;
  }

  /** Whether the stage on which scans are worked on is shown. */
  public BooleanProperty scanInFront() {
    return scanInFront;
  }

  /** The crosshair of all charts of all windows. */
  public ObjectProperty<@Nullable PointedAt> pointed() {
    return pointed;
  }

  /** What the last key or click did, in words. */
  public StringProperty action() {
    return action;
  }

  /** What long work goes on beside the day and how far it is; empty without any. */
  public StringProperty beside() {
    return beside;
  }

  /** There are more past sessions than when the day was opened, as a sentence says. */
  public void pastHasGrown(String sentence) {
    action.set(sentence);
    pastSessions.set(pastSessions.get() + 1);
  }

  /** Changes whenever there are more past sessions. */
  public ReadOnlyIntegerProperty pastSessions() {
    return pastSessions.getReadOnlyProperty();
  }
}
