package kelvo.news;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Finds sectors in which several stocks move the same way. */
public final class Themes {
  /** From how far on a stock counts as a mover, per cent. */
  public static final double MOVES = 5;

  /** From how many movers on a sector is a theme. */
  public static final int MIN_MEMBERS = 3;

  /** From how many dollars on a move counts as traded: common practice, no source. */
  public static final double MIN_DOLLARS = 500_000;

  private static final double SHARE_OF_LEADER = 0.1;

  private Themes() {}

  /** A stock with its change in per cent and the dollars traded. */
  public record Mover(String symbol, String sector, double percent, double dollars) {}

  /**
   * A theme.
   *
   * @param sector its name
   * @param up whether its stocks rise
   * @param members the one with most dollars, its leader, first
   */
  public record Theme(String sector, boolean up, List<Mover> members) {}

  private record Way(String sector, boolean up) {}

  /**
   * The themes among movers. A stock that trades less than a tenth of its leader's dollars moves
   * for itself and is left out.
   */
  public static List<Theme> of(List<Mover> movers) {
    Map<Way, List<Mover>> byWay = new LinkedHashMap<>();
    movers.stream()
        .filter(
            m ->
                Math.abs(m.percent()) >= MOVES
                    && m.dollars() >= MIN_DOLLARS
                    && !m.sector().isEmpty())
        .sorted(Comparator.comparingDouble(Mover::dollars).reversed())
        .forEach(
            m ->
                byWay
                    .computeIfAbsent(new Way(m.sector(), m.percent() > 0), w -> new ArrayList<>())
                    .add(m));
    List<Theme> themes = new ArrayList<>();
    byWay.forEach(
        (way, members) -> {
          List<Mover> together = together(members);
          if (together.size() >= MIN_MEMBERS) {
            themes.add(new Theme(way.sector(), way.up(), together));
          }
        });
    return themes;
  }

  /** Of movers of one sector and way those that move together, the one with most dollars first. */
  public static List<Mover> together(List<Mover> movers) {
    double leader = movers.stream().mapToDouble(Mover::dollars).max().orElse(0);
    return movers.stream()
        .filter(m -> m.dollars() >= leader * SHARE_OF_LEADER)
        .sorted(Comparator.comparingDouble(Mover::dollars).reversed())
        .toList();
  }
}
