package kelvo.desktop.research;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Workspace;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.KeptQuestion;
import kelvo.research.Question;
import kelvo.scan.Scan;
import org.jspecify.annotations.Nullable;

/** The question as a sentence whose words can be changed. */
final class QuestionSentence extends FlowPane {
  private static final String ALL = "all sessions";
  private static final String NOTHING = "nothing";
  private static final double NAME_WIDTH = 150;

  private final Workspace workspace;
  private final Runnable onChange;
  private final ComboBox<String> scan = new ComboBox<>();
  private final ComboBox<String> moment = new ComboBox<>();
  private final ComboBox<String> sessions = new ComboBox<>();
  private final ComboBox<String> side = new ComboBox<>();
  private final ComboBox<String> until = new ComboBox<>();
  private final ComboBox<String> kept = new ComboBox<>();
  private final ComboBox<String> beside = new ComboBox<>();
  private final Map<String, When> moments = new LinkedHashMap<>();
  private final Map<String, Integer> lasts = new LinkedHashMap<>();
  private boolean filling;

  /** A moment in the words of files. */
  private record When(String when, String after) {}

  /** The first of the window's scans, each security's first hit, all sessions, long, the close. */
  QuestionSentence(Workspace workspace, Runnable onChange) {
    super(6, 6);
    this.workspace = workspace;
    this.onChange = onChange;
    setId("question");
    getStyleClass().addAll("card", "part");
    moments.put("first hits", new When("hit", ""));
    moments.put("first hits after 09:45", new When("hit", "09:45"));
    moments.put("begins a move with a hit", new When("move", ""));
    moments.put("matches at the open", new When("open", ""));
    moments.put("matches at 10:30", new When("10:30", ""));
    moments.put("matches at the close", new When("close", ""));
    lasts.put(ALL, Integer.MAX_VALUE);
    lasts.put("the last 20 sessions", 20);
    lasts.put("the last 60 sessions", 60);
    choice(moment, List.copyOf(moments.keySet()), "When a find becomes a case");
    choice(sessions, List.copyOf(lasts.keySet()), "Which sessions are asked");
    choice(
        side,
        List.of(Direction.LONG.phrase(), Direction.SHORT.phrase()),
        "Whether one buys or sells short");
    choice(
        until,
        Arrays.stream(Held.values()).map(Held::phrase).toList(),
        "Until when a case is held");
    until.setValue(Held.CLOSE.phrase());
    choice(scan, names(), "The scan whose finds are asked about");
    workspace.desk().scans().addListener((ListChangeListener<Scan>) change -> offerScans());
    workspace.research().scanWanted().addListener((o, was, is) -> want(is));
    getChildren()
        .addAll(
            new Label("When"),
            scan,
            moment,
            new Label("in"),
            sessions,
            new Label("before this one, and one"),
            side,
            new Label("at the next print, until"),
            until,
            new Label(":"),
            keeping());
  }

  /** The questions that are kept by name, and the one that this is held against. */
  private HBox keeping() {
    kept.setId("kept-questions");
    kept.setEditable(true);
    kept.setPromptText("a name for it");
    kept.setAccessibleText("The questions that are kept, by name");
    kept.setPrefWidth(NAME_WIDTH);
    beside.setId("beside-question");
    beside.setAccessibleText("The kept question that this one is held against");
    beside.setPrefWidth(NAME_WIDTH);
    offerKept();
    workspace.desk().questions().addListener((o, was, is) -> offerKept());
    kept.setOnAction(e -> find(kept.getValue()).ifPresent(this::show));
    beside.setOnAction(
        e -> {
          if (!filling) {
            onChange.run();
          }
        });
    Label before = new Label("Kept as");
    Label against = new Label("beside");
    List.of(before, against).forEach(label -> label.getStyleClass().addAll("small", "faded"));
    HBox row =
        new HBox(
            6,
            before,
            kept,
            SmallButton.of("Keep", "Under this name, in questions.json", this::keep),
            SmallButton.of("Forget", "The kept question of this name", this::forget),
            against,
            beside);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void offerKept() {
    String chosen = kept.getEditor().getText();
    String against = beside.getValue();
    List<String> names =
        workspace.desk().questions().get().stream().map(KeptQuestion::name).toList();
    filling = true;
    kept.getItems().setAll(names);
    kept.getEditor().setText(chosen);
    beside.getItems().setAll(NOTHING);
    beside.getItems().addAll(names);
    beside.setValue(against != null && names.contains(against) ? against : NOTHING);
    filling = false;
  }

  private Optional<KeptQuestion> find(@Nullable String name) {
    return workspace.desk().questions().get().stream()
        .filter(one -> one.name().equals(name))
        .findFirst();
  }

  private void keep() {
    String name = kept.getEditor().getText().strip();
    When when = moments.get(moment.getValue());
    if (name.isEmpty() || scan.getValue() == null || when == null) {
      workspace.window().action().set("Type a name to keep the question under");
      return;
    }
    List<KeptQuestion> all = new ArrayList<>(workspace.desk().questions().get());
    all.removeIf(one -> one.name().equals(name));
    int newest = last() == Integer.MAX_VALUE ? 0 : last();
    all.add(
        new KeptQuestion(
            name, scan.getValue(), when.when(), when.after(), newest, direction(), held()));
    workspace.desk().keepQuestions(all);
    workspace.window().action().set("Kept the question \"" + name + "\"");
  }

  private void forget() {
    String name = kept.getEditor().getText().strip();
    List<KeptQuestion> all = new ArrayList<>(workspace.desk().questions().get());
    if (all.removeIf(one -> one.name().equals(name))) {
      workspace.desk().keepQuestions(all);
      kept.getEditor().clear();
      workspace.window().action().set("Forgot the question \"" + name + "\"");
      // It may have been the one beside this.
      onChange.run();
    }
  }

  /** Asks a kept question. */
  private void show(KeptQuestion one) {
    if (filling) {
      return;
    }
    filling = true;
    if (scan.getItems().contains(one.scan())) {
      scan.setValue(one.scan());
    } else {
      workspace.window().action().set("There is no scan \"" + one.scan() + "\" any more");
    }
    moment.setValue(labelOf(new When(one.when(), one.after())));
    sessions.setValue(labelOf(one.last()));
    side.setValue(one.direction().phrase());
    until.setValue(one.until().phrase());
    filling = false;
    onChange.run();
  }

  /** The words of a moment; one that a file names is offered from now on. */
  private String labelOf(When when) {
    for (Map.Entry<String, When> known : moments.entrySet()) {
      if (known.getValue().equals(when)) {
        return known.getKey();
      }
    }
    String label =
        when.when().equals("hit")
            ? "first hits after " + when.after()
            : "matches at " + when.when();
    moments.put(label, when);
    moment.getItems().add(label);
    return label;
  }

  private String labelOf(int last) {
    int wanted = last == 0 ? Integer.MAX_VALUE : last;
    for (Map.Entry<String, Integer> known : lasts.entrySet()) {
      if (known.getValue() == wanted) {
        return known.getKey();
      }
    }
    String label = "the last " + last + " sessions";
    lasts.put(label, last);
    sessions.getItems().add(label);
    return label;
  }

  /** The kept question that this one is held against; null for none. */
  @Nullable KeptQuestion beside() {
    return find(beside.getValue()).orElse(null);
  }

  /** A kept question with the scan as it is now; null when there is none of its name. */
  @Nullable Question of(KeptQuestion one) {
    return question(one.scan(), new When(one.when(), one.after()), one.direction());
  }

  private void choice(ComboBox<String> box, List<String> items, String what) {
    box.getItems().setAll(items);
    if (!items.isEmpty()) {
      box.setValue(items.getFirst());
    }
    box.setAccessibleText(what);
    box.setOnAction(
        e -> {
          if (!filling) {
            // It is the kept question no more, which can be chosen again.
            kept.setValue(null);
            onChange.run();
          }
        });
  }

  private List<String> names() {
    return workspace.desk().scans().stream().map(Scan::name).toList();
  }

  /** The scan that is chosen stays while there is one of its name. */
  private void offerScans() {
    String before = scan.getValue();
    List<String> names = names();
    filling = true;
    scan.getItems().setAll(names);
    scan.setValue(names.contains(before) ? before : names.isEmpty() ? null : names.getFirst());
    filling = false;
    onChange.run();
  }

  /** Asks about another scan: what came of buying at its first hits. */
  private void want(String name) {
    if (scan.getItems().contains(name)) {
      filling = true;
      scan.setValue(name);
      moment.setValue(moment.getItems().getFirst());
      side.setValue(Direction.LONG.phrase());
      until.setValue(Held.HALF_HOUR.phrase());
      filling = false;
      onChange.run();
    }
  }

  /** The question; null while there is no scan. */
  @Nullable Question question() {
    When when = moments.get(moment.getValue());
    return when == null ? null : question(scan.getValue(), when, direction());
  }

  private @Nullable Question question(@Nullable String name, When when, Direction way) {
    CaseMoment then =
        CaseMoment.of(when.when(), when.after(), workspace.review().settings().moveGap());
    return workspace.desk().scans().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .map(one -> workspace.research().question(one, then, way))
        .orElse(null);
  }

  private Direction direction() {
    return side.getValue().equals(Direction.LONG.phrase()) ? Direction.LONG : Direction.SHORT;
  }

  /** How many of the newest sessions are asked. */
  int last() {
    return lasts.getOrDefault(sessions.getValue(), Integer.MAX_VALUE);
  }

  /** Until when a case is held. */
  Held held() {
    return Held.values()[Math.max(0, until.getSelectionModel().getSelectedIndex())];
  }
}
