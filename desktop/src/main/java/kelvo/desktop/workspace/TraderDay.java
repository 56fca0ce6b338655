package kelvo.desktop.workspace;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.IntSupplier;
import java.util.function.LongSupplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.chart.DrawnLevels;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.journal.HandMatch;
import kelvo.journal.JournalPage;
import kelvo.journal.Note;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.refusal.RefusedException;
import kelvo.scan.Side;
import kelvo.tape.Price;
import kelvo.trade.Fill;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;

/**
 * What the trader does on a day: decisions, plans, levels, notes, fills and what was looked at,
 * kept in the ledger as they come. Decisions and levels can be taken back. Only for the window's
 * thread.
 */
public final class TraderDay implements DrawnLevels {
  /** What the work on a day is told of the trader's doing. */
  interface Listener {
    /** Other levels stand from now on. */
    void levelsChanged();

    /** An edit can be taken back. */
    Undoable undoable();

    /** What was done, in words. */
    void told(String words);
  }

  private final LocalDate day;
  private final Ledger ledger;
  private final LongSupplier clock;
  private final IntSupplier mostKept;
  private final Function<String, Side> wayOf;
  private final Listener listener;
  private final ReadOnlyObjectWrapper<DayBook> book;

  /** Whose fills are the real ones while those on paper are shown; null else. */
  private @Nullable DayBook real;

  /**
   * A day as it was left.
   *
   * @param clock the moment shown
   * @param mostKept how many symbols the Ten may hold
   * @param wayOf which way a symbol moves now
   */
  TraderDay(
      LocalDate day,
      DayBook left,
      Ledger ledger,
      LongSupplier clock,
      IntSupplier mostKept,
      Function<String, Side> wayOf,
      Listener listener) {
    this.day = day;
    this.ledger = ledger;
    this.clock = clock;
    this.mostKept = mostKept;
    this.wayOf = wayOf;
    this.listener = listener;
    book = new ReadOnlyObjectWrapper<>(left);
  }

  /** All that was done. */
  ReadOnlyObjectProperty<DayBook> book() {
    return book.getReadOnlyProperty();
  }

  private long now() {
    return clock.getAsLong();
  }

  /**
   * Shows fills on paper in place of the real ones, wherever trades are shown and reviewed; null
   * for the real ones again.
   */
  void practise(@Nullable List<Fill> onPaper) {
    if (onPaper == null) {
      DayBook shown = book.get();
      book.set(real == null ? shown : shown.withFills(real.fills()).carrying(real.carried()));
      real = null;
      return;
    }
    real = real == null ? book.get() : real;
    book.set(book.get().withFills(onPaper).carrying(List.of()));
  }

  /** Takes new fills of the feed or the broker, each as often as it has been told in all. */
  public void filled(List<Fill> fills) {
    ledger.addFills(day, fills);
    book.set(book.get().adding(fills));
  }

  /** Keeps that a symbol was looked at for a while. */
  void lookedAt(FocusSpan span) {
    ledger.add(day, span);
    book.set(book.get().with(span));
  }

  /** Whether there is no room for a symbol on the Ten. */
  public boolean isTenFullFor(String symbol) {
    return TheTen.at(book.get(), now()).isFullFor(symbol, mostKept.getAsInt());
  }

  /** Decides on a symbol. Keeping an eleventh one is refused. */
  public void decide(String symbol, Choice choice, String reason) {
    if (choice == Choice.KEEP && isTenFullFor(symbol)) {
      listener.told("The Ten is full: drop one of them before keeping " + symbol);
      return;
    }
    Decision before =
        book.get()
            .decisionOn(symbol, now())
            .orElse(new Decision(symbol, now(), Choice.UNDECIDED, "", Side.UP, "", ""));
    Side side = before.choice() == Choice.UNDECIDED ? wayOf.apply(symbol) : before.side();
    String bucket =
        choice == Choice.KEEP ? Decision.BUCKETS.getFirst() : Decision.BUCKETS.getLast();
    change(
        symbol + " " + done(choice),
        before,
        new Decision(
            symbol,
            now(),
            choice,
            reason,
            side,
            before.bucket().isEmpty() ? bucket : before.bucket(),
            before.plan()));
    listener.told(capital(choice.word()) + " " + symbol + (reason.isEmpty() ? "" : ": " + reason));
  }

  private static String done(Choice choice) {
    return switch (choice) {
      case KEEP -> "kept";
      case DROP -> "dropped";
      case WATCH -> "watched";
      case UNDECIDED -> "undecided";
    };
  }

  private static String capital(String word) {
    return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
  }

  /** Changes side, bucket and plan of a symbol that has been decided on. */
  public void plan(String symbol, Side side, String bucket, String plan) {
    book.get()
        .decisionOn(symbol, now())
        .ifPresent(
            before -> {
              change(
                  "plan of " + symbol,
                  before,
                  new Decision(
                      symbol, now(), before.choice(), before.reason(), side, bucket, plan));
              listener.told("Planned " + symbol + ": " + side.word() + ", " + bucket);
            });
  }

  /** Enters a decision that can be taken back. */
  private void change(String what, Decision before, Decision after) {
    enter(after);
    listener
        .undoable()
        .done(
            what,
            before.symbol(),
            () ->
                enter(
                    new Decision(
                        before.symbol(),
                        now(),
                        before.choice(),
                        before.reason(),
                        before.side(),
                        before.bucket(),
                        before.plan())));
  }

  private void enter(Decision decision) {
    ledger.add(day, decision);
    book.set(book.get().with(decision));
  }

  /** Sets a level on a symbol, which alerts from now on. */
  public void addLevel(String symbol, long price, LevelKind kind) {
    add(Level.standing(symbol, price, kind, now()));
  }

  @Override
  public void level(String symbol, long price) {
    addLevel(symbol, price, LevelKind.BY_HAND);
  }

  @Override
  public void trendLine(
      String symbol, long firstAt, long firstPrice, long secondAt, long secondPrice) {
    try {
      add(Level.trendLine(symbol, firstAt, firstPrice, secondAt, secondPrice, now()));
    } catch (RefusedException e) {
      listener.told("No trend line was set: " + e.getMessage());
    }
  }

  private void add(Level level) {
    ledger.add(day, level);
    book.set(book.get().with(level));
    listener.levelsChanged();
    listener
        .undoable()
        .done(named(level) + " on " + level.symbol(), level.symbol(), () -> removeLevel(level));
    listener.told(named(level) + " on " + level.symbol());
  }

  private String named(Level level) {
    String kind = level.kind() == LevelKind.BY_HAND ? "Level" : capital(level.kind().words());
    return kind + " " + Price.text(level.priceAt(now()));
  }

  /** Takes a level away from now on. */
  public void removeLevel(Level level) {
    ledger.remove(day, level, now());
    book.set(book.get().without(level, now()));
    listener.levelsChanged();
    listener.told(named(level) + " removed");
  }

  /** Writes a note on a symbol. */
  public void addNote(String symbol, String text) {
    Note note = new Note(symbol, now(), text);
    ledger.add(day, note);
    book.set(book.get().with(note));
    listener.told("Noted on " + note.symbol());
  }

  /**
   * Says something of the day, a trade or a move in hindsight, in place of what was said before.
   */
  public void say(Remark remark) {
    if (!page().on(remark.subject()).equals(remark)) {
      ledger.add(day, remark);
      book.set(book.get().with(page().with(remark)));
    }
  }

  /** Says whether one of the trader's own rules was kept. */
  public void say(RuleKept kept) {
    RuleKept before = new RuleKept(kept.rule(), page().answerTo(kept.rule()));
    if (!before.equals(kept)) {
      enter(kept);
      listener.undoable().done("an answer", "", () -> enter(before));
    }
  }

  private void enter(RuleKept kept) {
    ledger.add(day, kept);
    book.set(book.get().with(page().with(kept)));
  }

  /** Says which move a trade was on. */
  public void match(HandMatch match) {
    HandMatch before =
        page()
            .matchOf(match.trade())
            .orElse(new HandMatch(match.trade(), HandMatch.Says.AS_FOUND, 0));
    if (!before.equals(match)) {
      enter(match);
      listener
          .undoable()
          .done(
              "the match of " + match.trade().symbol(),
              match.trade().symbol(),
              () -> enter(before));
      listener.told("Matched " + match.trade().symbol() + " by hand");
    }
  }

  private void enter(HandMatch match) {
    ledger.add(day, match);
    book.set(book.get().with(page().with(match)));
  }

  private JournalPage page() {
    return book.get().page();
  }
}
