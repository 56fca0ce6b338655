package kelvo.desktop.windows;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.scene.Scene;
import javafx.stage.Window;
import javafx.util.Duration;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import org.jspecify.annotations.Nullable;

/**
 * The windows into which parts have been popped out. Each phase of the day has its own set, which
 * comes back by itself; a phase that never had one takes over what is open. Only for the window's
 * thread.
 */
public final class PartWindows {
  /** How long a phase must last before its set opens, so that a drag through the day opens none. */
  private static final Duration SETTLED = Duration.millis(600);

  private static final double WIDTH = 560;
  private static final double HEIGHT = 380;
  private static final double STEP = 28;

  private final Workspace workspace;
  private final List<PartKind> kinds;
  private final Consumer<Scene> keys;
  private final List<PartWindow> windows = new ArrayList<>();
  private final Map<PartKind, SymbolPart> ofMarket = new HashMap<>();
  private final PauseTransition settling = new PauseTransition(SETTLED);
  private WindowSets sets = WindowSets.NONE;
  private @Nullable Path folder;
  private String phase = "";

  /**
   * No windows yet.
   *
   * @param kinds all parts
   * @param keys makes the keys of the main window work in another one
   */
  public PartWindows(Workspace workspace, List<PartKind> kinds, Consumer<Scene> keys) {
    this.workspace = workspace;
    this.kinds = List.copyOf(kinds);
    this.keys = keys;
    settling.setOnFinished(e -> enter(phaseNow()));
    workspace.clock().shown().addListener((o, was, is) -> arrived());
  }

  /** Opens the windows that a data folder keeps for each phase, and keeps changes there. */
  public void keepIn(Path dataFolder, WindowSets kept) {
    folder = dataFolder;
    sets = kept;
    if (!phase.isEmpty()) {
      sets.of(phase).ifPresent(this::arrange);
    }
  }

  /** Keeps nothing: another window keeps the sets of this folder. */
  public void forget() {
    folder = null;
  }

  private String phaseNow() {
    return workspace.session().phases().at(workspace.clock().now()).name();
  }

  private void arrived() {
    String is = phaseNow();
    if (phase.isEmpty()) {
      phase = is;
      sets.of(is).ifPresent(this::arrange);
    } else if (is.equals(phase)) {
      settling.stop();
    } else if (settling.getStatus() != Animation.Status.RUNNING) {
      settling.playFromStart();
    }
  }

  /** Leaves one phase for another one with its own set. */
  private void enter(String next) {
    if (!next.equals(phase)) {
      sets = sets.with(phase, placed());
      phase = next;
      sets.of(next).ifPresent(this::arrange);
      keep();
    }
  }

  /** Makes the open windows those of a set, and moves those that stay. */
  private void arrange(List<PlacedPart> set) {
    List<PartWindow> others = new ArrayList<>(windows);
    windows.clear();
    for (PlacedPart place : set) {
      Optional<PartWindow> same = others.stream().filter(w -> w.placed().isLike(place)).findFirst();
      same.ifPresent(
          window -> {
            others.remove(window);
            window.place(place);
            windows.add(window);
          });
      if (same.isEmpty()) {
        add(place);
      }
    }
    others.forEach(PartWindow::closeSilently);
  }

  /** Opens a part of the symbol in focus in a window of its own, near another window. */
  public void open(PartKind kind, Window near) {
    for (PartWindow window : windows) {
      if (!kind.isOfSymbol() && window.shows(kind)) {
        window.toFront();
        return;
      }
    }
    double shift = STEP * (windows.size() + 1);
    add(new PlacedPart(kind.id(), "", near.getX() + shift, near.getY() + shift, WIDTH, HEIGHT));
    workspace.window().action().set(kind.title() + " in a window of its own");
    changed();
  }

  /** Opens a window; of a part that this version does not have, none. */
  private void add(PlacedPart place) {
    for (PartKind kind : kinds) {
      if (kind.id().equals(place.part())) {
        PartWindow window = new PartWindow(workspace, kind, part(kind), place, this::changed);
        keys.accept(window.scene());
        windows.add(window);
        window.open();
      }
    }
  }

  /** Parts about the market are made once: they hear of more than what they show. */
  private SymbolPart part(PartKind kind) {
    return kind.isOfSymbol() ? make(kind) : ofMarket.computeIfAbsent(kind, this::make);
  }

  private SymbolPart make(PartKind kind) {
    return kind.make(workspace, new ChartChoice(workspace.window().pointed()));
  }

  /** A window was opened, closed, pinned or let go. */
  private void changed() {
    windows.removeIf(window -> !window.isOpen());
    sets = sets.with(phase, placed());
    keep();
  }

  private void keep() {
    Path to = folder;
    WindowSets kept = sets;
    if (to != null) {
      workspace.answers().behind("keeping the windows", () -> kept.keepIn(to));
    }
  }

  /** The phase whose set is open; empty before the first snapshot. */
  public String phase() {
    return phase;
  }

  /** What is open and where, in the order of opening. */
  public List<PlacedPart> placed() {
    return windows.stream().map(PartWindow::placed).toList();
  }

  /** Keeps where the windows stand and closes them; the data folder has the sets afterwards. */
  public void close() {
    settling.stop();
    sets = sets.with(phase, placed());
    windows.forEach(PartWindow::closeSilently);
    windows.clear();
    if (folder != null) {
      sets.keepIn(folder);
    }
  }
}
