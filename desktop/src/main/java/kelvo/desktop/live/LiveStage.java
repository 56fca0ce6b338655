package kelvo.desktop.live;

import java.util.List;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.collections.ListChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Parent;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.StageKey;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.view.HaltsView;
import kelvo.view.StreamView;
import kelvo.watchlist.TheTen;

/** The Live stage: halts, the stream of hits by symbol, the cards of the Ten. */
public final class LiveStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Live", 3, "fth-activity");

  private static final PseudoClass HALTED = PseudoClass.getPseudoClass("halted");

  private final Workspace workspace;
  private final ReadOnlyStringWrapper nextStep = new ReadOnlyStringWrapper("");
  private final HBox halts = new HBox(12);
  private final Grid<StreamView.Streamed> stream =
      new Grid<>("Hits by symbol", row -> row.hits().newest().security());
  private final TenCards cards;
  private final MenuButton scans = new MenuButton("Scans in the stream");
  private final Followed<List<StreamView.Streamed>> rows;
  private final Followed<HaltsView.HaltList> haltList;

  /** The stage of a window. */
  public LiveStage(Workspace workspace) {
    this.workspace = workspace;
    cards = new TenCards(workspace);
    rows = new Followed<>(workspace, this::stream);
    haltList = new Followed<>(workspace, this::halts);
    halts.getStyleClass().addAll("halts", "part");
    halts.setAlignment(Pos.CENTER_LEFT);
    halts.setMinHeight(30);
    setTop(new VBox(halts, switches()));
    setCenter(stream);
    setBottom(cards);
    stream.columns(StreamColumns.ALL);
    stream.strength(StreamColumns::strength);
    stream.more(StreamColumns::atTheHit);
    stream.emptyText(
        "No hits yet. Scans look from the start of their windows; the day rail shows when.");
    stream.onSelect(row -> workspace.focusOn(row.now().symbol()));
    stream.theme(workspace.theme().get());
    workspace.theme().addListener((o, was, is) -> stream.theme(is));
    workspace
        .desk()
        .scans()
        .addListener(
            (ListChangeListener<Scan>)
                change -> {
                  nameScans();
                  followAgain();
                });
    workspace.alerts().silenced().addListener((o, was, is) -> followAgain());
    workspace
        .focus()
        .addListener((o, was, is) -> workspace.session().numberOf(is).ifPresent(stream::mark));
  }

  private HBox switches() {
    CheckBox popup = new CheckBox("Popups");
    popup.selectedProperty().bindBidirectional(workspace.alerts().popup());
    CheckBox sound = new CheckBox("Sound");
    sound.selectedProperty().bindBidirectional(workspace.alerts().sound());
    nameScans();
    for (Control control : List.of(popup, sound, scans)) {
      control.setFocusTraversable(false);
      control.setMinWidth(USE_PREF_SIZE);
    }
    Label alert = new Label("Hits on the Ten ring");
    alert.getStyleClass().addAll("faded", "small");
    HBox line = new HBox(14, popup, sound, scans, alert);
    line.getStyleClass().add("part");
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  /** The scans as they are now; those that are switched off stay so. */
  private void nameScans() {
    scans.getItems().clear();
    for (Scan scan : workspace.scans()) {
      CheckMenuItem item = new CheckMenuItem(scan.name());
      item.setSelected(!workspace.alerts().silenced().get().contains(scan.name()));
      item.setOnAction(e -> workspace.alerts().silence(scan.name(), !item.isSelected()));
      scans.getItems().add(item);
    }
  }

  @Override
  public List<StageKey> keys() {
    return List.of(new StageKey("J, space", "the next hit"));
  }

  @Override
  public ObservableValue<String> nextStep() {
    return nextStep.getReadOnlyProperty();
  }

  @Override
  public StageKind kind() {
    return KIND;
  }

  @Override
  public Parent node() {
    return this;
  }

  @Override
  public void shown() {
    rows.follow(
        new StreamView(
            workspace.session(), workspace.scans(), workspace.alerts().silenced().get()));
    haltList.follow(new HaltsView());
    cards.shown();
  }

  @Override
  public void hidden() {
    rows.stop();
    haltList.stop();
    cards.hidden();
  }

  private void stream(List<StreamView.Streamed> newest) {
    stream.rows(newest);
    boolean still = workspace.feed() == null && workspace.speed().get() == 0;
    int ten = TheTen.at(workspace.book().get(), workspace.now()).symbols().size();
    nextStep.set(
        still
            ? "The day stands still: P plays it, J walks the hits"
            : ten == 0
                ? "Nobody is on the Ten, so nothing rings: K on Morning keeps a symbol"
                : "Hits on the " + ten + " of the Ten ring: J walks the hits");
  }

  private void followAgain() {
    if (rows.isFollowing()) {
      shown();
    }
  }

  private void halts(HaltsView.HaltList shown) {
    halts.getChildren().clear();
    halts.pseudoClassStateChanged(HALTED, !shown.halted().isEmpty());
    if (shown.halted().isEmpty()) {
      Label none = new Label("No halts");
      none.getStyleClass().add("faded");
      halts.getChildren().add(none);
    }
    for (HaltsView.Halted halted : shown.halted()) {
      long seconds = (shown.moment() - halted.since()) / DayTime.SECOND;
      Label label =
          new Label(
              halted.symbol()
                  + " "
                  + halted.state().word()
                  + " "
                  + halted.reason()
                  + " since "
                  + DayTime.seconds(halted.since())
                  + ", for "
                  + seconds / 60
                  + " min "
                  + seconds % 60
                  + " s");
      label.getStyleClass().add("strong");
      label.setOnMouseClicked(e -> workspace.focusOn(halted.symbol()));
      halts.getChildren().add(label);
    }
  }

  @Override
  public boolean key(KeyEvent event) {
    if (event.getCode() == KeyCode.J || event.getCode() == KeyCode.SPACE) {
      stream.move(1);
      return true;
    }
    return false;
  }
}
