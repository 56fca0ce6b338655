package kelvo.desktop.workspace;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.util.Duration;
import kelvo.check.CheckRule;
import kelvo.data.file.WholeFile;
import kelvo.data.scanfile.ScanFile;
import kelvo.data.scanfile.ScanFolder;
import kelvo.formula.OwnField;
import kelvo.hit.ScanBoard;
import kelvo.refusal.RefusedException;
import kelvo.research.KeptQuestion;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.universe.Figure;
import kelvo.universe.Universe;

/**
 * The scans and universes in use, as the trader changes them. A change shows at once, is written to
 * the folder behind the window, and is played through the session when nothing was typed for a
 * moment. Only for the window's thread.
 */
public final class ScanDesk {
  /** How the universe of everyone is called on screen. */
  public static final String ALL_SECURITIES = "all securities";

  private static final Duration STILL = Duration.millis(700);

  private final ObservableList<Scan> scans = FXCollections.observableArrayList();
  private final ObservableList<Universe> universes = FXCollections.observableArrayList();
  private final ObjectProperty<Scan> shown;
  private final ReadOnlyObjectWrapper<List<CheckRule>> checks;
  private final ReadOnlyObjectWrapper<List<String>> ownRules;
  private final ReadOnlyObjectWrapper<List<KeptQuestion>> questions;
  private final ReadOnlyIntegerWrapper mostKept;
  private final ReadOnlyObjectWrapper<List<Figure>> figures;
  private final ScanFolder folder;
  private final Vocabulary vocabulary;
  private final Background background;
  private final Undoable undoable;
  private final Consumer<String> told;
  private final Runnable readAgain;
  private final PauseTransition still = new PauseTransition(STILL);
  private String lastEdited = "";

  /**
   * A desk.
   *
   * @param background where files are written
   * @param undoable takes what takes the last change back
   * @param told takes what happened, in words
   * @param play plays the session through the scans as they are
   * @param readAgain reads the day again, for what it is read with has changed
   */
  ScanDesk(
      TraderFiles files,
      Background background,
      Undoable undoable,
      Consumer<String> told,
      Runnable play,
      Runnable readAgain) {
    scans.setAll(files.scans().inUse());
    universes.setAll(files.scans().universes());
    figures = new ReadOnlyObjectWrapper<>(files.scans().figures());
    checks = new ReadOnlyObjectWrapper<>(files.scans().checks());
    ownRules = new ReadOnlyObjectWrapper<>(files.scans().ownRules());
    questions = new ReadOnlyObjectWrapper<>(files.scans().questions());
    mostKept = new ReadOnlyIntegerWrapper(files.lists().mostKept());
    folder = files.folder();
    vocabulary = files.vocabulary();
    shown = new SimpleObjectProperty<>(scans.getFirst());
    this.background = background;
    this.undoable = undoable;
    this.told = told;
    this.readAgain = readAgain;
    still.setOnFinished(
        e -> {
          lastEdited = "";
          play.run();
        });
  }

  /** The scans in use. */
  public ObservableList<Scan> scans() {
    return scans;
  }

  /** The universes of the folder. */
  public ObservableList<Universe> universes() {
    return universes;
  }

  /** The scan whose matches are listed. */
  public ObjectProperty<Scan> shown() {
    return shown;
  }

  /** The words that rules may use. */
  public Vocabulary vocabulary() {
    return vocabulary;
  }

  /**
   * Makes a field of the trader's own of "name = formula", or takes it away where no formula stands
   * behind the sign; scans that ask it follow.
   *
   * @throws RefusedException saying at which character what was expected
   */
  public void makeField(String text) {
    int equals = text.indexOf('=');
    if (equals < 0) {
      throw new RefusedException(
          "expected a name, = and a formula, such as: push = (price - vwap) / atr 14d");
    }
    String name = text.substring(0, equals).strip().toLowerCase(Locale.ROOT);
    String before =
        vocabulary.own().all().stream()
            .filter(own -> own.name().equals(name))
            .map(OwnField::formula)
            .findFirst()
            .orElse("");
    setField(name, text.substring(equals + 1).strip());
    undoable.done(name + ", a field of your own", "", () -> setField(name, before));
  }

  private void setField(String name, String formula) {
    if (formula.isEmpty()) {
      refuseWhileAsked(name);
      vocabulary.removeOwn(name);
      told.accept(name + " is no field any more");
    } else {
      OwnField made = vocabulary.putOwn(name, formula);
      told.accept(made.name() + " is a field now: rules, columns and orders can ask for it");
    }
    List<OwnField> all = vocabulary.own().all();
    write(() -> folder.saveOwnFields(all));
    for (Scan scan : List.copyOf(scans)) {
      Scan again = folder.again(scan);
      if (!again.equals(scan)) {
        replace(scan, again);
      }
    }
  }

  /** A scan whose field is gone could not be read again. */
  private void refuseWhileAsked(String name) {
    for (Scan scan : scans) {
      boolean asked =
          Stream.concat(
                  scan.fields().stream(),
                  scan.universe().rules().stream().flatMap(rule -> rule.fields().stream()))
              .anyMatch(field -> field.words().equals(name));
      if (asked) {
        throw new RefusedException(
            "\"" + scan.name() + "\" asks for " + name + "; take it out there first");
      }
    }
  }

  /** Puts a scan in place of another. What is typed in one go is taken back in one go. */
  public void change(Scan before, Scan after) {
    if (before.equals(after) || !scans.contains(before)) {
      return;
    }
    if (!lastEdited.equals(before.name()) || !before.name().equals(after.name())) {
      undoable.done(before.name() + " changed", "", () -> replaceNamed(after.name(), before));
    }
    lastEdited = after.name();
    replace(before, after);
  }

  private void replaceNamed(String name, Scan other) {
    scans.stream()
        .filter(s -> s.name().equals(name))
        .findFirst()
        .ifPresentOrElse(now -> replace(now, other), () -> insert(other));
  }

  private void replace(Scan before, Scan after) {
    scans.set(scans.indexOf(before), after);
    if (shown.get().equals(before)) {
      shown.set(after);
    }
    write(
        () -> {
          folder.save(after);
          if (!before.name().equals(after.name())) {
            folder.remove(before);
          }
        });
    still.playFromStart();
  }

  /** Adds scans and shows the first of them. */
  public void add(List<Scan> more) {
    if (scans.size() + more.size() > ScanBoard.MAX) {
      told.accept("At most " + ScanBoard.MAX + " scans run at once; remove one first");
      return;
    }
    List<Scan> added = new ArrayList<>();
    for (Scan scan : more) {
      Scan fresh = isTaken(scan.name()) ? scan.named(freeName(scan.name())) : scan;
      insert(fresh);
      added.add(fresh);
    }
    undoable.done(
        String.join(" and ", added.stream().map(Scan::name).toList()) + " added",
        "",
        () -> added.forEach(this::delete));
    shown.set(added.getFirst());
    told.accept("Added " + String.join(" and ", added.stream().map(Scan::name).toList()));
  }

  private void insert(Scan scan) {
    scans.add(scan);
    write(() -> folder.save(scan));
    still.playFromStart();
  }

  /** Takes a scan away; the last one stays. */
  public void remove(Scan scan) {
    if (scans.size() == 1) {
      told.accept("The last scan stays");
      return;
    }
    undoable.done(
        scan.name() + " removed",
        "",
        () -> {
          insert(scan);
          shown.set(scan);
        });
    delete(scan);
    told.accept("Removed " + scan.name());
  }

  private void delete(Scan scan) {
    scans.stream()
        .filter(s -> s.name().equals(scan.name()))
        .findFirst()
        .ifPresent(
            now -> {
              scans.remove(now);
              if (shown.get().equals(now)) {
                shown.set(scans.getFirst());
              }
              write(() -> folder.remove(now));
              still.playFromStart();
            });
  }

  /** A name like this one that no scan has. */
  public String freeName(String name) {
    for (int i = 2; ; i++) {
      String free = name + " " + i;
      if (!isTaken(free)) {
        return free;
      }
    }
  }

  private boolean isTaken(String name) {
    return scans.stream().anyMatch(s -> s.name().equals(name));
  }

  /** Puts a universe in place of the one of the same name, or adds it; its scans follow. */
  public void change(Universe universe) {
    Universe before =
        universes.stream().filter(u -> u.name().equals(universe.name())).findFirst().orElse(null);
    if (universe.equals(before)) {
      return;
    }
    if (before == null) {
      undoable.done(universe.name() + " added", "", () -> remove(universe.name()));
    } else if (!lastEdited.equals("universe " + universe.name())) {
      undoable.done(universe.name() + " changed", "", () -> put(before));
    }
    lastEdited = "universe " + universe.name();
    put(universe);
  }

  private void put(Universe universe) {
    universes.removeIf(u -> u.name().equals(universe.name()));
    universes.add(universe);
    write(() -> folder.save(universe));
    for (Scan scan : List.copyOf(scans)) {
      if (scan.universe().name().equals(universe.name())) {
        replace(scan, scan.within(universe));
      }
    }
  }

  /** Takes a universe away; its scans look at all securities then. */
  public void remove(String universe) {
    universes.stream()
        .filter(u -> u.name().equals(universe))
        .findFirst()
        .ifPresent(
            gone -> {
              universes.remove(gone);
              for (Scan scan : List.copyOf(scans)) {
                if (scan.universe().equals(gone)) {
                  replace(scan, scan.within(Universe.EVERYONE));
                }
              }
              write(() -> folder.remove(gone));
            });
  }

  /** The rules that the trader keeps or breaks. */
  public ReadOnlyObjectProperty<List<String>> ownRules() {
    return ownRules.getReadOnlyProperty();
  }

  /** Asks about other rules from now on. */
  public void askAbout(List<String> rules) {
    ownRules.set(List.copyOf(rules));
    write(() -> folder.saveOwnRules(rules));
  }

  /** The questions of research that the trader keeps. */
  public ReadOnlyObjectProperty<List<KeptQuestion>> questions() {
    return questions.getReadOnlyProperty();
  }

  /** Keeps other questions. */
  public void keepQuestions(List<KeptQuestion> others) {
    questions.set(List.copyOf(others));
    write(() -> folder.saveQuestions(others));
  }

  /** The checks of the morning. */
  public ReadOnlyObjectProperty<List<CheckRule>> checks() {
    return checks.getReadOnlyProperty();
  }

  /** Asks other checks. */
  public void ask(List<CheckRule> others) {
    checks.set(List.copyOf(others));
    write(() -> folder.save(others));
  }

  /** How many symbols the Ten may hold. */
  public ReadOnlyIntegerProperty mostKept() {
    return mostKept.getReadOnlyProperty();
  }

  /** Lets the Ten hold so many; nobody goes who is kept already. */
  public void keepAtMost(int most) {
    int before = mostKept.get();
    if (most != before) {
      hold(most);
      undoable.done("The Ten holds " + most, "", () -> hold(before));
      told.accept("The Ten holds " + most);
    }
  }

  private void hold(int most) {
    mostKept.set(most);
    write(() -> folder.saveMostKept(most));
  }

  /** Figures put right by hand, the last one of a security last. */
  public ReadOnlyObjectProperty<List<Figure>> figures() {
    return figures.getReadOnlyProperty();
  }

  /** Puts a figure right; the day is read again with it. */
  public void putRight(Figure figure) {
    List<Figure> more = new ArrayList<>(figures.get());
    more.add(figure);
    figures.set(List.copyOf(more));
    told.accept("Put right: " + words(figure) + "; the day is read again with it");
    write(() -> folder.putRight(figure), readAgain);
  }

  /** Takes a figure back; the day is read again without it. */
  public void takeBack(Figure figure) {
    List<Figure> fewer = new ArrayList<>(figures.get());
    fewer.remove(fewer.lastIndexOf(figure));
    figures.set(List.copyOf(fewer));
    told.accept("Taken back: " + words(figure) + "; the day is read again without it");
    write(() -> folder.takeBack(figure), readAgain);
  }

  private static String words(Figure figure) {
    return figure.symbol() + " " + figure.kind().word().replace('_', ' ');
  }

  /** Changes the folder behind the window, then does something on the window's thread. */
  private void write(Runnable change, Runnable then) {
    write(
        () -> {
          change.run();
          Platform.runLater(then);
        });
  }

  /** Changes the folder behind the window; says so when that cannot be done. */
  private void write(Runnable change) {
    if (!background.isClosed()) {
      background.execute(
          "writing to the folder (the change holds until the window is closed)", change);
    }
  }

  /** Writes a scan to a file for somebody else; returns what happened, in words. */
  public String share(Scan scan, Path file) {
    try {
      WholeFile.replace(file, ScanFile.write(scan));
      return "Wrote " + scan.name() + " to " + file.getFileName();
    } catch (IOException e) {
      return file.getFileName() + " could not be written; choose another place";
    }
  }

  /** Adds the scan of a file; returns what happened, in words. */
  public String take(Path file) {
    try {
      Scan scan = folder.read(file);
      add(List.of(scan));
      return "Added the scan of " + file.getFileName();
    } catch (ScanFile.ScanFileException e) {
      return String.valueOf(e.getMessage());
    }
  }

  /** Plays nothing any more. */
  void close() {
    still.stop();
  }
}
