package kelvo.desktop.workspace;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kelvo.data.scanfile.ScanFolder;
import kelvo.watchlist.TheTen;
import kelvo.watchlist.Watchlist;

/**
 * The trader's own watchlists: a change shows at once and is written to the folder behind the
 * window. Only for the window's thread.
 */
public final class ListDesk {
  private final ReadOnlyObjectWrapper<List<Watchlist>> lists;
  private final ScanFolder folder;
  private final Background background;
  private final Undoable undoable;
  private final Consumer<String> told;

  /**
   * A desk.
   *
   * @param background where files are written
   * @param undoable takes what takes the last change back
   * @param told takes what happened, in words
   */
  ListDesk(TraderFiles files, Background background, Undoable undoable, Consumer<String> told) {
    lists = new ReadOnlyObjectWrapper<>(files.lists().watchlists());
    folder = files.folder();
    this.background = background;
    this.undoable = undoable;
    this.told = told;
  }

  /** All of them, in order. */
  public ReadOnlyObjectProperty<List<Watchlist>> lists() {
    return lists.getReadOnlyProperty();
  }

  /** The list of a name; an empty one that follows nothing when there is none. */
  public Watchlist named(String name) {
    return lists.get().stream()
        .filter(list -> list.name().equals(name))
        .findFirst()
        .orElseGet(() -> Watchlist.of(name, List.of()));
  }

  /** Adds an empty list. */
  public void add(String name) {
    String wanted = name.strip();
    boolean taken =
        wanted.equalsIgnoreCase(TheTen.NAME)
            || lists.get().stream().anyMatch(list -> list.name().equals(wanted));
    if (wanted.isEmpty() || taken) {
      told.accept(taken ? "There is a list \"" + wanted + "\" already" : "A list needs a name");
      return;
    }
    undoable.done("the list " + wanted, "", () -> take(wanted));
    put(Watchlist.of(wanted, List.of()));
    told.accept("Added the list " + wanted);
  }

  /** Puts a list in place of the one of the same name. */
  public void change(Watchlist changed, String what) {
    Watchlist before = named(changed.name());
    if (!before.equals(changed)) {
      undoable.done(what, "", () -> put(before));
      put(changed);
      told.accept(what);
    }
  }

  /** Takes a list away. */
  public void remove(Watchlist list) {
    undoable.done("the list " + list.name() + " removed", "", () -> put(list));
    take(list.name());
    told.accept("Removed the list " + list.name());
  }

  private void put(Watchlist changed) {
    List<Watchlist> all = new ArrayList<>(lists.get());
    boolean known = all.stream().anyMatch(list -> list.name().equals(changed.name()));
    if (known) {
      all.replaceAll(list -> list.name().equals(changed.name()) ? changed : list);
    } else {
      all.add(changed);
    }
    lists.set(List.copyOf(all));
    write(() -> folder.save(changed));
  }

  private void take(String name) {
    Watchlist gone = named(name);
    lists.set(lists.get().stream().filter(list -> !list.name().equals(name)).toList());
    write(() -> folder.remove(gone));
  }

  private void write(Runnable change) {
    if (!background.isClosed()) {
      background.execute(
          "writing a watchlist (the change holds until the window is closed)", change);
    }
  }
}
