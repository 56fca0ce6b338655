package kelvo.level;

import java.util.Locale;

/** What a level stands for. */
public enum LevelKind {
  BY_HAND,
  STOP,
  TARGET,
  PREMARKET_HIGH,
  PRIOR_DAY_HIGH,
  TREND_LINE;

  /** The kind in words. */
  public String words() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
