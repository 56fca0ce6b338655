package kelvo.tape;

import static kelvo.tape.SaleCondition.AVERAGE_PRICE;
import static kelvo.tape.SaleCondition.CLOSING;
import static kelvo.tape.SaleCondition.CONTINGENT;
import static kelvo.tape.SaleCondition.CROSS;
import static kelvo.tape.SaleCondition.DERIVATIVE;
import static kelvo.tape.SaleCondition.EXTENDED;
import static kelvo.tape.SaleCondition.OFFICIAL_CLOSE;
import static kelvo.tape.SaleCondition.OFFICIAL_OPEN;
import static kelvo.tape.SaleCondition.OPENING;
import static kelvo.tape.SaleCondition.UNKNOWN;

/**
 * What a print with a set of conditions updates, as a set of flags looked up in a table. A print
 * updates something only when every condition that it carries allows it. Outside regular hours an
 * extended print is as good as a regular one, unless it carries another special condition.
 */
public final class TapeRules {
  /** Updates the last price. */
  public static final int LAST = 1;

  /** Updates highs and lows. */
  public static final int HIGH_LOW = 1 << 1;

  /** Adds to volume and counts. */
  public static final int VOLUME = 1 << 2;

  /** Counts in the volume-weighted average price. */
  public static final int VWAP = 1 << 3;

  /** Belongs to regular hours whatever its time. */
  public static final int REGULAR = 1 << 4;

  /** Sets the official open. */
  public static final int SETS_OPEN = 1 << 5;

  /** Sets the official close. */
  public static final int SETS_CLOSE = 1 << 6;

  /** Updates the last price when it is the first print of the day. */
  public static final int LAST_WHEN_FIRST = 1 << 7;

  private static final int SETS = 1 << SaleCondition.values().length;
  private static final int OUTSIDE_VWAP =
      AVERAGE_PRICE.bit() | DERIVATIVE.bit() | CONTINGENT.bit() | UNKNOWN.bit();
  private static final int CROSSES = OPENING.bit() | CLOSING.bit() | CROSS.bit();
  private static final int REGULAR_MARKS =
      OPENING.bit() | CLOSING.bit() | OFFICIAL_OPEN.bit() | OFFICIAL_CLOSE.bit();
  private static final int[] IN_HOURS = table(true);
  private static final int[] OUTSIDE_HOURS = table(false);

  private TapeRules() {}

  /**
   * The flags of a print.
   *
   * @param conditions bits of {@link SaleCondition}
   * @param regularHours whether the print's time lies in regular trading
   */
  public static int flags(int conditions, boolean regularHours) {
    return (regularHours ? IN_HOURS : OUTSIDE_HOURS)[conditions & (SETS - 1)];
  }

  /** Whether a print with these conditions adds to the volume, at any time of the day. */
  public static boolean addsVolume(int conditions) {
    return (flags(conditions, true) & VOLUME) != 0;
  }

  /**
   * Whether a print with these conditions says who trades now: its shares count, and its price was
   * made at that moment, not averaged, derived or contingent.
   */
  public static boolean isOfTheMoment(int conditions) {
    return (flags(conditions, true) & VWAP) != 0;
  }

  /** Whether a print is an auction's or another cross. */
  public static boolean isCross(int conditions) {
    return (conditions & CROSSES) != 0;
  }

  private static int[] table(boolean regularHours) {
    int[] table = new int[SETS];
    for (int set = 0; set < SETS; set++) {
      table[set] = flagsOf(set, regularHours || (set & REGULAR_MARKS) != 0);
    }
    return table;
  }

  private static int flagsOf(int set, boolean regularHours) {
    int flags = LAST | HIGH_LOW | VOLUME | (regularHours ? REGULAR : 0);
    int sold = 0;
    for (SaleCondition condition : SaleCondition.values()) {
      if ((set & condition.bit()) == 0 || (condition == EXTENDED && !regularHours)) {
        continue;
      }
      boolean late = condition.updatesLastWhenFirst();
      sold |= late ? LAST_WHEN_FIRST : 0;
      flags &= condition.updatesLast() || late ? -1 : ~LAST;
      flags &= condition.updatesHighLow() ? -1 : ~HIGH_LOW;
      flags &= condition.updatesVolume() ? -1 : ~VOLUME;
    }
    if (sold != 0 && (flags & LAST) != 0) {
      flags = (flags & ~LAST) | LAST_WHEN_FIRST;
    }
    flags |= (flags & VOLUME) != 0 && (set & OUTSIDE_VWAP) == 0 ? VWAP : 0;
    flags |= (set & OFFICIAL_OPEN.bit()) != 0 ? SETS_OPEN : 0;
    flags |= (set & OFFICIAL_CLOSE.bit()) != 0 ? SETS_CLOSE : 0;
    return flags;
  }
}
