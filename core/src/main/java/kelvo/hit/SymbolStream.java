package kelvo.hit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import kelvo.scan.Scan;

/** Hits told as one row a symbol, the newest first. */
public final class SymbolStream {
  private SymbolStream() {}

  /**
   * A symbol's hits.
   *
   * @param newest the newest hit
   * @param folds how many folds there were
   * @param firings how many hits in all
   * @param repeats how often the newest fold has fired
   * @param ratePerMinute firings of the newest fold a minute, from its first to its last; 0 for one
   * @param changePercent from the previous close, at the newest hit; NaN when unknown
   * @param volumeFiveMinutes shares of the five minutes before the newest hit; NaN when unknown
   */
  public record Row(
      Hit newest,
      int folds,
      int firings,
      int repeats,
      double ratePerMinute,
      double changePercent,
      double volumeFiveMinutes) {}

  /** The rows of these hits; those of scans that are not wanted are left out. */
  public static List<Row> of(List<Hit> hits, List<Scan> scans, Predicate<String> wanted) {
    Map<Integer, List<HitFold>> bySymbol = new LinkedHashMap<>();
    for (HitFold fold :
        HitFolding.fold(hits.stream().filter(h -> wanted.test(h.scan())).toList(), scans)) {
      bySymbol.computeIfAbsent(fold.first().security(), s -> new ArrayList<>()).add(fold);
    }
    List<Row> rows = new ArrayList<>();
    bySymbol.values().forEach(folds -> rows.add(row(folds)));
    rows.sort(Comparator.comparingInt((Row r) -> r.newest().number()).reversed());
    return rows;
  }

  private static Row row(List<HitFold> folds) {
    HitFold newest =
        folds.stream().max(Comparator.comparingInt(f -> f.last().number())).orElseThrow();
    double minutes =
        (newest.last().at() - newest.first().at()) / (double) kelvo.time.DayTime.MINUTE;
    double rate = minutes > 0 ? newest.count() / Math.max(1, minutes) : 0;
    return new Row(
        newest.last(),
        folds.size(),
        folds.stream().mapToInt(HitFold::count).sum(),
        newest.count(),
        rate,
        newest.last().fields().of("change %"),
        newest.last().fields().of("volume 5m"));
  }
}
