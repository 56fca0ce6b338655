package kelvo.desktop.trackrecord;

import kelvo.desktop.theme.IntervalRows;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.trackrecord.ResultRange;

/** Groups of trades as rows: the mean result of a trade, with how far chance alone may move it. */
final class GroupRows {
  private static final int SMALL_SAMPLE = 20;

  private GroupRows() {}

  static IntervalRows.Row of(ResultRange group) {
    return new IntervalRows.Row(
        group.group().name(),
        Integer.toString(group.trades().size()),
        group.result().mean(),
        group.result().low(),
        group.result().high(),
        Numbers.money(group.result().mean()),
        Tone.ofMoney(group.result().mean()),
        group.trades().size() < SMALL_SAMPLE,
        words(group));
  }

  private static String words(ResultRange group) {
    String chance =
        Double.isNaN(group.result().low())
            ? "of one session alone chance cannot be told"
            : "95% between "
                + Numbers.money(group.result().low())
                + " and "
                + Numbers.money(group.result().high());
    return group.group().name()
        + ": "
        + group.trades().size()
        + " trades, a trade "
        + Numbers.money(group.result().mean())
        + ", "
        + chance
        + "; in all "
        + Numbers.money(group.group().totals().net())
        + "\nA click picks the trade that won or lost most.";
  }
}
