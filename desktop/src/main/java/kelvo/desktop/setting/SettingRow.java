package kelvo.desktop.setting;

import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.SettingDesk;
import kelvo.refusal.RefusedException;
import kelvo.setting.Allowed;
import kelvo.setting.Setting;
import kelvo.setting.Settings;

/** A setting on the page: its sentence, its default, and what changes it at once. */
final class SettingRow extends HBox {
  private static final double FIELD_WIDTH = 120;

  private final Setting setting;
  private final SettingDesk desk;
  private final Label wrong = new Label();
  private final Control control;
  private final Control initial;

  SettingRow(Setting setting, SettingDesk desk) {
    super(12);
    this.setting = setting;
    this.desk = desk;
    getStyleClass().addAll("part", "divided");
    setAlignment(Pos.CENTER_LEFT);
    control = control();
    control.setAccessibleText(setting.sentence());
    control.setId("setting-" + setting.key().replaceAll("[^a-z]+", "-"));
    initial = SmallButton.of("As it ships", "Back to " + shown(setting.initial()), this::putBack);
    Label unit = new Label(setting.allowed() instanceof Allowed.Amount a ? a.unit() : "");
    unit.getStyleClass().addAll("faded", "small");
    unit.setMinWidth(92);
    getChildren().addAll(words(), initial, control, unit);
    show(desk.now());
  }

  private VBox words() {
    Label sentence = new Label(setting.sentence());
    sentence.setWrapText(true);
    Label more = new Label(setting.key() + " · ships as " + shown(setting.initial()));
    more.getStyleClass().addAll("faded", "small");
    wrong.getStyleClass().addAll("tone-bad", "small");
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    VBox words = new VBox(sentence, more, wrong);
    words.setMinWidth(0);
    HBox.setHgrow(words, Priority.ALWAYS);
    return words;
  }

  /** On and off, in place of what a file says. */
  private static String shown(String value) {
    return switch (value) {
      case Allowed.OnOff.ON -> "on";
      case Allowed.OnOff.OFF -> "off";
      case "" -> "nothing";
      default -> value;
    };
  }

  private Control control() {
    return switch (setting.allowed()) {
      case Allowed.OnOff onOff -> {
        CheckBox box = new CheckBox();
        box.selectedProperty().bindBidirectional(desk.onOff(setting));
        yield box;
      }
      case Allowed.Words words -> {
        ComboBox<String> box = new ComboBox<>();
        box.getItems().setAll(words.words());
        box.setMinWidth(FIELD_WIDTH);
        box.setOnAction(e -> put(box.getValue()));
        yield box;
      }
      default -> {
        TextField field = new TextField();
        field.setPrefWidth(FIELD_WIDTH);
        field.setMinWidth(FIELD_WIDTH);
        field.setOnAction(e -> put(field.getText()));
        field
            .focusedProperty()
            .addListener(
                (o, was, is) -> {
                  if (!is) {
                    put(field.getText());
                  }
                });
        yield field;
      }
    };
  }

  private void put(String value) {
    if (value == null) {
      return;
    }
    try {
      desk.set(setting, value);
      wrong.setText("");
    } catch (RefusedException e) {
      wrong.setText(e.getMessage() + "; " + shown(desk.now().text(setting)) + " counts");
    }
  }

  private void putBack() {
    put(setting.initial());
  }

  /** Shows the value that counts, unless another one is being typed. */
  void show(Settings settings) {
    initial.setVisible(settings.isSet(setting));
    if (control instanceof TextField field && !field.isFocused()) {
      field.setText(settings.text(setting));
    } else if (control instanceof ComboBox<?> box) {
      @SuppressWarnings("unchecked")
      ComboBox<String> words = (ComboBox<String>) box;
      words.setValue(settings.text(setting));
    }
  }

  /** Whether a text stands in what the row says. */
  boolean says(String text) {
    String all = setting.key() + " " + setting.sentence() + " " + setting.group().title();
    return all.toLowerCase(Locale.ROOT).contains(text.strip().toLowerCase(Locale.ROOT));
  }
}
