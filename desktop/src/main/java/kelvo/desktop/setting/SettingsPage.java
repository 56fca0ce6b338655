package kelvo.desktop.setting;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Workspace;
import kelvo.setting.Setting;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import kelvo.watchlist.TheTen;

/**
 * All settings on one page that can be searched. Each counts at once; those that the day has to be
 * read again for count when the page is closed, which it says.
 */
public final class SettingsPage extends BorderPane {
  private static final double WIDTH = 820;

  private final Workspace workspace;
  private final Runnable closed;
  private final Runnable test;
  private final TextField find = new TextField();
  private final VBox list = new VBox();
  private final Label note = new Label();
  private final List<SettingRow> rows = new ArrayList<>();
  private Settings opened = Settings.NONE;

  /**
   * A page that is closed until it is opened.
   *
   * @param test sounds an alert
   * @param closed gives the keys back
   */
  public SettingsPage(Workspace workspace, Runnable test, Runnable closed) {
    this.workspace = workspace;
    this.test = test;
    this.closed = closed;
    setId("settings");
    getStyleClass().add("overlay");
    setMaxWidth(WIDTH);
    setVisible(false);
    setManaged(false);
    workspace.settings().settings().addListener((o, was, is) -> show(is));
    ScrollPane scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    setTop(head());
    setCenter(scroll);
    setBottom(foot());
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  private HBox head() {
    Label title = new Label("Settings");
    title.getStyleClass().add("clock");
    find.setPromptText("find a setting");
    find.setAccessibleText("Find a setting");
    find.textProperty().addListener((o, was, is) -> list());
    HBox.setHgrow(find, Priority.ALWAYS);
    HBox head = new HBox(12, title, find, SmallButton.of("Close", "Escape", this::close));
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().add("part");
    return head;
  }

  private HBox foot() {
    note.getStyleClass().addAll("faded", "small");
    note.setWrapText(true);
    HBox foot = new HBox(note);
    foot.getStyleClass().add("part");
    return foot;
  }

  /** Opens it. */
  public void open() {
    opened = workspace.settings().now();
    if (rows.isEmpty()) {
      SettingCatalogue.ALL.forEach(one -> rows.add(new SettingRow(one, workspace.settings())));
    }
    find.clear();
    list();
    show(opened);
    setManaged(true);
    setVisible(true);
    find.requestFocus();
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.ESCAPE) {
      event.consume();
      close();
    }
  }

  private void close() {
    requestFocus();
    setVisible(false);
    setManaged(false);
    closed.run();
    if (isReadWithOther()) {
      workspace.navigation().readAgain();
    }
  }

  private boolean isReadWithOther() {
    Settings now = workspace.settings().now();
    return SettingCatalogue.ALL.stream()
        .anyMatch(s -> s.readsTheDay() && !now.text(s).equals(opened.text(s)));
  }

  private void show(Settings settings) {
    rows.forEach(row -> row.show(settings));
    note.setText(
        isReadWithOther()
            ? "The phases count when this page is closed: the day is saved and read again."
            : "Kept in settings.json of "
                + workspace.folder().getFileName()
                + ", which can be written by hand too.");
  }

  /** The rows that the search finds, under the headings of their groups. */
  private void list() {
    List<Node> shown = new ArrayList<>();
    for (Setting.Group group : Setting.Group.values()) {
      List<Node> of = new ArrayList<>();
      for (int i = 0; i < rows.size(); i++) {
        if (SettingCatalogue.ALL.get(i).group() == group && rows.get(i).says(find.getText())) {
          of.add(rows.get(i));
        }
      }
      more(group, of);
      if (!of.isEmpty()) {
        shown.add(heading(group.title()));
        shown.addAll(of);
      }
    }
    if ("data folder session demo".contains(find.getText().strip().toLowerCase(Locale.ROOT))) {
      shown.add(heading("Data folder"));
      shown.add(folder());
    }
    if (shown.isEmpty()) {
      shown.add(heading("No setting says \"" + find.getText().strip() + "\""));
    }
    list.getChildren().setAll(shown);
  }

  /** What belongs to a group and is kept in a file of its own, or is only tried. */
  private void more(Setting.Group group, List<Node> of) {
    String wanted = find.getText().strip().toLowerCase(Locale.ROOT);
    if (group == Setting.Group.ALERTS && "sound test".contains(wanted)) {
      of.add(
          line(
              "Hear the six tones as loud as it is set: halt of yours, halt, held, strength, weakness, scan.",
              SmallButton.of("Test", "", test)));
    }
    if (group == Setting.Group.LIMITS && "the ten holds most kept".contains(wanted)) {
      Spinner<Integer> most =
          new Spinner<>(TheTen.MIN_SIZE, TheTen.MAX_SIZE, workspace.desk().mostKept().get());
      most.setPrefWidth(90);
      most.setAccessibleText("How many symbols the Ten may hold");
      most.valueProperty().addListener((o, was, is) -> workspace.desk().keepAtMost(is));
      of.add(line("How many symbols the Ten may hold (ten.json).", most));
    }
  }

  private HBox folder() {
    return line(
        String.valueOf(workspace.folder()),
        SmallButton.of(
            "Open another…",
            "Saves this day and lets another session or folder be chosen",
            workspace.navigation()::chooseOtherDay));
  }

  private static HBox line(String words, Node control) {
    Label sentence = new Label(words);
    sentence.setMinWidth(0);
    sentence.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(sentence, Priority.ALWAYS);
    Region space = new Region();
    space.setMinWidth(92);
    HBox line = new HBox(12, sentence, control, space);
    line.getStyleClass().addAll("part", "divided");
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private static Label heading(String title) {
    Label heading = new Label(title);
    heading.getStyleClass().addAll("title", "part");
    return heading;
  }
}
