package kelvo.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.hit.Hit;
import kelvo.job.Progress;
import kelvo.scan.Scan;
import kelvo.session.Session;

/**
 * When a move would have been hit without one of the rules of the scan that hit it first.
 *
 * @param rule the sentence of the rule that is left out
 * @param at the first hit then, {@link kelvo.time.DayTime}
 * @param price at which price, {@link kelvo.tape.Price} units
 */
public record EarlierHit(String rule, long at, long price) {
  /**
   * Leaves out each rule in turn; those that would have hit before the move and after the move
   * before it, the earliest first.
   *
   * @param scan the scan whose hit was the move's first
   * @param gap the longest time before the move that still counts, nanoseconds
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public static List<EarlierHit> of(
      Session session, Scan scan, Move move, long gap, Progress progress) {
    ScanVariants variants = new ScanVariants(session, scan, move.security(), move.start());
    Map<String, Scan> without = new LinkedHashMap<>();
    without.put("", variants.alone(scan));
    for (int i = 0; i < scan.rules().size(); i++) {
      without.put(scan.rules().get(i).sentence(), variants.alone(variants.without(i)));
    }
    variants.withoutGroups().forEach((group, other) -> without.put(group, variants.alone(other)));
    Map<String, List<Hit>> played = variants.play(without, List.of(), progress);
    // What the scan itself hit before belongs to the move before.
    long after =
        played.getOrDefault("", List.of()).stream()
            .mapToLong(Hit::at)
            .filter(at -> at < move.start())
            .max()
            .orElse(0);
    long from = Math.max(after + 1, move.start() - gap);
    List<EarlierHit> earlier = new ArrayList<>();
    played.forEach(
        (rule, hits) ->
            hits.stream()
                .filter(hit -> hit.side() == move.side())
                .filter(hit -> hit.at() < move.start() && hit.at() >= from)
                .map(hit -> new EarlierHit(rule, hit.at(), hit.price()))
                .findFirst()
                .ifPresent(earlier::add));
    earlier.sort(Comparator.comparingLong(EarlierHit::at));
    return earlier;
  }
}
