package kelvo.desktop.chart;

/**
 * A straight scale from values to pixels, top to bottom.
 *
 * @param low value at the bottom
 * @param high value at the top
 */
record Axis(double low, double high, double top, double height) {
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

  /** A round step that makes about so many lines. */
  double step(int lines) {
    double raw = (high - low) / lines;
    double power = Math.pow(10, Math.floor(Math.log10(raw)));
    double part = raw / power;
    return power * (part < 1.5 ? 1 : part < 3.5 ? 2 : part < 7.5 ? 5 : 10);
  }
}
