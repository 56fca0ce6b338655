package kelvo.desktop.workspace;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import kelvo.refusal.RefusedException;
import kelvo.setting.Allowed.OnOff;
import kelvo.setting.Setting;
import kelvo.setting.Settings;

/**
 * The settings of the folder, as the trader changes them: a change counts at once and is written
 * behind the window. Only for the window's thread.
 */
public final class SettingDesk {
  private final ReadOnlyObjectWrapper<Settings> settings;
  private final Consumer<Settings> write;
  private final Undoable undoable;
  private final Map<Setting, BooleanProperty> switches = new HashMap<>();

  /**
   * A desk.
   *
   * @param write keeps settings in the folder, behind the window
   * @param undoable takes what takes the last change back
   */
  SettingDesk(Settings read, Consumer<Settings> write, Undoable undoable) {
    settings = new ReadOnlyObjectWrapper<>(read);
    this.write = write;
    this.undoable = undoable;
    settings.addListener(
        (o, was, is) -> switches.forEach((setting, on) -> on.set(is.isOn(setting))));
  }

  /** What is set now. */
  public ReadOnlyObjectProperty<Settings> settings() {
    return settings.getReadOnlyProperty();
  }

  /** What is set now. */
  public Settings now() {
    return settings.get();
  }

  /**
   * Sets something.
   *
   * @throws RefusedException saying what was expected
   */
  public void set(Setting setting, String value) {
    Settings before = settings.get();
    Settings after = before.with(setting, value);
    if (!after.equals(before)) {
      String old = before.text(setting);
      undoable.done(setting.key() + " " + after.text(setting), "", () -> put(setting, old));
      put(after);
    }
  }

  private void put(Setting setting, String value) {
    put(settings.get().with(setting, value));
  }

  private void put(Settings after) {
    settings.set(after);
    write.accept(after);
  }

  /** A setting that is on or off, as a switch on screen follows and changes it. */
  public BooleanProperty onOff(Setting setting) {
    return switches.computeIfAbsent(setting, this::follow);
  }

  private BooleanProperty follow(Setting setting) {
    BooleanProperty on = new SimpleBooleanProperty(now().isOn(setting));
    on.addListener(
        (o, was, is) -> {
          if (is != now().isOn(setting)) {
            set(setting, is ? OnOff.ON : OnOff.OFF);
          }
        });
    return on;
  }
}
