package kelvo.desktop.shell;

import java.io.File;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import kelvo.desktop.shell.OpenRequest.Load;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Where a day is chosen: the folders that were opened last, any other folder, the demo; and why the
 * last choice could not be opened.
 */
final class OpeningPage extends VBox {
  private static final Logger LOG = LoggerFactory.getLogger(OpeningPage.class);
  private static final double WIDTH = 640;
  private static final double DATE_WIDTH = 130;

  private final Places places;
  private final Consumer<Load> open;
  private final Label problem = new Label();
  private final VBox folders = new VBox(6);

  /**
   * A page.
   *
   * @param open opens what was chosen
   * @param close leaves the program
   */
  OpeningPage(Places places, Consumer<Load> open, Runnable close) {
    super(12);
    this.places = places;
    this.open = open;
    setAlignment(Pos.CENTER);
    setFillWidth(false);
    Label name = new Label("Kelvo");
    name.getStyleClass().add("symbol");
    Label what = new Label("Choose a session to open.");
    what.getStyleClass().add("faded");
    problem.getStyleClass().add("tone-bad");
    problem.setWrapText(true);
    problem.setMaxWidth(WIDTH);
    problem.managedProperty().bind(problem.textProperty().isNotEmpty());
    ScrollPane list = new ScrollPane(folders);
    list.setFitToWidth(true);
    list.setPrefViewportWidth(WIDTH);
    list.setMaxHeight(360);
    list.managedProperty().bind(Bindings.isNotEmpty(folders.getChildren()));
    HBox more = new HBox(8);
    more.setAlignment(Pos.CENTER_LEFT);
    more.setPrefWidth(WIDTH);
    more.getChildren()
        .addAll(
            button("Open a folder…", "A data folder of yours", this::chooseFolder),
            button(
                "Demo",
                "An invented market of 2031, with a day of trades",
                () -> open.accept(places.demo())),
            button("Close", "Leave Kelvo", close));
    getChildren().addAll(name, what, problem, list, more);
    list();
  }

  private static Button button(String words, String help, Runnable action) {
    Button button = new Button(words);
    button.setTooltip(new Tooltip(help));
    button.setOnAction(e -> action.run());
    return button;
  }

  /** Says why the last choice could not be opened, and offers to try it again. */
  void failed(String sentence, Load load) {
    problem.setText(sentence);
    HBox again = new HBox(button("Try again", "", () -> open.accept(load)));
    again.setPrefWidth(WIDTH);
    getChildren().add(getChildren().indexOf(problem) + 1, again);
  }

  /** Says why the last choice could not be opened, and puts the folder with what it has first. */
  void failed(String sentence, Path folder, List<LocalDate> dates) {
    problem.setText(sentence);
    folders.getChildren().addFirst(row(folder, dates));
  }

  private void list() {
    Thread.ofVirtual().name("folders").start(() -> places.recent().forEach(this::look));
  }

  private void look(Path folder) {
    List<LocalDate> dates = sessions(folder);
    Platform.runLater(() -> add(folder, dates));
  }

  private List<LocalDate> sessions(Path folder) {
    try {
      return places.sessions(folder);
    } catch (RuntimeException e) {
      LOG.warn("{} cannot be read: {}", folder, e.getMessage());
      return List.of();
    }
  }

  private void chooseFolder() {
    DirectoryChooser chooser = new DirectoryChooser();
    chooser.setTitle("A data folder");
    File chosen = chooser.showDialog(getScene().getWindow());
    if (chosen != null) {
      Path folder = chosen.toPath();
      Thread.ofVirtual().name("folder").start(() -> look(folder));
    }
  }

  /** Adds a folder to the list unless it stands there. */
  private void add(Path folder, List<LocalDate> dates) {
    if (folders.getChildren().stream().noneMatch(row -> folder.equals(row.getUserData()))) {
      folders.getChildren().add(row(folder, dates));
    }
  }

  private HBox row(Path folder, List<LocalDate> dates) {
    Label name = new Label(String.valueOf(folder.getFileName()));
    name.getStyleClass().add("strong");
    Label where = new Label(folder.toString());
    where.getStyleClass().addAll("faded", "small");
    where.setTooltip(new Tooltip(folder.toString()));
    VBox words = new VBox(name, where);
    words.setMinWidth(0);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox row = new HBox(8, words);
    row.setUserData(folder);
    row.getStyleClass().addAll("card", "part", "divided");
    row.setAlignment(Pos.CENTER_LEFT);
    if (dates.isEmpty()) {
      Label none = new Label("no recorded session");
      none.getStyleClass().addAll("faded", "small");
      row.getChildren().add(none);
      return row;
    }
    ComboBox<LocalDate> date = new ComboBox<>();
    date.getItems().setAll(dates.reversed());
    date.setValue(dates.getLast());
    date.setMinWidth(DATE_WIDTH);
    date.setAccessibleText("Session of " + folder.getFileName());
    Button go = button("Open", "", () -> open.accept(places.folder(folder, date.getValue())));
    go.setMinWidth(USE_PREF_SIZE);
    row.getChildren().addAll(date, go);
    return row;
  }
}
