package kelvo.data.folder;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Collects faults while the rest is read. Thread-safe. */
public final class Faults {
  private final List<Fault> all = new ArrayList<>();

  /** Adds one. */
  public synchronized void add(Fault fault) {
    all.add(fault);
  }

  /** All so far, by file and line. */
  public synchronized List<Fault> all() {
    List<Fault> sorted = new ArrayList<>(all);
    sorted.sort(Comparator.comparing(Fault::file).thenComparing(Fault::line));
    return sorted;
  }
}
