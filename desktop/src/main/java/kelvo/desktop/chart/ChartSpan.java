package kelvo.desktop.chart;

/**
 * Which stretch of its time a chart shows. It follows the chart until the wheel or a drag moves it.
 * Its unit is the chart's own: nanoseconds, or places of daily bars. Only for the window's thread.
 */
final class ChartSpan {
  private static final double STEP = 1.25;

  private final double least;
  private double from;
  private double to = 1;
  private double first;
  private double last = 1;
  private double width = 1;
  private boolean byHand;

  /**
   * A stretch that follows its chart.
   *
   * @param least the shortest that can be zoomed to
   */
  ChartSpan(double least) {
    this.least = least;
  }

  /**
   * Lays the stretch over so many pixels.
   *
   * @param first where there is something to see, and {@code last} where it ends
   * @param from what is shown while nothing else was chosen by hand, up to {@code to}
   */
  void lay(double first, double last, double from, double to, double width) {
    this.first = first;
    this.last = Math.max(last, first + least);
    this.width = width;
    if (!byHand) {
      this.from = from;
      this.to = Math.max(to, from + least);
    }
  }

  /** Zooms in or out around a pixel, at most to everything. */
  void zoom(double x, boolean in) {
    double fixed = at(x);
    double whole = Math.max(last - first, to - from);
    double span = Math.clamp((to - from) / (in ? STEP : 1 / STEP), least, whole);
    show(fixed - x / width * span, span);
  }

  /** Moves so that a place is in the middle. */
  void centre(double at) {
    show(at - (to - from) / 2, to - from);
  }

  /** Moves by so many pixels; something stays in sight. */
  void drag(double pixels) {
    show(from - pixels * (to - from) / width, to - from);
  }

  private void show(double wanted, double span) {
    from = Math.clamp(wanted, first - span + least, last - least);
    to = from + span;
    byHand = true;
  }

  /** Follows the chart again. */
  void follow() {
    byHand = false;
  }

  double x(double at) {
    return (at - from) / (to - from) * width;
  }

  double at(double x) {
    return from + x / width * (to - from);
  }

  double from() {
    return from;
  }

  double to() {
    return to;
  }

  double pixels(double units) {
    return units / (to - from) * width;
  }
}
