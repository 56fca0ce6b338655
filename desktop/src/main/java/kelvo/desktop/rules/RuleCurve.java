package kelvo.desktop.rules;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Theme;
import kelvo.explain.CutCurve;
import kelvo.research.MovesBeyond;
import kelvo.rule.Amounts;
import kelvo.rule.Bound;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import org.jspecify.annotations.Nullable;

/** The cut curve of the rule that is being worked on, with its schedule under it. */
public final class RuleCurve extends BorderPane {
  /** Takes a rule in place of the one at a place. */
  @FunctionalInterface
  public interface Change {
    void replace(int place, Rule rule);
  }

  private static final int AS_NOW = -1;
  private static final double MOVED_LINES = 44;

  private final CutCurveView view = new CutCurveView(this::drag);
  private final PhaseBounds schedule;
  private final Label title = new Label();
  private final Label moved = new Label();
  private final Change change;
  private List<Rule> rules = List.of();
  private int place;
  private int step = AS_NOW;
  private int stepNow;

  /** An empty curve; {@code change} takes the rule as it is dragged. */
  public RuleCurve(Phases phases, Change change) {
    this.change = change;
    schedule = new PhaseBounds(phases, rule -> change.replace(place, rule), this::drags);
    title.getStyleClass().add("small");
    title.setMinWidth(0);
    setTop(title);
    setCenter(view);
    moved.getStyleClass().addAll("small", "faded");
    moved.setWrapText(true);
    moved.setMinHeight(MOVED_LINES);
    moved.setTooltip(
        new Tooltip(
            "The dashed curve: the median move from this time of day to the close, in recorded sessions, of those that fitted all other rules and lay beyond the bound"));
    setBottom(new VBox(moved, schedule));
  }

  /** Shows how those beyond the bound moved in recorded sessions, or why that is not known. */
  public void moves(@Nullable MovesBeyond moves, String otherwise) {
    view.moves(moves);
    moved.setText(moves == null ? otherwise : words(moves));
  }

  private String words(MovesBeyond moves) {
    int place = moves.placeOf(moves.bound());
    String sessions =
        moves.sessions() == 1
            ? " in one recorded session"
            : " in " + moves.sessions() + " recorded sessions";
    if (moves.counts()[place] == 0) {
      return "Nobody lay beyond the bound" + sessions;
    }
    String who = moves.counts()[place] + " beyond the bound" + sessions;
    return Double.isNaN(moves.medians()[place])
        ? who + ": too few to say how they moved"
        : "Median "
            + Numbers.percent(moves.medians()[place])
            + " from "
            + DayTime.minutes(moves.moment())
            + " to the close, "
            + who;
  }

  /** Uses another theme. */
  public void theme(Theme theme) {
    view.theme(theme);
  }

  /** Shows the curve of one of a scan's rules. */
  public void show(Scan scan, int rule, @Nullable CutCurve curve) {
    if (rule != place) {
      step = AS_NOW;
    }
    place = rule;
    rules = scan.rules();
    boolean known = rule >= 0 && rule < rules.size();
    title.setText(known ? "Left at every bound: drag it" : "");
    schedule.setVisible(curve != null);
    if (curve == null || !known || curve.rule() != rule) {
      view.show(
          null, known ? "This rule has no bound to drag now." : "Choose a rule to see its curve.");
      return;
    }
    stepNow = curve.step();
    if (step >= rules.get(rule).steps().size()) {
      step = AS_NOW;
    }
    schedule.show(rules.get(rule), dragged());
    view.show(curve, "");
  }

  private int dragged() {
    return step == AS_NOW ? stepNow : step;
  }

  private void drags(int chosen) {
    step = chosen;
    schedule.show(rules.get(place), chosen);
  }

  private void drag(double low, double high) {
    Rule rule = rules.get(place);
    change.replace(place, rule.withBound(dragged(), bound(rule, low, high)));
  }

  private Bound bound(Rule rule, double low, double high) {
    if (rule.steps().get(dragged()).bound() instanceof Bound.Range) {
      double from = value(rule, Math.min(low, high));
      double to = Math.max(from, value(rule, high));
      return new Bound.Range(from, to, words(rule, from) + " and " + words(rule, to));
    }
    double value = low > Double.NEGATIVE_INFINITY ? low : high;
    return new Bound.Amount(value(rule, value), words(rule, value));
  }

  private static String words(Rule rule, double value) {
    return Amounts.words(value, rule.field().unit());
  }

  /** The number that the words of a bound stand for, since they are rounded. */
  private static double value(Rule rule, double value) {
    return Amounts.parse(words(rule, value).toLowerCase(Locale.ROOT), rule.field().unit())
        .orElse(value);
  }
}
