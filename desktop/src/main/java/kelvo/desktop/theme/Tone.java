package kelvo.desktop.theme;

import java.util.Locale;

/** What a colour is for. Each has one value a theme. */
public enum Tone {
  GROUND,
  CARD,
  INK,
  FADED,
  LINES,
  ACCENT,
  UP,
  DOWN,
  CATALYST,
  HALT,
  SELECTION;

  String token() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The tone of a change: up, down, or ink when there is none or it is unknown. */
  public static Tone ofChange(double change) {
    return change > 0 ? UP : change < 0 ? DOWN : INK;
  }
}
