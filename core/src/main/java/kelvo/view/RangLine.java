package kelvo.view;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.alert.Ring;
import kelvo.view.RangView.Rang;
import kelvo.view.RangView.Rung;

/** A line of the list of what rang. */
public sealed interface RangLine {
  /** When it happened, {@link kelvo.time.DayTime}; of several things the last. */
  long at();

  /**
   * Something that rang.
   *
   * @param rung it, and what followed
   */
  record One(Rung rung) implements RangLine {
    @Override
    public long at() {
      return rung.ring().event().at();
    }
  }

  /**
   * Something that was over its scan's budget, listed because its line was opened.
   *
   * @param ring that did not ring
   */
  record HeldBack(Ring ring) implements RangLine {
    @Override
    public long at() {
      return ring.event().at();
    }
  }

  /**
   * What was over the budget of a scan since its last ring.
   *
   * @param scan the scan's name
   * @param count how many
   * @param at of the last of them
   * @param since of the first of them; with the scan it names the line
   */
  record More(String scan, int count, long at, long since) implements RangLine {}

  /**
   * A symbol that rang, and how often.
   *
   * @param strongest its strongest ring
   * @param count how many
   * @param at of the last of them
   */
  record Symbol(Rung strongest, int count, long at) implements RangLine {}

  /**
   * The lines of what rang, the newest first: what was over a scan's budget is one line each time.
   *
   * @param opened the lines of which each is told apart
   */
  static List<RangLine> of(Rang rang, Set<More> opened) {
    List<RangLine> lines = new ArrayList<>();
    rang.rings().forEach(rung -> lines.add(new One(rung)));
    for (List<Ring> group : groups(rang)) {
      More more =
          new More(
              group.getFirst().event().source(),
              group.size(),
              group.getLast().event().at(),
              group.getFirst().event().at());
      lines.add(more);
      boolean isOpen =
          opened.stream().anyMatch(o -> o.scan().equals(more.scan()) && o.since() == more.since());
      if (isOpen) {
        group.forEach(ring -> lines.add(new HeldBack(ring)));
      }
    }
    lines.sort(Comparator.comparingLong(RangLine::at).reversed());
    return lines;
  }

  /** What was over budget, a list each time between two rings of its scan, the oldest first. */
  private static Collection<List<Ring>> groups(Rang rang) {
    record Group(String scan, long after) {}
    Map<String, List<Long>> rangAt = new HashMap<>();
    for (Rung rung : rang.rings().reversed()) {
      rangAt
          .computeIfAbsent(rung.ring().event().source(), scan -> new ArrayList<>())
          .add(rung.ring().event().at());
    }
    Map<Group, List<Ring>> groups = new LinkedHashMap<>();
    for (Ring ring : rang.overBudget().reversed()) {
      String scan = ring.event().source();
      long after =
          rangAt.getOrDefault(scan, List.of()).stream()
              .filter(at -> at <= ring.event().at())
              .reduce(-1L, (first, last) -> last);
      groups.computeIfAbsent(new Group(scan, after), g -> new ArrayList<>()).add(ring);
    }
    return groups.values();
  }

  /** What rang between two moments, a line a symbol, the strongest first. */
  static List<RangLine> bySymbol(Rang rang, long after, long until) {
    Map<String, List<Rung>> bySymbol = new LinkedHashMap<>();
    for (Rung rung : rang.rings()) {
      long at = rung.ring().event().at();
      if (at > after && at <= until) {
        bySymbol.computeIfAbsent(rung.ring().event().symbol(), s -> new ArrayList<>()).add(rung);
      }
    }
    Comparator<Rung> weakestFirst =
        Comparator.comparing((Rung rung) -> rung.ring().rank(), Comparator.reverseOrder())
            .thenComparingDouble(rung -> rung.ring().strength());
    return bySymbol.values().stream()
        .map(
            rungs ->
                new Symbol(
                    rungs.stream().max(weakestFirst).orElseThrow(),
                    rungs.size(),
                    rungs.getFirst().ring().event().at()))
        .sorted(Comparator.comparing(Symbol::strongest, weakestFirst.reversed()))
        .map(RangLine.class::cast)
        .toList();
  }
}
