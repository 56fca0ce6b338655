package kelvo.desktop.workspace;

import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kelvo.alert.Alert;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertCompletion;
import kelvo.alert.AlertSentence;
import kelvo.data.scanfile.ScanFolder;
import kelvo.delivery.Channel;
import kelvo.refusal.RefusedException;
import kelvo.rule.RuleCompletion;
import kelvo.rule.SessionWords;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.watchlist.Watchlist;

/**
 * The trader's alerts: a change counts at once and is written to the folder behind the window. Only
 * for the window's thread.
 */
public final class AlertDesk {
  private static final String WRITING =
      "writing alerts.json (the change holds until the window is closed)";

  private final Workspace workspace;
  private final ScanFolder folder;
  private final Undoable undoable;
  private final ReadOnlyObjectWrapper<AlertBook> book;

  private Consumer<String> onBegin = words -> {};

  AlertDesk(Workspace workspace, TraderFiles files, Undoable undoable) {
    this.workspace = workspace;
    this.undoable = undoable;
    folder = files.folder();
    book = new ReadOnlyObjectWrapper<>(files.lists().alerts());
  }

  /** What the trader wants to ring. */
  public ReadOnlyObjectProperty<AlertBook> book() {
    return book.getReadOnlyProperty();
  }

  /** Lets an alert that begins with some words be typed on, wherever that is done. */
  public void begin(String words) {
    onBegin.accept(words);
  }

  /** Who lets alerts be typed. */
  public void onBegin(Consumer<String> typing) {
    onBegin = typing;
  }

  private LocalDateTime now() {
    return at(workspace.clock().now());
  }

  private LocalDateTime at(long moment) {
    return workspace.day().atTime(LocalTime.ofNanoOfDay(moment));
  }

  /** What is wrong with a sentence, and what was expected; empty when it makes an alert. */
  public String problem(String sentence) {
    try {
      Alert alert = read(sentence);
      return standing(alert.name()).isPresent()
          ? "There is this alert already; change it in its row"
          : "";
    } catch (RefusedException e) {
      return String.valueOf(e.getMessage());
    }
  }

  private Alert read(String sentence) {
    return AlertSentence.parse(sentence, workspace.desk().vocabulary(), workspace.day()).alert();
  }

  private Optional<Alert> standing(String name) {
    return book.get().standing().stream().filter(alert -> alert.name().equals(name)).findFirst();
  }

  /** Adds an alert that is armed from now on; false when {@link #problem} has something to say. */
  public boolean add(String sentence) {
    String problem = problem(sentence);
    if (!problem.isEmpty()) {
      workspace.window().action().set(problem);
      return false;
    }
    Alert said = read(sentence);
    // One of the same name that is gone has its earlier times in it, which still tell what it did.
    Optional<Alert> gone =
        book.get().alerts().stream().filter(alert -> alert.name().equals(said.name())).findFirst();
    Alert added =
        new Alert(
                said.about(),
                said.when(),
                said.repeat(),
                said.until(),
                said.how(),
                gone.map(Alert::armed).orElse(said.armed()),
                null,
                false)
            .arm(now());
    change(book.get().with(added), "Alert: " + AlertSentence.of(added));
    return true;
  }

  /** Puts an alert that a sentence says in place of another. */
  public boolean replace(Alert old, String sentence) {
    AlertBook before = book.get();
    try {
      Alert said = read(sentence);
      if (said.name().equals(old.name())) {
        Alert changed =
            new Alert(
                said.about(),
                said.when(),
                said.repeat(),
                said.until(),
                said.how(),
                old.armed(),
                old.spentOn(),
                false);
        change(before.with(changed), "Alert: " + AlertSentence.of(changed));
        return true;
      }
    } catch (RefusedException e) {
      workspace.window().action().set(String.valueOf(e.getMessage()));
      return false;
    }
    if (!problem(sentence).isEmpty()) {
      workspace.window().action().set(problem(sentence));
      return false;
    }
    Alert added = read(sentence).arm(now());
    change(
        before.with(old.remove(now())).with(added),
        "Alert: " + AlertSentence.of(added) + ", in place of " + old.name());
    return true;
  }

  /** Arms an alert anew from now on. */
  public void arm(Alert alert) {
    change(alert, one -> one.arm(now()), "Armed: " + alert.name());
  }

  /** Switches an alert off from now on. */
  public void off(Alert alert) {
    change(alert, one -> one.off(now()), "Off: " + alert.name());
  }

  /** Lets an alert be silent for so long. */
  public void snooze(Alert alert, long span) {
    long until = Math.min(workspace.clock().now() + span, DayTime.LAST);
    change(
        alert,
        one -> one.snooze(now(), at(until)),
        "Silent until " + DayTime.minutes(until) + ": " + alert.name());
  }

  /** Takes an alert away. */
  public void remove(Alert alert) {
    change(alert, one -> one.remove(now()), "Alert removed: " + alert.name());
  }

  /** Lets an alert reach the trader in a way, or no more. */
  public void by(Alert alert, Channel channel, boolean uses) {
    change(
        alert,
        one -> one.by(Channel.changed(one.how(), channel, uses)),
        alert.name() + (uses ? " by " : " no more by ") + channel.words());
  }

  /** Notes that an alert that rings once has rung. */
  void spent(String name) {
    standing(name)
        .filter(alert -> alert.endsWithItsRing() && alert.spentOn() == null)
        .ifPresent(alert -> keep(book.get().with(alert.spent(workspace.day()))));
  }

  /** Lets the hits of a scan ring on any symbol in these ways; in none, on watched ones alone. */
  public void ringing(String scan, Set<Channel> how) {
    change(
        book.get().ringing(scan, how),
        how.isEmpty()
            ? scan + " rings on what you watch alone"
            : scan + " rings on any symbol, by " + Channel.words(how));
  }

  private void change(Alert alert, UnaryOperator<Alert> changed, String what) {
    standing(alert.name()).ifPresent(known -> change(book.get().with(changed.apply(known)), what));
  }

  private void change(AlertBook changed, String what) {
    AlertBook before = book.get();
    if (!before.equals(changed)) {
      undoable.done(what, "", () -> keep(before));
      keep(changed);
      workspace.window().action().set(what);
    }
  }

  private void keep(AlertBook changed) {
    book.set(changed);
    workspace.answers().behind(WRITING, () -> folder.save(changed));
  }

  /** How an alert that is being typed may go on. */
  public AlertCompletion completion() {
    return new AlertCompletion(
        new RuleCompletion(workspace.desk().vocabulary(), new SessionWords(workspace.session())),
        workspace.lists().lists().get().stream().map(Watchlist::name).toList(),
        workspace.scans().stream().map(Scan::name).toList(),
        workspace.session().securities().stream().map(facts -> facts.symbol()).toList());
  }
}
