package kelvo.review;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kelvo.history.Median;
import kelvo.statistics.WilsonInterval;
import kelvo.watchlist.Watchlist;

/**
 * Some of the moves, by what they have in common, and what they did afterwards: an outcome. Unknown
 * numbers are NaN.
 *
 * @param name what they have in common
 * @param moves how many
 * @param known of how many it is known whether they ran
 * @param ran how many of these ran
 * @param interval the 95% interval of the share that ran
 * @param medianGone the share of the run that was over at the first hit, in the median
 * @param medianBest the best excursion over each horizon, per cent, in the median
 */
public record MoveGroup(
    String name,
    int moves,
    int known,
    int ran,
    WilsonInterval interval,
    double medianGone,
    Map<Horizon, Double> medianBest) {
  public MoveGroup {
    medianBest = Map.copyOf(medianBest);
  }

  /** The best excursion over a horizon, in the median. */
  public double best(Horizon horizon) {
    return medianBest.getOrDefault(horizon, Double.NaN);
  }

  /** The moves of a review by their verdicts, in the order of these. */
  public static List<MoveGroup> byVerdict(List<ReviewedMove> moves) {
    Map<MoveVerdict, List<ReviewedMove>> groups = new TreeMap<>();
    moves.forEach(
        move -> groups.computeIfAbsent(move.verdict(), verdict -> new ArrayList<>()).add(move));
    return groups.entrySet().stream()
        .map(group -> of(group.getKey().word(), group.getValue()))
        .toList();
  }

  /** The moves of the symbols of each list; a move counts for each that its symbol stands on. */
  public static List<MoveGroup> byList(List<ReviewedMove> moves, List<Watchlist> lists) {
    return lists.stream()
        .map(
            list ->
                of(
                    list.name(),
                    moves.stream().filter(move -> list.holds(move.move().symbol())).toList()))
        .filter(group -> group.moves() > 0)
        .toList();
  }

  private static MoveGroup of(String name, List<ReviewedMove> moves) {
    int known = (int) moves.stream().filter(m -> m.outcome().ran() != Outcome.Ran.UNKNOWN).count();
    int ran = (int) moves.stream().filter(ReviewedMove::ran).count();
    Map<Horizon, Double> best = new EnumMap<>(Horizon.class);
    for (Horizon horizon : Horizon.values()) {
      best.put(
          horizon, Median.of(moves.stream().mapToDouble(m -> m.outcome().over(horizon).best())));
    }
    return new MoveGroup(
        name,
        moves.size(),
        known,
        ran,
        WilsonInterval.of(ran, known),
        Median.of(moves.stream().mapToDouble(m -> m.outcome().goneShare())),
        best);
  }
}
