package kelvo.desktop.morning;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.beans.binding.Bindings;
import javafx.collections.FXCollections;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import kelvo.desktop.rules.AnyOfField;
import kelvo.desktop.rules.CompletionPopup;
import kelvo.desktop.rules.RuleCurve;
import kelvo.desktop.rules.RulesEditor;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.ScanDesk;
import kelvo.desktop.workspace.WindowState;
import kelvo.desktop.workspace.Workspace;
import kelvo.explain.ScanPairs;
import kelvo.explain.ScanWorkings;
import kelvo.explain.WhyEmpty;
import kelvo.field.Field;
import kelvo.refusal.RefusedException;
import kelvo.rule.FormulaCompletion;
import kelvo.rule.ListCompletion;
import kelvo.rule.Rule;
import kelvo.rule.RuleCompletion;
import kelvo.rule.SentenceList;
import kelvo.rule.SessionWords;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.scan.SortOrder;
import kelvo.trigger.Trigger;
import kelvo.trigger.TriggerCompletion;
import kelvo.universe.Universe;
import kelvo.view.WorkingsView;
import org.jspecify.annotations.Nullable;

/**
 * Works on the scan that is shown: its rules with what each does, the cut curve of the rule that is
 * being worked on, its triggers, columns and order. Everything applies as it is typed.
 */
final class ScanEditor extends BorderPane {
  private static final double DEFAULT_SPLIT = 10;

  /** Below this width the curve leaves more of it to the rules. */
  private static final double NARROW = 640;

  private final Workspace workspace;
  private final ScanDesk desk;
  private final Vocabulary vocabulary;
  private final RulesEditor rules;
  private final RuleCurve curve;
  private final LastHeld lastHeld;
  private final RecordedMoves recordedMoves;
  private final TextField name = new TextField();
  private final TextField purpose = new TextField();
  private final ComboBox<String> universes = new ComboBox<>();
  private final AnyOfField anyOf;
  private final Label anyOfLeft = new Label();
  private final TextField triggers = new TextField();
  private final TextField columns = new TextField();
  private final TextField sort = new TextField();
  private final TextField ownField = new TextField();
  private String shownName = "";
  private String contradictions = "";
  private final Followed<ScanWorkings> followed;
  private @Nullable ScanWorkings workings;
  private boolean seen;
  private boolean showing;

  ScanEditor(Workspace workspace, Runnable close) {
    this.workspace = workspace;
    followed =
        new Followed<>(
            workspace.clock(),
            newest -> {
              workings = newest;
              show();
            });
    desk = workspace.desk();
    vocabulary = desk.vocabulary();
    RuleCompletion completion =
        new RuleCompletion(vocabulary, new SessionWords(workspace.session()));
    rules =
        new RulesEditor(
            vocabulary,
            completion,
            changed -> change(scan().withRules(changed)),
            workspace.window().workedRule()::set);
    anyOf =
        new AnyOfField(
            vocabulary, completion, groups -> change(scan().withAnyOf(groups)), rules::says);
    lastHeld = new LastHeld(workspace, rules::forgetLastHeld, rules::lastHeld);
    curve = new RuleCurve(workspace.session().phases(), this::replaceRule);
    recordedMoves = new RecordedMoves(workspace, curve::moves);
    workspace
        .window()
        .workedRule()
        .addListener(
            (o, was, is) -> {
              if (is.intValue() == WindowState.NO_RULE) {
                recordedMoves.stop();
              } else {
                followAgain();
              }
            });
    getStyleClass().addAll("card", "part");
    ScrollPane scroll = new ScrollPane(rules);
    scroll.setFitToWidth(true);
    scroll.setMinWidth(0);
    HBox.setHgrow(scroll, Priority.ALWAYS);
    curve.setPrefWidth(216);
    curve
        .minWidthProperty()
        .bind(Bindings.when(widthProperty().lessThan(NARROW)).then(150).otherwise(200));
    HBox middle = new HBox(6, scroll, curve);
    setTop(new VBox(4, head(close), purpose, line("Any of", anyOf, anyOfLeft)));
    setCenter(middle);
    setBottom(
        new VBox(
            3,
            line("Triggers", triggers),
            line("Columns", columns),
            line("Order", sort),
            line("Own field", ownField)));
    BorderPane.setMargin(middle, new javafx.geometry.Insets(4, 0, 4, 0));
    purpose.setPromptText("what it is for, in one sentence");
    purpose.setAccessibleText("Purpose");
    onType(purpose, text -> scan().meant(text));
    onType(triggers, text -> scan().withTriggers(each(text, Trigger::parse)));
    onType(columns, text -> scan().listing(scan().sort(), each(text, this::field)));
    onType(
        sort,
        text ->
            scan()
                .listing(
                    each(text, t -> List.of(SortOrder.parse(t, vocabulary))), scan().columns()));
    complete(triggers, ListCompletion.COMMA, TriggerCompletion::after);
    complete(columns, ListCompletion.COMMA, completion::fields);
    complete(sort, ListCompletion.COMMA, completion::orders);
    ownField.setPromptText("a field that you make of others: push = (price - vwap) / atr 14d");
    ownField.setTooltip(
        new Tooltip(
            "Enter makes it; without a formula behind = it goes. + - x / min max abs and brackets"));
    new CompletionPopup(ownField, new FormulaCompletion(vocabulary)::after);
    ownField.setOnAction(e -> makeField());
    workspace.shownScan().addListener((o, was, is) -> followAgain());
    workspace.focus().symbol().addListener((o, was, is) -> followAgain());
    desk.universes().addListener((ListChangeListener<Universe>) change -> showIfSeen());
    workspace.window().theme().addListener((o, was, is) -> curve.theme(is));
    curve.theme(workspace.window().theme().get());
  }

  private static void complete(
      TextField field, Pattern between, Function<String, List<RuleCompletion.Proposal>> ofPart) {
    new CompletionPopup(field, typed -> ListCompletion.after(typed, between, ofPart));
  }

  private HBox head(Runnable close) {
    name.setAccessibleText("Name of the scan");
    name.setPrefWidth(150);
    name.setOnAction(e -> rename());
    name.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                rename();
              }
            });
    universes.setAccessibleText("Universe");
    universes.setFocusTraversable(false);
    universes.setPrefWidth(110);
    universes.setTooltip(
        new Tooltip("Which securities this scan looks at; the Universe stage makes them"));
    universes.setOnAction(e -> within(universes.getValue()));
    MenuItem otherWay = item("", () -> desk.add(ScanPairs.byWay(scan())));
    MenuButton pair = new MenuButton("Pair");
    pair.setOnShowing(
        e ->
            otherWay.setText(
                scan().side() == Side.BOTH
                    ? "Two halves: up and down"
                    : "The other way: risers and fallers"));
    pair.getStyleClass().setAll("menu-button", "small-button");
    pair.setFocusTraversable(false);
    pair.setMinWidth(USE_PREF_SIZE);
    pair.getItems()
        .addAll(
            otherWay,
            item(
                "Two halves by price, at $10",
                () -> desk.add(ScanPairs.byPrice(scan(), DEFAULT_SPLIT))));
    HBox head =
        new HBox(
            6,
            name,
            universes,
            SmallButton.of(
                "Clone",
                "A copy under another name",
                () -> desk.add(List.of(scan().named(desk.freeName(scan().name()))))),
            pair,
            SmallButton.of("Save as", "Writes it to a file that anyone can open", this::share),
            SmallButton.of("Open", "Takes a scan from a file", this::open),
            SmallButton.of("Remove", "Takes it away; U brings it back", () -> desk.remove(scan())),
            SmallButton.of("Close", "E", close));
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  private static MenuItem item(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> action.run());
    return item;
  }

  private static HBox line(String words, TextField field, Label more) {
    HBox line = line(words, field);
    more.getStyleClass().addAll("small", "faded");
    more.setMinWidth(USE_PREF_SIZE);
    more.managedProperty().bind(more.textProperty().isNotEmpty());
    line.getChildren().add(more);
    return line;
  }

  private static HBox line(String words, TextField field) {
    Label label = new Label(words);
    label.getStyleClass().addAll("small", "faded");
    label.setMinWidth(52);
    field.setAccessibleText(words);
    HBox.setHgrow(field, Priority.ALWAYS);
    HBox line = new HBox(6, label, field);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private Scan scan() {
    return workspace.shownScan().get();
  }

  private void change(Scan changed) {
    if (!showing) {
      desk.change(scan(), changed);
    }
  }

  private void onType(TextField field, Function<String, Scan> change) {
    field
        .textProperty()
        .addListener(
            (o, was, is) -> {
              if (showing) {
                return;
              }
              field.getStyleClass().remove("wrong");
              try {
                change(change.apply(is));
                rules.says("");
              } catch (RefusedException e) {
                field.getStyleClass().add("wrong");
                rules.says(String.valueOf(e.getMessage()));
              }
            });
  }

  private static <T> List<T> each(String text, Function<String, List<T>> read) {
    return SentenceList.split(text, ',').stream()
        .flatMap(part -> read.apply(part).stream())
        .toList();
  }

  private List<Field> field(String words) {
    return List.of(
        vocabulary
            .find(words)
            .orElseThrow(() -> new RefusedException("no field is called \"" + words + "\"")));
  }

  private void makeField() {
    try {
      desk.makeField(ownField.getText());
      ownField.clear();
      ownField.getStyleClass().remove("wrong");
      rules.says("");
    } catch (RefusedException e) {
      ownField.getStyleClass().add("wrong");
      rules.says(String.valueOf(e.getMessage()));
    }
  }

  private void rename() {
    String wanted = name.getText().strip();
    if (showing || wanted.isEmpty() || wanted.equals(scan().name())) {
      return;
    }
    if (desk.scans().stream().anyMatch(s -> s.name().equals(wanted))) {
      rules.says("Another scan is called \"" + wanted + "\"");
      return;
    }
    desk.change(scan(), scan().named(wanted));
  }

  private void within(String wanted) {
    if (!showing && wanted != null) {
      desk.universes().stream()
          .filter(u -> u.name().equals(wanted))
          .findFirst()
          .ifPresentOrElse(
              u -> change(scan().within(u)), () -> change(scan().within(Universe.EVERYONE)));
    }
  }

  private void replaceRule(int place, Rule rule) {
    List<Rule> changed = new ArrayList<>(scan().rules());
    if (place < changed.size()) {
      changed.set(place, rule);
      change(scan().withRules(changed));
    }
  }

  private void share() {
    FileChooser chooser = chooser("Save the scan");
    chooser.setInitialFileName(scan().name().toLowerCase(Locale.ROOT).replace(' ', '-') + ".json");
    File file = chooser.showSaveDialog(getScene().getWindow());
    if (file != null) {
      workspace.window().action().set(desk.share(scan(), file.toPath()));
    }
  }

  private void open() {
    File file = chooser("Open a scan").showOpenDialog(getScene().getWindow());
    if (file != null) {
      workspace.window().action().set(desk.take(file.toPath()));
    }
  }

  /** Begins in the folder's own scans. */
  private FileChooser chooser(String title) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(title);
    Path scans = workspace.folder().resolve("scans");
    chooser.setInitialDirectory((Files.isDirectory(scans) ? scans : workspace.folder()).toFile());
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Scans", "*.json"));
    return chooser;
  }

  /** Follows what the rules do while it is seen. */
  void follow(boolean inSight) {
    boolean begins = inSight && !seen;
    seen = inSight;
    if (begins) {
      followAgain();
    } else if (!inSight) {
      followed.stop();
    }
  }

  private void followAgain() {
    if (seen && workspace.window().workedRule().get() != WindowState.NO_RULE) {
      followed.follow(
          new WorkingsView(
              scan(), workspace.window().workedRule().get(), workspace.focus().symbol().get()));
      show();
    }
  }

  private void showIfSeen() {
    if (seen) {
      show();
    }
  }

  /** Shows the scan as it is, and what its rules do now. */
  private void show() {
    showing = true;
    Scan scan = scan();
    if (shownName.equals(scan.name())) {
      rules.show(scan.rules());
    } else {
      shownName = scan.name();
      rules.showOthers(scan.rules());
    }
    set(name, scan.name());
    set(purpose, scan.purpose());
    anyOf.show(scan.anyOf());
    set(triggers, scan.triggers().stream().map(Trigger::words).collect(Collectors.joining(", ")));
    set(columns, scan.columns().stream().map(Field::words).collect(Collectors.joining(", ")));
    set(sort, scan.sort().stream().map(SortOrder::words).collect(Collectors.joining(", ")));
    List<String> names = new ArrayList<>(List.of(ScanDesk.ALL_SECURITIES));
    desk.universes().forEach(u -> names.add(u.name()));
    if (!universes.getItems().equals(names)) {
      universes.setItems(FXCollections.observableArrayList(names));
    }
    universes.setValue(
        scan.universe().name().isEmpty() ? ScanDesk.ALL_SECURITIES : scan.universe().name());
    showing = false;
    ScanWorkings newest = workings;
    if (newest != null && newest.scan().equals(scan)) {
      counts(scan, newest.counts());
      for (int i = 0; i < newest.focus().size(); i++) {
        rules.answer(i, newest.focus().get(i).value(), newest.focus().get(i).passes());
      }
      lastHeld.ask(scan);
      curve.show(scan, workspace.window().workedRule().get(), newest.curve());
      if (newest.curve() != null) {
        recordedMoves.ask(scan, newest.curve());
      }
      contradict(String.join(" ", newest.contradictions()));
    }
  }

  /** What the rules say together; what is wrong with one of them stays until it is mended. */
  private void contradict(String words) {
    if (!words.equals(contradictions)) {
      contradictions = words;
      rules.says(words);
    }
  }

  /** The groups of which any must hold are counted first, so the rules are left with them. */
  private void counts(Scan scan, List<WhyEmpty.Count> counts) {
    int groups = scan.anyOf().size();
    for (int i = 0; i < scan.rules().size() && groups + i < counts.size(); i++) {
      WhyEmpty.Count count = counts.get(groups + i);
      rules.counts(i, count.alone(), count.left());
    }
    anyOfLeft.setText(groups == 0 ? "" : counts.get(groups - 1).left() + " left");
  }

  private static void set(TextField field, String text) {
    if (!field.isFocused() && !field.getText().equals(text)) {
      field.setText(text);
      field.getStyleClass().remove("wrong");
    }
  }

  /** Begins a new rule. */
  void addRule() {
    rules.add();
  }
}
