package kelvo.desktop.morning;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.journal.Decision;
import kelvo.level.LevelKind;
import kelvo.refusal.RefusedException;
import kelvo.scan.Side;
import kelvo.setting.SettingCatalogue;
import kelvo.tape.Price;
import kelvo.view.QuoteView;
import org.jspecify.annotations.Nullable;

/**
 * The plan of the symbol in focus by keyboard: S turns its side, B takes the next bucket, N asks
 * for a line of plan, T for a level.
 */
final class PlanKeys {
  private static final String YES = "yes";

  private final Workspace workspace;
  private final ReasonBar bar;
  private final Runnable closed;

  /** The symbol that was just kept, while the table has gone on to the next one. */
  private @Nullable String kept;

  PlanKeys(Workspace workspace, ReasonBar bar, Runnable closed) {
    this.workspace = workspace;
    this.bar = bar;
    this.closed = closed;
  }

  /** From now on the plan is of a symbol, wherever the focus goes by itself; null for the focus. */
  void of(@Nullable String symbol) {
    kept = symbol;
  }

  /** The symbol that the keys act on. */
  String symbol() {
    return kept == null ? workspace.focus().symbol().get() : kept;
  }

  /** Takes a key; returns whether it was one of the plan. */
  boolean key(KeyCode code) {
    String symbol = symbol();
    switch (code) {
      case S, B, N -> plan(code, symbol);
      case T -> askForLevel(symbol);
      default -> {
        return false;
      }
    }
    return true;
  }

  private void plan(KeyCode code, String symbol) {
    Optional<Decision> decided = workspace.book().get().decisionOn(symbol, workspace.clock().now());
    if (decided.isEmpty()) {
      workspace.window().action().set("Decide on " + symbol + " first: K keeps it, W watches it");
      return;
    }
    Decision d = decided.get();
    switch (code) {
      case S ->
          workspace
              .trader()
              .plan(symbol, d.side() == Side.UP ? Side.DOWN : Side.UP, d.bucket(), d.plan());
      case B -> workspace.trader().plan(symbol, d.side(), nextBucket(d.bucket()), d.plan());
      default ->
          bar.ask(
              "Plan for " + symbol + ":",
              List.of(),
              text -> workspace.trader().plan(symbol, d.side(), d.bucket(), text),
              closed);
    }
  }

  private static String nextBucket(String bucket) {
    return Decision.BUCKETS.get((Decision.BUCKETS.indexOf(bucket) + 1) % Decision.BUCKETS.size());
  }

  private void askForLevel(String symbol) {
    if (symbol.isEmpty()) {
      workspace.window().action().set("No symbol in focus: J takes the first");
      return;
    }
    bar.ask(
        "Level on " + symbol + ", such as 8.20 or stop 7.80:",
        List.of(),
        text -> setLevel(symbol, text),
        closed);
  }

  /** Sets a level; one that is far from the price is asked about first. */
  private void setNear(QuoteView.Quote quote, long level, LevelKind kind) {
    String symbol = quote.facts().symbol();
    double away = 100.0 * (level - quote.price()) / quote.price();
    if (quote.price() == Price.NONE || Math.abs(away) <= farPercent()) {
      workspace.trader().addLevel(symbol, level, kind);
      return;
    }
    bar.ask(
        symbol
            + ": "
            + Price.text(level)
            + " is "
            + Math.round(Math.abs(away))
            + (away > 0 ? "% above " : "% below ")
            + Price.text(quote.price())
            + ". Set it?",
        List.of(YES, "no"),
        answer -> {
          if (answer.equalsIgnoreCase(YES)) {
            workspace.trader().addLevel(symbol, level, kind);
          } else {
            workspace.window().action().set("No level was set on " + symbol);
          }
        },
        closed);
  }

  /** Per cent from the price beyond which a level may be a slip of the hand. */
  private double farPercent() {
    return workspace.settings().now().number(SettingCatalogue.FAR_LEVEL);
  }

  private void setLevel(String symbol, String text) {
    int space = text.lastIndexOf(' ');
    String named = text.substring(0, Math.max(0, space)).strip().toLowerCase(Locale.ROOT);
    for (LevelKind kind : LevelKind.values()) {
      if (kind.words().equals(named) || (named.isEmpty() && kind == LevelKind.BY_HAND)) {
        setLevel(symbol, kind, text.substring(space + 1));
        return;
      }
    }
    workspace
        .window()
        .action()
        .set("No level is called \"" + named + "\"; there are stop, target, by hand");
  }

  private void setLevel(String symbol, LevelKind kind, String price) {
    try {
      long level = Price.parse(price);
      workspace
          .session()
          .numberOf(symbol)
          .ifPresent(
              security ->
                  Followed.once(
                      workspace.clock(),
                      new QuoteView(workspace.session(), security),
                      quote -> setNear(quote, level, kind)));
    } catch (RefusedException e) {
      workspace.window().action().set("A level is a price such as 8.20, found \"" + price + "\"");
    }
  }
}
