package kelvo.desktop.research;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import kelvo.desktop.theme.IntervalRows;
import kelvo.desktop.theme.Theme;
import kelvo.field.Field;
import kelvo.research.Answer;
import kelvo.research.Cut;
import kelvo.research.CutCell;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import org.jspecify.annotations.Nullable;

/** One cut of an answer, to be chosen, and the mean of each of its cells as an interval. */
final class CutPane extends BorderPane {
  private static final double NAME_WIDTH = 96;
  private static final double COUNT_WIDTH = 58;

  private final ComboBox<String> choice = new ComboBox<>();
  private final IntervalRows rows;
  private final BiConsumer<List<ResearchCase>, String> onPick;
  private @Nullable Answer answer;

  /**
   * No answer yet.
   *
   * @param first the cut that is chosen at first
   * @param onPick takes the cases of a cell that is clicked, and what they are
   */
  CutPane(
      String id,
      Cut first,
      ObservableValue<Theme> theme,
      BiConsumer<List<ResearchCase>, String> onPick) {
    this.onPick = onPick;
    rows =
        new IntervalRows(
            theme, NAME_WIDTH, COUNT_WIDTH, "All cases are alike in this.", this::pick);
    rows.setId(id);
    rows.setAccessibleText("The mean result of each cell of a cut, with its interval");
    choice.getItems().setAll(Cut.USUAL.stream().map(Cut::words).toList());
    choice.getSelectionModel().select(Cut.USUAL.indexOf(first));
    choice.setAccessibleText("By what the cases are told apart");
    choice.setOnAction(e -> show());
    Label by = new Label("mean by");
    by.getStyleClass().addAll("small", "faded");
    by.setMinWidth(USE_PREF_SIZE);
    HBox head = new HBox(6, by, choice);
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().addAll("card", "part");
    setTop(head);
    setCenter(rows);
  }

  /** Shows the cells of another answer. */
  void show(Answer now) {
    offer(now.question());
    answer = now;
    show();
  }

  private void show() {
    rows.show(cells().stream().map(CellRows::of).toList());
  }

  /** The usual cuts, and those by fields of the trader's own. */
  private void offer(Question question) {
    List<String> words =
        Stream.concat(Cut.USUAL.stream().map(Cut::words), question.own().stream().map(Field::words))
            .toList();
    if (!choice.getItems().equals(words)) {
      int chosen = choice.getSelectionModel().getSelectedIndex();
      choice.getItems().setAll(words);
      choice.getSelectionModel().select(chosen < words.size() ? chosen : 0);
    }
  }

  private List<CutCell> cells() {
    Answer now = answer;
    int chosen = choice.getSelectionModel().getSelectedIndex();
    if (now == null || chosen < 0) {
      return List.of();
    }
    boolean own = chosen >= Cut.USUAL.size();
    String words = choice.getItems().get(chosen);
    return now.cells().stream()
        .filter(cell -> cell.cut().isOwn() == own && cell.cut().words().equals(words))
        .toList();
  }

  private void pick(int place) {
    Answer now = answer;
    if (now != null) {
      CutCell cell = cells().get(place);
      onPick.accept(now.of(cell), cell.cut().words() + " " + cell.name());
    }
  }
}
