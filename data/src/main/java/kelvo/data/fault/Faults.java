package kelvo.data.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Collects faults while the rest is read. Of each kind the first ones are kept and all are counted,
 * so that a file of nothing but faults costs no memory and is told in one sentence. Thread-safe.
 */
public final class Faults {
  /** How many of one kind are kept. */
  public static final int MAX_OF_A_KIND = 10;

  /** How many kinds are kept; those beyond are only counted. */
  static final int MAX_KINDS = 1_000;

  private final Map<Kind, OfKind> kinds = new LinkedHashMap<>();
  private int count;
  private int otherKinds;

  /** What faults have in common that are told in one sentence when they are many. */
  private record Kind(String file, String column, String expected, boolean leftOut) {
    static Kind of(Fault fault) {
      return new Kind(fault.file(), fault.column(), fault.expected(), fault.leftOut());
    }
  }

  private static final class OfKind {
    private final List<Fault> first = new ArrayList<>();
    private int count;
    private long lastLine;

    private void add(Fault fault, int times) {
      count += times;
      lastLine = Math.max(lastLine, fault.line());
      if (first.size() < MAX_OF_A_KIND) {
        first.add(fault);
      }
    }

    /** A sentence for each of a few, one for all of many. */
    private Stream<Told> told() {
      if (count == first.size()) {
        return first.stream().map(fault -> new Told(fault, fault.sentence()));
      }
      String more = String.format(Locale.ROOT, "; and %,d more", count - 1);
      String last = lastLine > 0 ? ", the last in line " + lastLine : "";
      return Stream.of(new Told(first.getFirst(), first.getFirst().sentence(more + last)));
    }
  }

  private record Told(Fault fault, String sentence) {}

  /**
   * A fault of which there were several like it.
   *
   * @param times how many it stands for, itself included
   */
  public record Counted(Fault fault, int times) {}

  /** Adds one; what is said of a file as a whole counts once. */
  public synchronized void add(Fault fault) {
    add(fault, 1);
  }

  private void add(Fault fault, int times) {
    Kind kind = Kind.of(fault);
    OfKind known = kinds.get(kind);
    if (fault.line() == 0 && known != null && known.first.contains(fault)) {
      return;
    }
    count += times;
    if (known == null && kinds.size() == MAX_KINDS) {
      otherKinds += times;
      return;
    }
    if (known == null) {
      known = new OfKind();
      kinds.put(kind, known);
    }
    known.add(fault, times);
  }

  /** Adds what another list has counted. */
  public synchronized void addCounted(List<Counted> others) {
    others.forEach(other -> add(other.fault(), other.times()));
  }

  /**
   * All that is known of them: each that is kept once, and those that are only counted as one more
   * like the last of their kind.
   */
  public synchronized List<Counted> counted() {
    List<Counted> all = new ArrayList<>();
    for (OfKind kind : kinds.values()) {
      kind.first.forEach(fault -> all.add(new Counted(fault, 1)));
      int more = kind.count - kind.first.size();
      if (more > 0) {
        Fault like = kind.first.getLast();
        all.add(
            new Counted(
                new Fault(
                    like.file(),
                    kind.lastLine,
                    like.column(),
                    like.expected(),
                    like.text(),
                    like.leftOut()),
                more));
      }
    }
    return all;
  }

  /** Whether {@link #counted} knows all of them. */
  public synchronized boolean isWhole() {
    return otherKinds == 0;
  }

  /** Adds all that another list has. */
  public void addAll(Faults others) {
    List<Counted> theirs = others.counted();
    int beyond = others.otherKinds();
    synchronized (this) {
      addCounted(theirs);
      otherKinds += beyond;
      count += beyond;
    }
  }

  private synchronized int otherKinds() {
    return otherKinds;
  }

  /** How many there have been. */
  public synchronized int count() {
    return count;
  }

  /** How many lines of one file, named as in its faults, were left out. */
  public synchronized int leftOut(String file) {
    return kinds.entrySet().stream()
        .filter(kind -> kind.getKey().file.equals(file) && kind.getKey().leftOut)
        .mapToInt(kind -> kind.getValue().count)
        .sum();
  }

  /** Those that are kept, by file and line. */
  public synchronized List<Fault> all() {
    return kinds.values().stream()
        .flatMap(kind -> kind.first.stream())
        .sorted(Comparator.comparing(Fault::file).thenComparing(Fault::line))
        .toList();
  }

  /** All of them in words, by file and line: one sentence for each kind of which there are many. */
  public synchronized List<String> sentences() {
    List<String> sentences =
        new ArrayList<>(
            kinds.values().stream()
                .flatMap(OfKind::told)
                .sorted(
                    Comparator.comparing((Told told) -> told.fault.file())
                        .thenComparing(told -> told.fault.line()))
                .map(Told::sentence)
                .toList());
    if (otherKinds > 0) {
      sentences.add(
          otherKinds == 1
              ? "One more fault of another kind."
              : String.format(Locale.ROOT, "%,d more faults of other kinds.", otherKinds));
    }
    return sentences;
  }
}
