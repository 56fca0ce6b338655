package kelvo.desktop.morning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The corners of the smallest convex outline around points, by Andrew's monotone chain (1979). */
final class ConvexHull {
  private ConvexHull() {}

  static List<double[]> of(List<double[]> points) {
    List<double[]> sorted = new ArrayList<>(points);
    sorted.sort(Comparator.<double[]>comparingDouble(p -> p[0]).thenComparingDouble(p -> p[1]));
    if (sorted.size() < 3) {
      return sorted;
    }
    List<double[]> hull = chain(sorted);
    hull.removeLast();
    List<double[]> upper = chain(sorted.reversed());
    upper.removeLast();
    hull.addAll(upper);
    return hull;
  }

  private static List<double[]> chain(List<double[]> points) {
    List<double[]> chain = new ArrayList<>();
    for (double[] p : points) {
      while (chain.size() >= 2 && turn(chain.get(chain.size() - 2), chain.getLast(), p) <= 0) {
        chain.removeLast();
      }
      chain.add(p);
    }
    return chain;
  }

  private static double turn(double[] a, double[] b, double[] c) {
    return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  }
}
