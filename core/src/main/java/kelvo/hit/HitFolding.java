package kelvo.hit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToLongFunction;
import kelvo.scan.Scan;

/**
 * Folds hits as they come. A fold ends when its fold time, its cooldown, passes without a firing.
 * Not thread-safe.
 */
public final class HitFolding {
  private final ToLongFunction<String> foldOfScan;
  private final Map<HitFold.Key, Integer> open = new HashMap<>();
  private final List<HitFold> folds = new ArrayList<>();

  /**
   * An empty folding.
   *
   * @param foldOfScan the fold time of a scan by its name, nanoseconds
   */
  public HitFolding(ToLongFunction<String> foldOfScan) {
    this.foldOfScan = foldOfScan;
  }

  /** The fold times of these scans; others have the usual one. */
  public static HitFolding of(List<Scan> scans) {
    Map<String, Long> times = new HashMap<>();
    scans.forEach(scan -> times.put(scan.name(), scan.fold()));
    return new HitFolding(name -> times.getOrDefault(name, Scan.DEFAULT_FOLD));
  }

  /** Adds the next hit in order of time. */
  public void add(Hit hit) {
    HitFold.Key key = HitFold.Key.of(hit);
    Integer place = open.get(key);
    if (place != null
        && hit.at() - folds.get(place).last().at() <= foldOfScan.applyAsLong(hit.scan())) {
      folds.set(place, folds.get(place).with(hit));
    } else {
      open.put(key, folds.size());
      folds.add(HitFold.of(hit));
    }
  }

  /** The folds so far, in the order of their first firing. */
  public List<HitFold> folds() {
    return List.copyOf(folds);
  }

  /** The folds of these hits. */
  public static List<HitFold> fold(List<Hit> hits, List<Scan> scans) {
    HitFolding folding = of(scans);
    hits.forEach(folding::add);
    return folding.folds();
  }
}
