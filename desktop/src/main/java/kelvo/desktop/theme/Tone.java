package kelvo.desktop.theme;

import java.util.Locale;

/** What a colour is for: one meaning each. Each has one value a theme. */
public enum Tone {
  /** Behind everything. */
  GROUND,
  /** Behind what is read. */
  CARD,
  /** Behind a stretch of time or price. */
  WASH,
  INK,
  /** What comes second. */
  FADED,
  /** Edges of parts. */
  LINES,
  /** Edges of what takes text. */
  EDGE,
  /** Between rows, and the lines of scales. */
  HAIR,
  /** Ours: what is chosen, VWAP, hits. */
  ACCENT,
  SELECTION,
  /** The direction of a price. */
  UP,
  DOWN,
  /** Money made and lost, and verdicts. */
  GOOD,
  BAD,
  /** News. */
  CATALYST,
  /** A halt, where it stands among others; loudly, ink on its own ground. */
  HALT,
  HALT_GROUND,
  HALT_INK;

  String token() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The tone of a change: up, down, or ink when there is none or it is unknown. */
  public static Tone ofChange(double change) {
    return change > 0 ? UP : change < 0 ? DOWN : INK;
  }

  /** The tone of money made, lost, or neither. */
  public static Tone ofMoney(double result) {
    return result > 0 ? GOOD : result < 0 ? BAD : INK;
  }
}
