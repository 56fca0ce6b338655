package kelvo.data.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Collects faults while the rest is read. The first thousand are kept, all are counted; of those
 * beyond, only how many there were of each kind is known, so that a file of nothing but faults
 * costs no memory. Thread-safe.
 */
public final class Faults {
  /** How many are kept. */
  public static final int MAX_KEPT = 1_000;

  private final List<Fault> kept = new ArrayList<>();
  private final Map<Kind, Integer> beyond = new TreeMap<>();
  private int count;

  private record Kind(String file, String column, String expected, boolean leftOut)
      implements Comparable<Kind> {
    @Override
    public int compareTo(Kind other) {
      return Comparator.comparing(Kind::file)
          .thenComparing(Kind::column)
          .thenComparing(Kind::expected)
          .thenComparing(Kind::leftOut)
          .compare(this, other);
    }
  }

  /** Adds one. */
  public synchronized void add(Fault fault) {
    count++;
    if (kept.size() < MAX_KEPT) {
      kept.add(fault);
    } else {
      beyond.merge(
          new Kind(fault.file(), fault.column(), fault.expected(), fault.leftOut()),
          1,
          Integer::sum);
    }
  }

  /** Adds all that another list has. */
  public void addAll(Faults others) {
    synchronized (others) {
      others.kept.forEach(this::add);
      others.beyond.forEach(this::add);
    }
  }

  private synchronized void add(Kind kind, int times) {
    count += times;
    beyond.merge(kind, times, Integer::sum);
  }

  /** How many there have been. */
  public synchronized int count() {
    return count;
  }

  /** How many lines of one file, named as in its faults, were left out. */
  public synchronized int leftOut(String file) {
    int lines =
        (int) kept.stream().filter(fault -> fault.file().equals(file) && fault.leftOut()).count();
    for (Map.Entry<Kind, Integer> more : beyond.entrySet()) {
      Kind kind = more.getKey();
      lines += kind.file.equals(file) && kind.leftOut ? more.getValue() : 0;
    }
    return lines;
  }

  /** Those that are kept, by file and line. */
  public synchronized List<Fault> all() {
    List<Fault> sorted = new ArrayList<>(kept);
    sorted.sort(Comparator.comparing(Fault::file).thenComparing(Fault::line));
    return sorted;
  }

  /** All of them in words: a sentence for each that is kept, and one for each kind beyond. */
  public synchronized List<String> sentences() {
    List<String> sentences = new ArrayList<>(all().stream().map(Fault::sentence).toList());
    beyond.forEach(
        (kind, more) ->
            sentences.add(
                kind.file
                    + (kind.column.isEmpty() ? "" : ", column " + kind.column)
                    + ": "
                    + more
                    + " more: expected "
                    + kind.expected));
    return sentences;
  }
}
