package kelvo.desktop.review;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.WordsOf;
import kelvo.desktop.workspace.Workspace;
import kelvo.journal.HandMatch;
import kelvo.journal.JournalPage;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.journal.Subject;
import kelvo.review.DayReview;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * What the trader says of the day and of the trade or move that was chosen last: notes, tags, rules
 * kept or broken, and which move a trade was on. What is typed is kept once the typing pauses.
 */
final class JournalPanel extends BorderPane {
  private static final Duration STILL = Duration.millis(600);
  private static final int NOTE_ROWS = 3;

  private final Workspace workspace;
  private final Words ofSession;
  private final Words ofSubject;
  private final VBox rules = new VBox(2);
  private final Map<String, ComboBox<RuleKept.Answer>> answers = new LinkedHashMap<>();
  private final ComboBox<Choice> match = new ComboBox<>();
  private final HBox matching = new HBox(6);
  private final TextArea ownRules = new TextArea();
  private @Nullable ReviewedTrade trade;
  private boolean filling;

  /** A move that a trade may be matched to, or what may be said in its place. */
  private record Choice(HandMatch match, String words) {}

  JournalPanel(Workspace workspace, ExportPanel export) {
    this.workspace = workspace;
    ofSession = new Words("session");
    ofSubject = new Words("chosen");
    ofSession.about(Subject.SESSION, "The session of " + workspace.day());
    match.setConverter(new WordsOf<>(Choice::words));
    match.setAccessibleText("Which move the trade was on");
    match.setOnAction(
        e -> {
          Choice chosen = match.getValue();
          if (!filling && chosen != null) {
            workspace.trader().match(chosen.match());
            workspace.refreshReview();
          }
        });
    Label was = new Label("this trade was");
    was.getStyleClass().addAll("small", "faded");
    was.setMinWidth(USE_PREF_SIZE);
    matching.setAlignment(Pos.CENTER_LEFT);
    matching.getChildren().addAll(was, match);
    ownRules.setId("own-rules");
    ownRules.setPrefRowCount(NOTE_ROWS);
    ownRules.getStyleClass().add("note");
    ownRules.setPromptText("A rule a line");
    ownRules.addEventHandler(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            edit();
          }
        });
    ownRules.setVisible(false);
    ownRules.managedProperty().bind(ownRules.visibleProperty());
    rules.visibleProperty().bind(ownRules.visibleProperty().not());
    rules.managedProperty().bind(rules.visibleProperty());
    VBox left =
        new VBox(
            6,
            ofSession,
            rules,
            ownRules,
            SmallButton.inTabOrder("Change the rules", "", this::edit));
    VBox right = new VBox(6, ofSubject, matching);
    for (VBox side : List.of(left, right)) {
      side.getStyleClass().addAll("card", "part");
      side.setMinWidth(0);
    }
    ScrollPane scrolled = new ScrollPane(left);
    scrolled.setFitToWidth(true);
    SplitPane both = new SplitPane(scrolled, right);
    setCenter(both);
    setBottom(export);
    workspace.book().addListener((o, before, now) -> show(now.page()));
    show(workspace.book().get().page());
    about();
  }

  /** A note and its tags, of one thing. */
  private final class Words extends VBox {
    private final Label title = new Label();
    private final TextArea text = new TextArea();
    private final TextField tags = new TextField();
    private final PauseTransition still = new PauseTransition(STILL);
    private @Nullable Subject subject;
    private boolean showing;

    Words(String id) {
      super(4);
      title.getStyleClass().add("strong");
      text.setId("note-" + id);
      text.setPrefRowCount(NOTE_ROWS);
      text.setWrapText(true);
      text.getStyleClass().add("note");
      text.setPromptText("A note, in your own words");
      tags.setId("tags-" + id);
      tags.setPromptText("tags, with commas between them");
      getChildren().addAll(title, text, tags);
      text.textProperty().addListener((o, was, is) -> typed());
      tags.textProperty().addListener((o, was, is) -> typed());
      // A tab leads on to the tags, and nothing that is written here needs one.
      text.addEventFilter(
          KeyEvent.KEY_PRESSED,
          e -> {
            if (e.getCode() == KeyCode.TAB) {
              e.consume();
              (e.isShiftDown() ? text : tags).requestFocus();
            }
          });
      addEventHandler(
          KeyEvent.KEY_PRESSED,
          e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
              e.consume();
              keep();
              JournalPanel.this.requestFocus();
            }
          });
      still.setOnFinished(e -> keep());
      workspace.end().onClose(this::keep);
    }

    private void typed() {
      if (!showing) {
        still.playFromStart();
      }
    }

    /** Keeps what was typed. */
    void keep() {
      still.stop();
      Subject about = subject;
      if (about != null) {
        workspace
            .trader()
            .say(
                new Remark(
                    about, text.getText().strip(), Arrays.asList(tags.getText().split(","))));
      }
    }

    void about(@Nullable Subject other, String words) {
      keep();
      subject = other;
      title.setText(words);
      text.setDisable(other == null);
      tags.setDisable(other == null);
      show(workspace.book().get().page());
    }

    /** Shows what is kept, unless the trader is writing something else. */
    void show(JournalPage page) {
      if (still.getStatus() == Animation.Status.RUNNING) {
        return;
      }
      Subject about = subject;
      Remark said = about == null ? Remark.none(Subject.SESSION) : page.on(about);
      showing = true;
      if (!text.getText().strip().equals(said.text())) {
        text.setText(said.text());
      }
      List<String> typed =
          Arrays.stream(tags.getText().split(","))
              .map(String::strip)
              .filter(tag -> !tag.isEmpty())
              .toList();
      if (!typed.equals(said.tags())) {
        tags.setText(String.join(", ", said.tags()));
      }
      showing = false;
    }
  }

  /** Lets something be written about the trade or move that was chosen, else about the session. */
  void write() {
    // What has just come into sight takes the focus only once it has been laid out.
    applyCss();
    layout();
    (ofSubject.subject == null ? ofSession : ofSubject).text.requestFocus();
  }

  /** Asks for a trade from now on. */
  void about(ReviewedTrade reviewed) {
    trade = reviewed;
    String at =
        reviewed.trade().entryAt() < 0
            ? "held overnight"
            : DayTime.seconds(reviewed.trade().entryAt());
    ofSubject.about(
        reviewed.subject(),
        reviewed.trade().symbol() + " " + reviewed.trade().side().word() + ", " + at);
    offer();
  }

  /** Asks for a move from now on. */
  void about(ReviewedMove reviewed) {
    trade = null;
    ofSubject.about(
        reviewed.subject(),
        "the move of "
            + reviewed.move().symbol()
            + " at "
            + DayTime.seconds(reviewed.move().start()));
    offer();
  }

  private void about() {
    ofSubject.about(null, "Choose a trade or a move to write about it.");
    offer();
  }

  /** The moves that the trade may have been on. */
  private void offer() {
    ReviewedTrade asked = trade;
    DayReview review = workspace.review().review().get();
    matching.setVisible(asked != null && review != null);
    matching.setManaged(matching.isVisible());
    if (asked == null || review == null) {
      return;
    }
    Subject subject = asked.subject();
    List<Choice> choices = new ArrayList<>();
    choices.add(new Choice(new HandMatch(subject, HandMatch.Says.AS_FOUND, 0), "as Kelvo finds"));
    choices.add(new Choice(new HandMatch(subject, HandMatch.Says.OFF_PLAN, 0), "on no hit"));
    for (ReviewedMove move : asked.possibleMoves(review)) {
      choices.add(
          new Choice(
              new HandMatch(subject, HandMatch.Says.THIS_MOVE, move.move().start()),
              "the move of "
                  + DayTime.minutes(move.move().start())
                  + ", "
                  + move.move().scans().getFirst()));
    }
    HandMatch said =
        workspace
            .book()
            .get()
            .page()
            .matchOf(subject)
            .orElse(new HandMatch(subject, HandMatch.Says.AS_FOUND, 0));
    filling = true;
    match.getItems().setAll(choices);
    match.setValue(
        choices.stream()
            .filter(choice -> choice.match().equals(said))
            .findFirst()
            .orElse(choices.getFirst()));
    filling = false;
  }

  /** Lets the rules be written, a line each, or keeps what was written. */
  private void edit() {
    if (ownRules.isVisible()) {
      workspace
          .desk()
          .askAbout(
              ownRules.getText().lines().map(String::strip).filter(r -> !r.isEmpty()).toList());
      show(workspace.book().get().page());
    } else {
      ownRules.setText(String.join("\n", workspace.desk().ownRules().get()));
    }
    ownRules.setVisible(!ownRules.isVisible());
    if (ownRules.isVisible()) {
      ownRules.requestFocus();
    }
  }

  private void show(JournalPage page) {
    ofSession.show(page);
    ofSubject.show(page);
    offer();
    List<String> asked = new ArrayList<>(workspace.desk().ownRules().get());
    page.rules().stream()
        .map(RuleKept::rule)
        .filter(rule -> !asked.contains(rule))
        .forEach(asked::add);
    // The answers stay the same controls as long as they can, so that the keys stay with them.
    if (!List.copyOf(answers.keySet()).equals(asked)) {
      answers.clear();
      rules.getChildren().setAll(asked.stream().map(this::rule).toList());
    }
    filling = true;
    answers.forEach((rule, answer) -> answer.setValue(page.answerTo(rule)));
    filling = false;
  }

  private HBox rule(String rule) {
    Label words = new Label(rule);
    words.getStyleClass().add("small");
    words.setMinWidth(0);
    ComboBox<RuleKept.Answer> answer = new ComboBox<>();
    answer.getItems().setAll(RuleKept.Answer.values());
    answer.setConverter(
        new WordsOf<>(
            one -> one == RuleKept.Answer.OPEN ? "" : one.name().toLowerCase(Locale.ROOT)));
    answer.setAccessibleText(rule);
    answer.setOnAction(
        e -> {
          if (!filling) {
            workspace.trader().say(new RuleKept(rule, answer.getValue()));
          }
        });
    answers.put(rule, answer);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox line = new HBox(6, words, space, answer);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }
}
