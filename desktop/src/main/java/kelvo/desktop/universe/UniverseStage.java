package kelvo.desktop.universe;

import java.io.File;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Parent;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import kelvo.data.scanfile.UniverseTable;
import kelvo.desktop.rules.RulesEditor;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.ScanDesk;
import kelvo.desktop.workspace.StageKey;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.LatestAnswer;
import kelvo.refusal.RefusedException;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.rule.RuleCompletion;
import kelvo.rule.SessionWords;
import kelvo.scan.Scan;
import kelvo.universe.Listing;
import kelvo.universe.Membership;
import kelvo.universe.Universe;

/**
 * The Universe stage: which securities may ever appear, how many are left after each rule, why any
 * other one is out, and what was said by hand.
 */
public final class UniverseStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Universe", 1, "fth-globe");

  /** What is worked on. */
  private enum Part {
    RULES("Rules", "Who may appear by rules, and why the others may not"),
    BY_HAND("By hand", "Symbols in or out whatever the rules say"),
    FIGURES("Figures", "Floats and share counts put right");

    private final String words;
    private final String help;

    Part(String words, String help) {
      this.words = words;
      this.help = help;
    }
  }

  private final Workspace workspace;
  private final ReadOnlyStringWrapper nextStep = new ReadOnlyStringWrapper("");
  private final ScanDesk desk;
  private final ComboBox<String> names = new ComboBox<>();
  private final Label standing = new Label();
  private final Label stale = new Label();
  private final RulesEditor rules;
  private final ByHandPane byHand;
  private final FiguresPane figures;
  private final BorderPane below = new BorderPane();
  private final VBox ofRules = new VBox(4);
  private final Map<Part, ToggleButton> parts = new EnumMap<>(Part.class);
  private final UniverseList list;
  private final LatestAnswer memberships;
  private Universe universe;
  private boolean showing;

  /** The stage of a window. */
  public UniverseStage(Workspace workspace) {
    this.workspace = workspace;
    memberships = workspace.answers().latest("asking who is in the universe");
    desk = workspace.desk();
    universe = desk.universes().isEmpty() ? fresh("universe") : desk.universes().getFirst();
    list = new UniverseList(workspace);
    rules =
        new RulesEditor(
            desk.vocabulary(),
            new RuleCompletion(desk.vocabulary(), new SessionWords(workspace.session())),
            changed -> change(changed),
            place -> {});
    byHand = new ByHandPane(workspace, change -> put(change.apply(universe)));
    figures = new FiguresPane(workspace);
    stale.getStyleClass().addAll("small", "tone-catalyst");
    stale.setWrapText(true);
    standing.getStyleClass().add("strong");
    standing.setMinWidth(USE_PREF_SIZE);
    VBox top = new VBox(4, head(), stale, tabs());
    top.getStyleClass().addAll("card", "part");
    ofRules.getStyleClass().addAll("card", "part");
    setTop(top);
    setCenter(below);
    show(Part.RULES);
    workspace.focus().symbol().addListener((o, was, is) -> askOfFocus());
    desk.universes().addListener((ListChangeListener<Universe>) c -> follow());
    show();
  }

  private Universe fresh(String name) {
    return new Universe(name, List.of(), Set.of(), Set.of(), workspace.day());
  }

  private HBox head() {
    names.setEditable(true);
    names.setPrefWidth(140);
    names.setMinWidth(120);
    names.setAccessibleText("Universe; type a new name for another one");
    names.setTooltip(new Tooltip("Choose a universe, or type a new name for another one"));
    names.setOnAction(e -> choose(names.getValue()));
    HBox head =
        new HBox(
            6,
            names,
            SmallButton.of(
                "Looked through",
                "Remembers today as the day of the last look",
                () -> put(universe.reviewedOn(workspace.day()))),
            SmallButton.of(
                "To every scan",
                "Every scan looks at this universe from now on",
                this::forEveryScan),
            SmallButton.of("Import", "Takes what a CSV table says by hand", this::importTable),
            SmallButton.of(
                "Export",
                "Writes a CSV table: who is in, and why the others are out",
                this::exportTable),
            SmallButton.of(
                "Remove",
                "Takes this universe away; its scans look at everyone then",
                this::remove));
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  private HBox tabs() {
    HBox tabs = new HBox(6);
    for (Part part : Part.values()) {
      ToggleButton button = new ToggleButton(part.words);
      button.getStyleClass().setAll("toggle-button", "small-button");
      button.setTooltip(new Tooltip(part.help));
      button.setFocusTraversable(false);
      button.setOnAction(e -> show(part));
      parts.put(part, button);
      tabs.getChildren().add(button);
    }
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    tabs.getChildren().addAll(space, standing);
    tabs.setAlignment(Pos.CENTER_LEFT);
    return tabs;
  }

  /**
   * Shows what belongs to one part: the list of securities below rules and below what is said by
   * hand.
   */
  private void show(Part part) {
    parts.forEach((each, button) -> button.setSelected(each == part));
    switch (part) {
      case RULES -> ofRules.getChildren().setAll(rules, list.head());
      case BY_HAND -> ofRules.getChildren().setAll(byHand, list.head());
      case FIGURES -> ofRules.getChildren().clear();
    }
    list.only(part == Part.BY_HAND);
    below.setTop(part == Part.FIGURES ? null : ofRules);
    below.setCenter(part == Part.FIGURES ? figures : list);
  }

  private void follow() {
    desk.universes().stream()
        .filter(u -> u.name().equals(universe.name()))
        .findFirst()
        .ifPresent(u -> universe = u);
    show();
  }

  private void choose(String name) {
    if (showing || name == null || name.isBlank() || name.equals(universe.name())) {
      return;
    }
    universe =
        desk.universes().stream()
            .filter(u -> u.name().equals(name))
            .findFirst()
            .orElseGet(() -> universe.named(name.strip()));
    put(universe);
    show();
  }

  private void change(List<Rule> changed) {
    try {
      put(universe.withRules(changed));
    } catch (RefusedException e) {
      workspace.window().action().set(e.getMessage());
      stale.setText(e.getMessage());
    }
  }

  private void put(Universe changed) {
    universe = changed;
    desk.change(changed);
    show();
  }

  private void remove() {
    desk.remove(universe.name());
    universe = desk.universes().isEmpty() ? fresh("universe") : desk.universes().getFirst();
    show();
  }

  private void forEveryScan() {
    put(universe);
    for (Scan scan : List.copyOf(desk.scans())) {
      desk.change(scan, scan.within(universe));
    }
    workspace.window().action().set("Every scan looks at " + universe.name());
  }

  private void exportTable() {
    File file = chooser("Export the universe").showSaveDialog(getScene().getWindow());
    if (file != null) {
      Universe asked = universe;
      workspace
          .answers()
          .workOut(
              () -> {
                try {
                  UniverseTable.write(
                      file.toPath(),
                      asked,
                      Membership.of(asked, workspace.session()),
                      workspace.session());
                  return "Wrote " + file.getName();
                } catch (UncheckedIOException e) {
                  return file.getName() + " could not be written; choose another place";
                }
              },
              workspace.window().action()::set);
    }
  }

  private void importTable() {
    File file = chooser("Import symbols").showOpenDialog(getScene().getWindow());
    if (file != null) {
      try {
        put(UniverseTable.with(universe, file.toPath()));
        workspace.window().action().set("Took what " + file.getName() + " says by hand");
      } catch (RefusedException | UncheckedIOException e) {
        workspace.window().action().set(e.getMessage());
      }
    }
  }

  private static FileChooser chooser(String title) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(title);
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Tables", "*.csv"));
    return chooser;
  }

  private void show() {
    showing = true;
    List<String> all = new ArrayList<>(desk.universes().stream().map(Universe::name).toList());
    if (!all.contains(universe.name())) {
      all.add(universe.name());
    }
    if (!names.getItems().equals(all)) {
      names.getItems().setAll(all);
    }
    names.setValue(universe.name());
    rules.show(universe.rules());
    stale.setText(
        universe.isStaleOn(workspace.day())
            ? "Last looked through "
                + (universe.reviewed() == null ? "never" : "on " + universe.reviewed())
                + ", more than a quarter ago: listings, kinds and floats change."
            : "");
    stale.setManaged(!stale.getText().isEmpty());
    showing = false;
    Universe asked = universe;
    memberships.ask(
        stop -> {
          Membership members = Membership.of(asked, workspace.session());
          return new Shown(
              members, Listing.of(asked, members, workspace.session(), desk.figures().get()));
        },
        shown -> {
          if (asked.equals(universe)) {
            show(shown);
          }
        });
  }

  private record Shown(Membership members, List<Listing> listings) {}

  private void show(Shown shown) {
    Membership members = shown.members();
    standing.setText(members.count() + " of " + shown.listings().size());
    nextStep.set(
        members.count()
            + " of "
            + shown.listings().size()
            + " may appear: change a rule, or put the symbol in focus in with A, out with X");
    for (int i = 0; i < members.cuts().size(); i++) {
      rules.counts(i, members.cuts().get(i).alone(), members.cuts().get(i).left());
    }
    list.show(shown.listings());
    askOfFocus();
  }

  /** What each rule says of the symbol in focus. */
  private void askOfFocus() {
    workspace
        .session()
        .numberOf(workspace.focus().symbol().get())
        .ifPresent(
            security -> {
              List<RuleCheck.Answer> answers =
                  Membership.answers(universe, workspace.session(), security);
              for (int i = 0; i < answers.size(); i++) {
                rules.answer(i, answers.get(i).value(), answers.get(i).passes());
              }
            });
  }

  @Override
  public List<StageKey> keys() {
    return List.of(
        new StageKey("J, space", "the next one"),
        new StageKey("R", "one more rule"),
        new StageKey("H", "what is said by hand"),
        new StageKey("G", "figures put right"),
        new StageKey("F", "find in the list"),
        new StageKey("A", "add the symbol in focus"),
        new StageKey("X", "exclude it"),
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
    show();
  }

  @Override
  public boolean key(KeyEvent event) {
    switch (event.getCode()) {
      case J, SPACE -> {
        if (below.getCenter() == figures) {
          figures.next();
        } else {
          list.next();
        }
      }
      case H -> show(Part.BY_HAND);
      case G -> show(Part.FIGURES);
      case R -> {
        show(Part.RULES);
        rules.add();
      }
      case F -> list.find();
      case A -> ofFocus(universe.adding(Set.of(workspace.focus().symbol().get())), "Added ");
      case X -> ofFocus(universe.excluding(Set.of(workspace.focus().symbol().get())), "Excluded ");
      case U -> workspace.undoStack().undo();
      default -> {
        return false;
      }
    }
    return true;
  }

  private void ofFocus(Universe changed, String did) {
    if (workspace.focus().symbol().get().isEmpty()) {
      workspace.window().action().set("No symbol in focus: J takes the first");
      return;
    }
    workspace.window().action().set(did + workspace.focus().symbol().get());
    put(changed);
  }
}
