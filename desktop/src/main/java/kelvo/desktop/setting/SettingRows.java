package kelvo.desktop.setting;

import java.util.List;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import kelvo.desktop.workspace.SettingDesk;
import kelvo.setting.Setting;
import kelvo.setting.SettingCatalogue;

/** The settings of one group, to be changed where they matter. */
public final class SettingRows extends ScrollPane {
  /** The settings of a group; they follow what is set elsewhere. */
  public SettingRows(SettingDesk desk, Setting.Group group) {
    List<SettingRow> rows =
        SettingCatalogue.ALL.stream()
            .filter(setting -> setting.group() == group)
            .map(setting -> new SettingRow(setting, desk))
            .toList();
    VBox list = new VBox();
    list.getStyleClass().add("card");
    list.getChildren().setAll(rows);
    setContent(list);
    setFitToWidth(true);
    desk.settings().addListener((o, was, is) -> rows.forEach(row -> row.show(is)));
    rows.forEach(row -> row.show(desk.now()));
  }
}
