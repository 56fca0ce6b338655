package kelvo.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.hit.Hit;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.state.Halts;

/** Makes moves of hits. Halted time does not count as a pause. */
public final class Moves {
  private record Stretch(int security, Side side) {}

  private Moves() {}

  /**
   * The moves of these hits, by time of their first.
   *
   * @param until the moment of the question: halts not over by then have no end
   */
  public static List<Move> of(Session session, List<Hit> hits, long gap, long until) {
    Map<Stretch, List<Hit>> byStretch = new LinkedHashMap<>();
    hits.forEach(
        h ->
            byStretch
                .computeIfAbsent(new Stretch(h.security(), h.side()), s -> new ArrayList<>())
                .add(h));
    List<Move> moves = new ArrayList<>();
    byStretch.forEach(
        (stretch, ofStretch) ->
            split(ofStretch, Halts.of(session, stretch.security(), until), gap, moves));
    moves.sort(
        Comparator.comparingLong(Move::start)
            .thenComparing(Move::symbol)
            .thenComparing(Move::side));
    return moves;
  }

  private static void split(List<Hit> hits, Halts halts, long gap, List<Move> moves) {
    int start = 0;
    for (int i = 1; i <= hits.size(); i++) {
      if (i == hits.size() || halts.tradingTime(hits.get(i - 1).at(), hits.get(i).at()) > gap) {
        Hit first = hits.get(start);
        moves.add(new Move(first.security(), first.symbol(), first.side(), hits.subList(start, i)));
        start = i;
      }
    }
  }
}
