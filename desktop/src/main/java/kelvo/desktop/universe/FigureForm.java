package kelvo.desktop.universe;

import java.time.DateTimeException;
import java.time.LocalDate;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.refusal.RefusedException;
import kelvo.rule.Amounts;
import kelvo.universe.Figure;

/** Puts a float or share count of the symbol in focus right by hand, with where it was read. */
final class FigureForm extends HBox {
  private final Workspace workspace;
  private final Label symbol = new Label();
  private final ComboBox<String> kind = new ComboBox<>();
  private final TextField shares = new TextField();
  private final TextField asOf = new TextField();
  private final TextField source = new TextField();

  FigureForm(Workspace workspace) {
    super(6);
    this.workspace = workspace;
    setAlignment(Pos.CENTER_LEFT);
    for (Figure.Kind one : Figure.Kind.values()) {
      kind.getItems().add(one.word());
    }
    kind.setValue(Figure.Kind.FLOAT.word());
    kind.setAccessibleText("Which figure");
    shares.setPromptText("8.4M");
    shares.setPrefWidth(62);
    shares.setAccessibleText("Shares");
    asOf.setPromptText("as of 2031-02-28");
    asOf.setPrefWidth(112);
    asOf.setAccessibleText("Date of the figure");
    source.setPromptText("where it was read");
    source.setAccessibleText("Source");
    HBox.setHgrow(source, Priority.ALWAYS);
    source.setOnAction(e -> put());
    symbol.setMinWidth(USE_PREF_SIZE);
    symbol.getStyleClass().add("strong");
    symbol.textProperty().bind(workspace.focus().symbol());
    getChildren()
        .addAll(
            symbol,
            kind,
            shares,
            asOf,
            source,
            SmallButton.of("Put right", "Keeps the figure with its source", this::put));
    visibleProperty().bind(workspace.focus().symbol().isNotEmpty());
  }

  private void put() {
    try {
      double number =
          Amounts.parse(shares.getText().strip().toLowerCase(java.util.Locale.ROOT), Unit.SHARES)
              .orElseThrow(() -> new RefusedException("expected shares such as 8.4M"));
      LocalDate date =
          asOf.getText().isBlank() ? workspace.day() : LocalDate.parse(asOf.getText().strip());
      workspace
          .desk()
          .putRight(
              new Figure(
                  workspace.focus().symbol().get(),
                  Figure.Kind.of(kind.getValue()),
                  number,
                  date,
                  source.getText().strip()));
      shares.clear();
      source.clear();
    } catch (DateTimeException e) {
      workspace.window().action().set("The date is written as 2031-02-28, found " + asOf.getText());
    } catch (RefusedException e) {
      workspace.window().action().set(e.getMessage());
    }
  }
}
