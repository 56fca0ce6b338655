package kelvo.desktop.chart;

import java.util.ArrayList;
import java.util.List;
import kelvo.tape.Price;

/**
 * A straight scale from values to pixels, top to bottom.
 *
 * @param low value at the bottom
 * @param high value at the top
 */
record Axis(double low, double high, double top, double height) {
  private static final double[] ROUND = {1, 2, 2.5, 5};

  /** An axis with some room above and below. */
  static Axis of(double low, double high, double top, double height) {
    double room = Math.max((high - low) * 0.06, high * 0.001);
    return new Axis(low - room, high + room, top, height);
  }

  double y(double value) {
    return top + (high - value) / (high - low) * height;
  }

  double value(double y) {
    return high - (y - top) / height * (high - low);
  }

  /**
   * The heights of the scale: round prices, 1, 2, 2.5 or 5 times a power of ten apart and whole
   * ticks each, so that no two read the same.
   *
   * @param most how many at most
   */
  List<Long> steps(int most) {
    long least = Price.of(low);
    long range = Price.of(high) - least;
    // From a dollar on prices are read in cents, so that a finer step would read the same twice.
    long tick = least + range < Price.DOLLAR ? 1 : Price.DOLLAR / 100;
    long step = tick;
    for (int place = 0; range / step > most; place++) {
      long power = tick * (long) Math.pow(10, place / ROUND.length);
      long wanted = Math.round(power * ROUND[place % ROUND.length]);
      step = wanted % tick == 0 ? wanted : step;
    }
    List<Long> steps = new ArrayList<>();
    for (long at = Math.ceilDiv(least, step) * step; at <= least + range; at += step) {
      steps.add(at);
    }
    return steps;
  }
}
