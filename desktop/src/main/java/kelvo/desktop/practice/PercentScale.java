package kelvo.desktop.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * The scale of a chart in per cent.
 *
 * @param low at the bottom
 * @param high at the top, above the low
 * @param top pixels
 * @param height likewise
 */
record PercentScale(double low, double high, double top, double height) {
  /** The least range, so that a flat price has a scale too. */
  private static final double LEAST = 0.1;

  private static final double ROOM = 0.05;
  private static final int MOST_LINES = 6;
  private static final double[] ROUND = {1, 2, 5};

  /** A scale for a range, with some room above and below. */
  static PercentScale of(double low, double high, double top, double height) {
    double room = Math.max(high - low, LEAST) * ROOM;
    return new PercentScale(low - room, Math.max(high, low + LEAST) + room, top, height);
  }

  /** Where a value is painted, pixels from the top. */
  double y(double percent) {
    return top + height * (high - percent) / (high - low);
  }

  /** The values of the gridlines, round numbers: 1, 2 or 5 times a power of ten apart. */
  List<Double> lines() {
    double step = step();
    List<Double> lines = new ArrayList<>();
    for (long line = (long) Math.ceil(low / step); line * step <= high; line++) {
      lines.add(line * step);
    }
    return lines;
  }

  private double step() {
    double power = Math.pow(10, Math.floor(Math.log10((high - low) / MOST_LINES)));
    for (double round : ROUND) {
      if ((high - low) / (round * power) <= MOST_LINES) {
        return round * power;
      }
    }
    return 10 * power;
  }

  /** The label of a gridline, with as many decimals as tell it from the next. */
  String words(double line) {
    int decimals = (int) Math.max(0, -Math.floor(Math.log10(step())));
    return Math.abs(line) < step() / 2
        ? "0%"
        : String.format(Locale.ROOT, "%+." + decimals + "f%%", line);
  }
}
