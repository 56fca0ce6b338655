package kelvo.research;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * How the results of cases lie at one horizon: as many bars below 0 as above it, each a percentage
 * point wide. What lies beyond stands in the last bar of its side.
 *
 * @param bars the cases of each bar, the lowest results first
 * @param known how many cases have a result by then
 * @param won those that won
 */
public record ResultBars(
    Held until, List<List<ResearchCase>> bars, int known, List<ResearchCase> won) {
  /** How far the bars go to each side, per cent. */
  public static final int ENDS = 15;

  /** The number of bars. */
  public static final int COUNT = 2 * ENDS;

  public ResultBars {
    bars = bars.stream().map(List::copyOf).toList();
    won = List.copyOf(won);
  }

  /** The bars of some cases. */
  public static ResultBars of(List<ResearchCase> cases, Held until) {
    List<List<ResearchCase>> bars = new ArrayList<>();
    for (int bar = 0; bar < COUNT; bar++) {
      bars.add(new ArrayList<>());
    }
    int known = 0;
    List<ResearchCase> won = new ArrayList<>();
    for (ResearchCase one : cases) {
      double result = one.result(until);
      if (!Double.isNaN(result)) {
        known++;
        if (result > 0) {
          won.add(one);
        }
        bars.get((int) Math.clamp(Math.floor(100 * result) + ENDS, 0, COUNT - 1)).add(one);
      }
    }
    return new ResultBars(until, bars, known, won);
  }

  /** The share of the cases that won, per cent; NaN without any. */
  public double wonPercent() {
    return known == 0 ? Double.NaN : 100.0 * won.size() / known;
  }

  /** The most cases that a bar has. */
  public int most() {
    return bars.stream().mapToInt(List::size).max().orElse(0);
  }

  /** What those that won are, such as "127 by close that won". */
  public String wonWords() {
    return won.size() + " by " + until.words() + " that won";
  }

  /** What the cases of a bar are, such as "12 by close from +2% to +3%". */
  public String words(int bar) {
    String between =
        bar == 0
            ? String.format(Locale.ROOT, "below %+d%%", 1 - ENDS)
            : bar == COUNT - 1
                ? String.format(Locale.ROOT, "%+d%% or more", bar - ENDS)
                : String.format(Locale.ROOT, "from %+d%% to %+d%%", bar - ENDS, bar + 1 - ENDS);
    return bars.get(bar).size() + " by " + until.words() + " " + between;
  }
}
