package kelvo.desktop.live;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kelvo.delivery.Channel;
import kelvo.desktop.live.StreamLanes.Division;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.view.StreamView;
import kelvo.watchlist.TheTen;

/** The stream of hits in its lanes, and what is chosen of it. */
final class StreamPanel extends BorderPane {
  private static final double WHO_WIDTH = 108;
  private static final String EVERYONE = "everyone";
  private static final String ANY_SCAN = "any scan";
  private static final String EITHER_SIDE = "either side";

  private final Workspace workspace;
  private final StreamLanes lanes;
  private final MenuButton scans = new MenuButton("Scans");
  private final MenuButton only = new MenuButton("Only");
  private final ComboBox<String> division = new ComboBox<>();

  /**
   * How each phase of the day divides the stream; one that was not asked takes over what it finds.
   */
  private final Map<String, Division> divisions = new HashMap<>();

  private String phase = "";
  private final ComboBox<String> who = new ComboBox<>();
  private final Followed<List<StreamView.Streamed>> rows;
  private List<StreamView.Streamed> newest = List.of();
  private StreamFilter filter = StreamFilter.ALL;

  StreamPanel(Workspace workspace) {
    this.workspace = workspace;
    lanes = new StreamLanes(workspace);
    rows = new Followed<>(workspace.clock(), this::stream);
    setCenter(lanes);
    setTop(switches());
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
    nameScans();
    for (Division each : Division.values()) {
      division.getItems().add(each.words());
    }
    division.setValue(lanes.division().words());
    division.setAccessibleText("How the stream is divided");
    division.setTooltip(new Tooltip("One lane, strength and weakness apart, or a lane a scan"));
    scans.setTooltip(new Tooltip("Scans in the stream, and those that ring on any symbol"));
    only.setTooltip(new Tooltip("Only hits of one side, one scan or one kind"));
    division.setOnAction(
        e -> {
          int chosen = Math.max(0, division.getSelectionModel().getSelectedIndex());
          divisions.put(phase, Division.values()[chosen]);
          lanes.divide(Division.values()[chosen]);
        });
    nameLists();
    who.setAccessibleText("Whose hits are listed");
    who.setTooltip(new Tooltip("Whose hits are listed: everyone's, or those of a watchlist"));
    who.setOnAction(e -> otherRows());
    for (Control control : List.of(popup, scans, only, division)) {
      control.setFocusTraversable(false);
      control.setMinWidth(USE_PREF_SIZE);
    }
    who.setFocusTraversable(false);
    who.setMinWidth(0);
    who.setMaxWidth(WHO_WIDTH);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox line = new HBox(8, division, who, only, scans, space, popup);
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

  /** Whose hits are wanted now: a list may have changed since it was chosen. */
  private StreamFilter wanted() {
    String name = who.getValue();
    if (name == null || name.equals(EVERYONE)) {
      return filter.of(null);
    }
    return filter.of(
        Set.copyOf(
            name.equals(TheTen.NAME)
                ? TheTen.at(workspace.book().get(), workspace.clock().now()).symbols()
                : workspace.lists().named(name).on(workspace.day()).symbols()));
  }

  private void enter(String now) {
    if (!now.equals(phase)) {
      phase = now;
      division.setValue(divisions.getOrDefault(now, lanes.division()).words());
    }
  }

  private void stream(List<StreamView.Streamed> now) {
    enter(workspace.session().phases().at(workspace.clock().now()).name());
    newest = now;
    lanes.show(now.stream().filter(wanted()).toList(), false);
  }

  /** What is chosen otherwise shows at once, though the pointer is on it. */
  private void otherRows() {
    lanes.show(newest.stream().filter(wanted()).toList(), true);
  }

  private void only(StreamFilter other) {
    filter = other;
    only.setText(other.narrows() == 0 ? "Only" : "Only · " + other.narrows());
    otherRows();
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
    nameOnly();
  }

  private void nameOnly() {
    Menu side = new Menu("Side");
    ToggleGroup sides = new ToggleGroup();
    for (Side each : Side.values()) {
      String words = each == Side.BOTH ? EITHER_SIDE : each == Side.UP ? "up" : "down";
      choice(side, sides, words, filter.side() == each, () -> only(filter.looking(each)));
    }
    Menu scan = new Menu("Scan");
    ToggleGroup names = new ToggleGroup();
    choice(scan, names, ANY_SCAN, filter.scan().isEmpty(), () -> only(filter.ofScan("")));
    for (Scan each : workspace.scans()) {
      String name = each.name();
      choice(scan, names, name, filter.scan().equals(name), () -> only(filter.ofScan(name)));
    }
    Menu kind = new Menu("Kind");
    ToggleGroup kinds = new ToggleGroup();
    for (StreamFilter.Kind each : StreamFilter.Kind.values()) {
      choice(kind, kinds, each.words(), filter.kind() == each, () -> only(filter.ofKind(each)));
    }
    only.getItems().setAll(side, scan, kind);
  }

  private static void choice(
      Menu menu, ToggleGroup group, String words, boolean chosen, Runnable choose) {
    RadioMenuItem item = new RadioMenuItem(words);
    item.setMnemonicParsing(false);
    item.setToggleGroup(group);
    item.setSelected(chosen);
    item.setOnAction(e -> choose.run());
    menu.getItems().add(item);
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

  /** It is seen from now on, or no longer. */
  void seen(boolean now) {
    if (now) {
      rows.follow(
          new StreamView(
              workspace.session(), workspace.scans(), workspace.alerts().silenced().get()));
    } else {
      rows.stop();
    }
  }

  private void followAgain() {
    if (rows.isFollowing()) {
      lanes.scansChanged();
      seen(true);
    }
  }

  /** Goes to the next hit. */
  void next() {
    lanes.next();
  }

  /** Lets in what waits while the lists are held still. */
  void letIn() {
    lanes.letIn();
  }
}
