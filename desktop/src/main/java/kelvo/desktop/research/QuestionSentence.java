package kelvo.desktop.research;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.collections.ListChangeListener;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import kelvo.desktop.workspace.Workspace;
import kelvo.research.CaseMoment;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/** The question as a sentence whose words can be changed. */
final class QuestionSentence extends FlowPane {
  private static final String LONG = "buys";
  private static final String SHORT = "sells short";
  private static final String ALL = "all sessions";

  private final Workspace workspace;
  private final Runnable onChange;
  private final ComboBox<String> scan = new ComboBox<>();
  private final ComboBox<String> moment = new ComboBox<>();
  private final ComboBox<String> sessions = new ComboBox<>();
  private final ComboBox<String> side = new ComboBox<>();
  private final ComboBox<String> until = new ComboBox<>();
  private final Map<String, Supplier<CaseMoment>> moments = new LinkedHashMap<>();
  private final Map<String, Integer> lasts = new LinkedHashMap<>();
  private boolean filling;

  /** The first of the window's scans, each security's first hit, all sessions, long, the close. */
  QuestionSentence(Workspace workspace, Runnable onChange) {
    super(6, 6);
    this.workspace = workspace;
    this.onChange = onChange;
    setId("question");
    getStyleClass().addAll("card", "part");
    moments.put("first hits", () -> new CaseMoment.FirstHit(DayTime.FIRST));
    moments.put("first hits after 09:45", () -> new CaseMoment.FirstHit(DayTime.of(9, 45)));
    moments.put(
        "begins a move with a hit",
        () -> new CaseMoment.EveryMove(workspace.review().settings().moveGap()));
    moments.put("matches at the open", () -> CaseMoment.At.OPEN);
    moments.put("matches at 10:30", () -> new CaseMoment.At(DayTime.of(10, 30)));
    moments.put("matches at the close", () -> new CaseMoment.At(SessionHours.USUAL_CLOSE));
    lasts.put(ALL, Integer.MAX_VALUE);
    lasts.put("the last 20 sessions", 20);
    lasts.put("the last 60 sessions", 60);
    choice(moment, List.copyOf(moments.keySet()), "When a find becomes a case");
    choice(sessions, List.copyOf(lasts.keySet()), "Which sessions are asked");
    choice(side, List.of(LONG, SHORT), "Whether one buys or sells short");
    choice(
        until,
        Arrays.stream(Held.values()).map(Held::phrase).toList(),
        "Until when a case is held");
    until.setValue(Held.CLOSE.phrase());
    choice(scan, names(), "The scan whose finds are asked about");
    workspace.desk().scans().addListener((ListChangeListener<Scan>) change -> offerScans());
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
            new Label(":"));
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

  /** Asks about another scan. */
  void ask(String name) {
    scan.setValue(name);
  }

  /** The question; null while there is no scan. */
  @Nullable Question question() {
    String name = scan.getValue();
    Supplier<CaseMoment> when = moments.get(moment.getValue());
    if (when == null) {
      return null;
    }
    return workspace.desk().scans().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .map(one -> new Question(one, when.get(), direction(), costs()))
        .orElse(null);
  }

  private int direction() {
    return side.getValue().equals(LONG) ? 1 : -1;
  }

  private Question.Costs costs() {
    return new Question.Costs(workspace.review().settings().fees(), Question.Costs.USUAL_POSITION);
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
