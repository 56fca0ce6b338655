package kelvo.desktop.plan;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.Note;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.refusal.RefusedException;
import kelvo.scan.Side;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** The plan for the symbol: side, bucket, a line of plan, levels that alert, and notes. */
public final class PlanPart extends ScrollPane implements SymbolPart {
  /** Its kind. */
  public static final PartKind KIND =
      new PartKind("PLAN", "Plan and notes", (workspace, choice) -> new PlanPart(workspace));

  private static final Seen NOTHING = new Seen("", Optional.empty(), List.of(), List.of());

  private final Workspace workspace;
  private final Label decision = new Label();
  private final ChoiceBox<String> side =
      new ChoiceBox<>(FXCollections.observableArrayList(Side.UP.word(), Side.DOWN.word()));
  private final ChoiceBox<String> bucket =
      new ChoiceBox<>(FXCollections.observableArrayList(Decision.BUCKETS));
  private final TextField plan = new TextField();
  private final TextField price = new TextField();
  private final ChoiceBox<String> kind =
      new ChoiceBox<>(
          FXCollections.observableArrayList(
              LevelKind.BY_HAND.words(), LevelKind.STOP.words(), LevelKind.TARGET.words()));
  private final TextField note = new TextField();
  private final VBox standing = new VBox(2);
  private final SizeLine size;
  private String symbol = "";
  private boolean shows;

  /** Held here, since the workspace outlives windows of their own. */
  private final ChangeListener<Object> refresh = (o, was, is) -> refresh();

  private Seen shown = NOTHING;

  PlanPart(Workspace workspace) {
    this.workspace = workspace;
    size = new SizeLine(workspace);
    setFitToWidth(true);
    workspace.book().addListener(new WeakChangeListener<>(refresh));
    workspace.clock().shown().addListener(new WeakChangeListener<>(refresh));
    plan.setPromptText("one line of plan");
    price.setPromptText("price");
    price.setPrefColumnCount(6);
    note.setPromptText("a note on this symbol, Enter keeps it");
    kind.setValue(LevelKind.BY_HAND.words());
    HBox.setHgrow(plan, Priority.ALWAYS);
    HBox planLine = line(side, bucket, plan, button("Keep plan", this::keepPlan));
    HBox levelLine = line(new Label("Level"), price, kind, button("Set level", this::setLevel));
    VBox all = new VBox(6, decision, planLine, levelLine, size, note, standing);
    all.getStyleClass().add("part");
    setContent(all);
    plan.setOnAction(e -> keepPlan());
    price.setOnAction(e -> setLevel());
    note.setOnAction(e -> keepNote());
  }

  private static HBox line(Node... nodes) {
    HBox line = new HBox(6, nodes);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private static Button button(String text, Runnable action) {
    Button button = new Button(text);
    button.getStyleClass().setAll("button", "small-button");
    button.setOnAction(e -> action.run());
    return button;
  }

  private void keepPlan() {
    workspace
        .trader()
        .plan(symbol, Side.of(side.getValue()), bucket.getValue(), plan.getText().strip());
  }

  private void setLevel() {
    try {
      LevelKind chosen =
          java.util.Arrays.stream(LevelKind.values())
              .filter(k -> k.words().equals(kind.getValue()))
              .findFirst()
              .orElse(LevelKind.BY_HAND);
      workspace.trader().addLevel(symbol, Price.parse(price.getText().strip()), chosen);
      price.clear();
    } catch (RefusedException e) {
      workspace
          .window()
          .action()
          .set("A level needs a price above 0 such as 8.20, found \"" + price.getText() + "\"");
    }
  }

  private static String slope(Level level) {
    return level.rise() == 0
        ? ""
        : String.format(
            Locale.ROOT,
            " then, %s %.2f an hour",
            level.rise() > 0 ? "rising" : "falling",
            Math.abs(level.rise()) / Price.DOLLAR);
  }

  private void keepNote() {
    if (!note.getText().isBlank()) {
      workspace.trader().addNote(symbol, note.getText().strip());
      note.clear();
    }
  }

  /**
   * What can be seen of a symbol at a moment; entries that the trader is making survive an update.
   */
  private record Seen(
      String symbol, Optional<Decision> decision, List<Level> levels, List<Note> notes) {}

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(String wanted) {
    symbol = wanted;
    shows = true;
    refresh();
  }

  @Override
  public void hide() {
    shows = false;
    size.hide();
    shown = NOTHING;
  }

  private void refresh() {
    if (!shows) {
      return;
    }
    DayBook book = workspace.book().get();
    long now = workspace.clock().now();
    Seen seen =
        new Seen(
            symbol,
            book.decisionOn(symbol, now),
            book.levelsOn(symbol, now),
            book.notesOn(symbol, now));
    if (seen.equals(shown)) {
      return;
    }
    shown = seen;
    Decision decided = seen.decision().orElse(null);
    size.show(symbol, decided == null ? Side.UP : decided.side(), seen.levels());
    decision.setText(
        decided == null
            ? "Not decided yet: K keeps it, D drops it, W only watches."
            : decided.choice().word() + ": " + decided.reason());
    if (decided != null) {
      side.setValue(decided.side().word());
      bucket.setValue(decided.bucket());
      plan.setText(decided.plan());
    } else {
      side.setValue(Side.UP.word());
      bucket.setValue(Decision.BUCKETS.getFirst());
      plan.clear();
    }
    standing.getChildren().clear();
    for (Level level : seen.levels()) {
      Label words =
          new Label(
              level.kind().words()
                  + " "
                  + Price.text(level.price())
                  + slope(level)
                  + ", since "
                  + DayTime.minutes(level.setAt()));
      standing
          .getChildren()
          .add(line(words, button("Remove", () -> workspace.trader().removeLevel(level))));
    }
    for (Note written : seen.notes()) {
      Label words = new Label(DayTime.minutes(written.at()) + "  " + written.text());
      words.setWrapText(true);
      standing.getChildren().add(words);
    }
  }
}
