package kelvo.setting;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import kelvo.alert.AlertLimits;
import kelvo.refusal.RefusedException;
import kelvo.review.ReviewSettings;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.trade.CostMethod;
import kelvo.trade.Fees;

/**
 * What the trader has set; everything else is as it ships.
 *
 * @param set values by the key of their setting, as {@link Allowed#checked} gives them
 */
public record Settings(Map<String, String> set) {
  /** Nothing is set. */
  public static final Settings NONE = new Settings(Map.of());

  /** How a phase's setting is called after the phase. */
  private static final String FROM = " from";

  public Settings {
    set = Map.copyOf(set);
  }

  /** The value of a setting. */
  public String text(Setting setting) {
    return set.getOrDefault(setting.key(), setting.initial());
  }

  /** The value of one that is a number. */
  public double number(Setting setting) {
    return Double.parseDouble(text(setting));
  }

  /** Whether one is switched on. */
  public boolean isOn(Setting setting) {
    return text(setting).equals(Allowed.OnOff.ON);
  }

  /** Whether one is not as it ships. */
  public boolean isSet(Setting setting) {
    return set.containsKey(setting.key());
  }

  /**
   * These with another value; the value that ships is kept as nothing.
   *
   * @throws RefusedException saying what was expected
   */
  public Settings with(Setting setting, String text) {
    String value = setting.allowed().checked(text);
    Map<String, String> changed = new LinkedHashMap<>(set);
    if (value.equals(setting.initial())) {
      changed.remove(setting.key());
    } else {
      changed.put(setting.key(), value);
    }
    Settings with = new Settings(changed);
    if (SettingCatalogue.PHASES.contains(setting)) {
      with.phases();
    }
    return with;
  }

  /**
   * The phases of the day.
   *
   * @throws RefusedException when one begins after the next
   */
  public Phases phases() {
    Map<String, Long> starts = new LinkedHashMap<>();
    for (Setting phase : SettingCatalogue.PHASES) {
      starts.put(phase.key().replace(FROM, ""), DayTime.parse(text(phase)));
    }
    return Phases.DEFAULT.starting(starts);
  }

  /** How often things may ring. */
  public AlertLimits alerts() {
    return new AlertLimits(
        (long) (number(SettingCatalogue.COOLDOWN) * DayTime.SECOND),
        AlertLimits.DEFAULT.longest(),
        (int) number(SettingCatalogue.RINGS_A_MINUTE),
        (int) number(SettingCatalogue.RINGS_A_PHASE));
  }

  /** What a broker takes for fills that name no fee. */
  public Fees fees() {
    return new Fees(
        new BigDecimal(text(SettingCatalogue.FEE_PER_SHARE)),
        new BigDecimal(text(SettingCatalogue.FEE_PER_ORDER)));
  }

  /** The numbers that verdicts go by. */
  public ReviewSettings review() {
    return new ReviewSettings(
        minutes(SettingCatalogue.MOVE_GAP),
        minutes(SettingCatalogue.ENTRY_AFTER),
        number(SettingCatalogue.LATE_CHASE),
        minutes(SettingCatalogue.LATE_AFTER),
        number(SettingCatalogue.AT_LEVEL),
        minutes(SettingCatalogue.RAN_WITHIN),
        number(SettingCatalogue.RAN_LEAST),
        (long) (number(SettingCatalogue.LOOKED_FOR) * DayTime.SECOND),
        text(SettingCatalogue.COST).equals("average cost")
            ? CostMethod.AVERAGE_COST
            : CostMethod.FIRST_IN_FIRST_OUT,
        fees());
  }

  private long minutes(Setting setting) {
    return (long) (number(setting) * DayTime.MINUTE);
  }
}
