package kelvo.desktop.review;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.animation.PauseTransition;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.rules.AnyOfField;
import kelvo.desktop.rules.RulesEditor;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.WordsOf;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.review.DayReview;
import kelvo.review.ReviewSettings;
import kelvo.review.WhatIf;
import kelvo.rule.RuleCompletion;
import kelvo.rule.SessionWords;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import org.jspecify.annotations.Nullable;

/**
 * Changes a scan's rules beside the day: what would have come, gone, come earlier or later. The
 * scan itself stays as it is until the change is kept.
 */
final class WhatIfPanel extends BorderPane {
  private static final Duration STILL = Duration.millis(500);
  private static final double RULES_WIDTH = 214;

  private final Workspace workspace;
  private final ComboBox<String> choice = new ComboBox<>();
  private final ComboBox<Over> over = new ComboBox<>();
  private final RulesEditor rules;
  private final AnyOfField anyOf;
  private final Grid<WhatIf.Line> table = new Grid<>("What if", WhatIf.Line::name);
  private final Label words = new Label();
  private final Playing playing;
  private final Button keep = SmallButton.of("Keep the change", "K", this::keep);
  private final Button back = SmallButton.of("Take it back", "", this::takeBack);
  private final PauseTransition still = new PauseTransition(STILL);
  private @Nullable Scan was;
  private @Nullable Scan changed;
  private @Nullable Before before;

  /** Over which sessions a change is tried, counted back from the one that is open. */
  private enum Over {
    DAY("this session", 1),
    FIVE("the last 5", 5),
    TWENTY("the last 20", 20),
    ALL("all", Integer.MAX_VALUE);

    private final String words;
    private final int sessions;

    Over(String words, int sessions) {
      this.words = words;
      this.sessions = sessions;
    }

    private String words() {
      return words;
    }

    /** The sessions before the one that is open, of which the newest come first. */
    private List<LocalDate> before(List<LocalDate> recorded) {
      return recorded.subList(0, Math.min(sessions - 1, recorded.size())).reversed();
    }
  }

  /** The scan as it was has been played; it is not played again for another change. */
  private record Before(
      Scan scan, long moment, DayBook book, ReviewSettings settings, DayReview review) {
    boolean isOf(Scan asked, long now, DayBook known, ReviewSettings by) {
      return scan.equals(asked) && moment == now && book.equals(known) && settings.equals(by);
    }
  }

  private record Answer(Before before, List<WhatIf.Line> lines, String words) {}

  WhatIfPanel(Workspace workspace) {
    this.workspace = workspace;
    playing = new Playing(workspace, "asking what if");
    Vocabulary vocabulary = workspace.desk().vocabulary();
    RuleCompletion completion =
        new RuleCompletion(vocabulary, new SessionWords(workspace.session()));
    rules =
        RulesEditor.alone(vocabulary, completion, others -> typed(scan -> scan.withRules(others)));
    anyOf =
        new AnyOfField(
            vocabulary, completion, groups -> typed(scan -> scan.withAnyOf(groups)), rules::says);
    choice.setAccessibleText("The scan that is changed");
    choice.setOnAction(e -> choose());
    still.setOnFinished(e -> play());
    workspace.end().onClose(still::stop);
    words.getStyleClass().addAll("small", "part");
    words.setWrapText(true);
    over.getItems().setAll(Over.values());
    over.setValue(Over.DAY);
    over.setConverter(new WordsOf<>(Over::words));
    over.setAccessibleText("Over which sessions");
    over.setOnAction(e -> play());
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox head = new HBox(6, choice, over, playing, space, keep, back);
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().addAll("card", "part");
    setTop(head);
    Label orOne = new Label("Any of");
    orOne.getStyleClass().addAll("small", "faded");
    VBox both = new VBox(2, rules, orOne, anyOf);
    both.getStyleClass().addAll("card", "part");
    ScrollPane typed = new ScrollPane(both);
    typed.setFitToWidth(true);
    typed.setPrefWidth(RULES_WIDTH);
    setLeft(typed);
    table.columns(WhatIfColumns.ALL);
    table.emptyText("Change a rule: the session is played with it.");
    setCenter(table);
    setBottom(words);
    workspace.desk().scans().addListener((ListChangeListener<Scan>) change -> name());
    name();
  }

  /** Names the scans; the one that is chosen may have been changed elsewhere. */
  private void name() {
    List<String> names = workspace.desk().scans().stream().map(Scan::name).toList();
    if (!choice.getItems().equals(names)) {
      choice.getItems().setAll(names);
    }
    Scan known = was;
    if (known == null || !workspace.desk().scans().contains(known)) {
      String name = known == null ? workspace.shownScan().get().name() : known.name();
      choice.setValue(names.contains(name) ? name : names.isEmpty() ? null : names.getFirst());
      choose();
    }
  }

  private void choose() {
    workspace.desk().scans().stream()
        .filter(scan -> scan.name().equals(choice.getValue()))
        .findFirst()
        .filter(scan -> !scan.equals(was))
        .ifPresent(scan -> begin(scan, scan));
  }

  private void begin(Scan scan, Scan other) {
    was = scan;
    changed = other;
    rules.showOthers(other.rules());
    anyOf.showOthers(other.anyOf());
    playing.stop();
    table.rows(List.of());
    words.setText("");
    offer();
  }

  /** Tries a scan that was changed elsewhere. */
  void attempt(Scan scan, Scan other) {
    choice.setValue(scan.name());
    begin(scan, other);
    play();
  }

  private void typed(UnaryOperator<Scan> change) {
    Scan known = changed;
    if (known != null) {
      changed = change.apply(known);
      offer();
      still.playFromStart();
    }
  }

  private void offer() {
    boolean differs = was != null && !was.equals(changed);
    keep.setDisable(!differs);
    back.setDisable(!differs);
  }

  private void play() {
    Scan scan = was;
    Scan other = changed;
    if (scan == null || other == null) {
      return;
    }
    long moment = workspace.clock().now();
    DayBook book = workspace.book().get();
    ReviewSettings settings = workspace.review().settings();
    Before known = before != null && before.isOf(scan, moment, book, settings) ? before : null;
    Over asked = over.getValue();
    playing.ask(
        progress ->
            answer(
                scan,
                other,
                book,
                settings,
                moment,
                known,
                asked.before(workspace.earlier().dates()),
                progress),
        this::show);
  }

  private Answer answer(
      Scan scan,
      Scan other,
      DayBook book,
      ReviewSettings settings,
      long moment,
      @Nullable Before known,
      List<LocalDate> earlier,
      Progress all) {
    var session = workspace.session();
    // The session that is open counts as far as it has come, the others to their ends.
    Progress progress = all.within(0, 1.0 / (1 + earlier.size()));
    double share = known == null ? 0.5 : 0;
    Before asItWas =
        known != null
            ? known
            : new Before(
                scan,
                moment,
                book,
                settings,
                WhatIf.alone(session, scan, book, settings, moment, progress.within(0, share)));
    DayReview after =
        WhatIf.alone(
            session, other.named(scan.name()), book, settings, moment, progress.within(share, 1));
    List<WhatIf> sessions =
        new ArrayList<>(
            workspace
                .past()
                .whatIfs(
                    earlier, scan, other, settings, all.within(1.0 / (1 + earlier.size()), 1)));
    sessions.add(WhatIf.between(session, scan, asItWas.review(), after));
    WhatIf whatIf = WhatIf.together(sessions);
    return new Answer(asItWas, whatIf.lines(), whatIf.words());
  }

  private void show(Answer answer) {
    before = answer.before();
    table.rows(answer.lines());
    words.setText(answer.words());
  }

  /** The changed scan takes the place of the one that was. */
  void keep() {
    Scan scan = was;
    Scan other = changed;
    if (scan != null && other != null && !scan.equals(other)) {
      was = other;
      workspace.desk().change(scan, other);
      offer();
    }
  }

  private void takeBack() {
    Scan scan = was;
    if (scan != null) {
      begin(scan, scan);
    }
  }

  void theme() {
    table.theme(workspace.window().theme().get());
  }
}
