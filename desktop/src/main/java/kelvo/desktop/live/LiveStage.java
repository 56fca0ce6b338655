package kelvo.desktop.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.collections.ListChangeListener;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Parent;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.SplitPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kelvo.alert.Channel;
import kelvo.desktop.live.StreamLanes.Division;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.StageKey;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.scan.Scan;
import kelvo.view.StreamView;
import kelvo.watchlist.TheTen;

/** The Live stage: halts, the watchlists, the stream of hits in lanes. */
public final class LiveStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Live", 3, "fth-activity");

  private static final String EVERYONE = "everyone";
  private static final double WATCH_SHARE = 0.34;
  private static final double RANG_FROM = 0.8;

  private final Workspace workspace;
  private final ReadOnlyStringWrapper nextStep = new ReadOnlyStringWrapper("");
  private final HaltStrip halts;
  private final WatchPanel watch;
  private final StreamLanes lanes;
  private final RangPanel rang;
  private final MenuButton scans = new MenuButton("Scans");
  private final ComboBox<String> who = new ComboBox<>();
  private final Followed<List<StreamView.Streamed>> rows;
  private List<StreamView.Streamed> newest = List.of();
  private Predicate<StreamView.Streamed> lists = row -> true;

  /** The stage of a window. */
  public LiveStage(Workspace workspace) {
    this.workspace = workspace;
    halts = new HaltStrip(workspace);
    watch = new WatchPanel(workspace);
    lanes = new StreamLanes(workspace);
    rows = new Followed<>(workspace, this::stream);
    setTop(halts);
    rang = new RangPanel(workspace);
    SplitPane split =
        new SplitPane(watch, new BorderPane(lanes, switches(), null, null, null), rang);
    split.setOrientation(Orientation.VERTICAL);
    split.setDividerPositions(WATCH_SHARE, RANG_FROM);
    setCenter(split);
    workspace
        .desk()
        .scans()
        .addListener(
            (ListChangeListener<Scan>)
                change -> {
                  nameScans();
                  followAgain();
                });
    workspace.lists().lists().addListener((o, was, is) -> nameLists());
    workspace.alerts().silenced().addListener((o, was, is) -> followAgain());
    workspace.alertDesk().book().addListener((o, was, is) -> nameScans());
  }

  private HBox switches() {
    CheckBox popup = new CheckBox("Popups");
    popup.selectedProperty().bindBidirectional(workspace.alerts().popup());
    CheckBox sound = new CheckBox("Sound");
    sound.selectedProperty().bindBidirectional(workspace.alerts().sound());
    nameScans();
    ComboBox<String> division = new ComboBox<>();
    for (Division each : Division.values()) {
      division.getItems().add(each.words());
    }
    division.setValue(lanes.division().words());
    division.setAccessibleText("How the stream is divided");
    division.setTooltip(new Tooltip("One lane, strength and weakness apart, or a lane a scan"));
    scans.setTooltip(new Tooltip("Scans in the stream, and those that ring on any symbol"));
    division.setOnAction(
        e ->
            lanes.divide(
                Division.values()[Math.max(0, division.getSelectionModel().getSelectedIndex())]));
    nameLists();
    who.setAccessibleText("Whose hits are listed");
    who.setTooltip(new Tooltip("Whose hits are listed: everyone's, or those of a watchlist"));
    who.setOnAction(e -> filter());
    for (Control control : List.of(popup, sound, scans, division, who)) {
      control.setFocusTraversable(false);
      control.setMinWidth(USE_PREF_SIZE);
    }
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox line = new HBox(8, division, who, scans, space, popup, sound);
    line.getStyleClass().addAll("card", "part");
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private void nameLists() {
    String chosen = who.getValue() == null ? EVERYONE : who.getValue();
    List<String> names = new ArrayList<>(List.of(EVERYONE, TheTen.NAME));
    workspace.lists().lists().get().forEach(list -> names.add(list.name()));
    if (!who.getItems().equals(names)) {
      who.getItems().setAll(names);
      who.setValue(names.contains(chosen) ? chosen : EVERYONE);
    }
  }

  /** Lists the hits of everyone, or of a watchlist as it is now. */
  private void filter() {
    String name = who.getValue();
    if (name == null || name.equals(EVERYONE)) {
      lists = row -> true;
    } else {
      Set<String> symbols =
          Set.copyOf(
              name.equals(TheTen.NAME)
                  ? TheTen.at(workspace.book().get(), workspace.now()).symbols()
                  : workspace.lists().named(name).on(workspace.day()).symbols());
      lists = row -> symbols.contains(row.now().symbol());
    }
    lanes.show(newest.stream().filter(lists).toList());
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
    scans.getItems().add(new SeparatorMenuItem());
    for (Scan scan : workspace.scans()) {
      scans.getItems().add(ringing(scan.name()));
    }
  }

  /** The ways in which a scan's hits ring on any symbol; none of them chosen, they do not. */
  private Menu ringing(String scan) {
    Set<Channel> how = workspace.alertDesk().book().get().scans().getOrDefault(scan, Set.of());
    Menu ways = new Menu(scan + " rings on any symbol by");
    for (Channel channel : Channel.values()) {
      CheckMenuItem way = new CheckMenuItem(channel.words());
      way.setSelected(how.contains(channel));
      way.setOnAction(
          e ->
              workspace.alertDesk().ringing(scan, Channel.changed(how, channel, way.isSelected())));
      ways.getItems().add(way);
    }
    return ways;
  }

  @Override
  public List<StageKey> keys() {
    return List.of(
        new StageKey("J, space", "the next hit"),
        new StageKey("I", "the next on the watchlist"),
        new StageKey("A", "add the symbol in focus to the list"),
        new StageKey("X", "take it off the list"),
        new StageKey("E", "an alert on the symbol in focus"),
        new StageKey("Q", "quiet until the next phase"),
        new StageKey("U", "undo"));
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
    halts.shown();
    watch.shown();
    rang.seen(true);
  }

  @Override
  public void hidden() {
    rows.stop();
    halts.hidden();
    watch.hidden();
    rang.seen(false);
  }

  private void stream(List<StreamView.Streamed> rows) {
    newest = rows;
    filter();
    boolean still = workspace.feed() == null && workspace.speed().get() == 0;
    int ten = TheTen.at(workspace.book().get(), workspace.now()).symbols().size();
    nextStep.set(
        still
            ? "The day stands still: P plays it, J walks the hits"
            : ten == 0
                ? "Nobody is watched, so only halts ring: K on Morning keeps a symbol"
                : "Hits on the " + ten + " of the Ten ring: J walks the hits, I the watchlist");
  }

  private void followAgain() {
    if (rows.isFollowing()) {
      lanes.scansChanged();
      shown();
    }
  }

  @Override
  public boolean key(KeyEvent event) {
    switch (event.getCode()) {
      case J, SPACE -> lanes.next();
      case I -> watch.next(1);
      case A -> watch.add();
      case X -> watch.take();
      case E -> rang.beginAlert();
      case Q -> rang.turnQuiet();
      case U -> workspace.undo();
      default -> {
        return false;
      }
    }
    return true;
  }
}
