package kelvo.setting;

import java.util.List;
import java.util.Optional;
import kelvo.setting.Allowed.Amount;
import kelvo.setting.Allowed.OnOff;
import kelvo.setting.Allowed.TimeOfDay;
import kelvo.setting.Allowed.WebAddress;
import kelvo.setting.Allowed.Words;
import kelvo.setting.Setting.Group;

/** All settings, in the order of the page. */
public final class SettingCatalogue {
  /** The look of every window. */
  public static final Setting THEME =
      now(
          "theme",
          Group.LOOK,
          "Daybreak is ink on paper, Night is for a dark room.",
          new Words(List.of("daybreak", "night")),
          "daybreak");

  /** How large letters and figures are. */
  public static final Setting TEXT_SIZE =
      now(
          "text size",
          Group.LOOK,
          "How large letters and figures are.",
          new Amount(90, 125, 0, "%"),
          "100");

  /** From how much money on a print stands on the chart. */
  public static final Setting BLOCKS =
      now(
          "block",
          Group.LOOK,
          "A print of at least so much money stands on the chart as a ring, at its price and time.",
          new Amount(10_000, 1e9, 0, "dollars"),
          "250000");

  /** Whether the line of the next step stands on a stage. */
  public static final Setting NEXT_STEPS =
      now(
          "next steps",
          Group.LOOK,
          "Each stage says in one line what to do next.",
          new OnOff(),
          OnOff.ON);

  /** Whether alerts pop up. */
  public static final Setting POPUPS =
      now(
          "popups",
          Group.ALERTS,
          "An alert pops up at the corner of the window.",
          new OnOff(),
          OnOff.ON);

  /** How long a popup stands. */
  public static final Setting POPUP_SECONDS =
      now(
          "popup seconds",
          Group.ALERTS,
          "How long a popup stays.",
          new Amount(2, 60, 0, "seconds"),
          "8");

  /** Whether alerts sound. */
  public static final Setting SOUNDS =
      now("sounds", Group.ALERTS, "An alert sounds.", new OnOff(), OnOff.OFF);

  /** How loud they are. */
  public static final Setting VOLUME =
      now("volume", Group.ALERTS, "How loud an alert sounds.", new Amount(5, 100, 0, "%"), "80");

  /** Where alerts are sent. */
  public static final Setting WEBHOOK =
      now(
          "webhook address",
          Group.ALERTS,
          "Alerts by webhook are posted to this web address, signed with the secret in"
              + " webhook.secret of the data folder.",
          new WebAddress(),
          "");

  /** How long a symbol stays silent. */
  public static final Setting COOLDOWN =
      now(
          "cooldown seconds",
          Group.ALERTS,
          "How long an alert on a symbol is silent after it rang; each repeat doubles it, up to a"
              + " quarter of an hour.",
          new Amount(0, 600, 0, "seconds"),
          "60");

  /** How many rings of one scan a minute. */
  public static final Setting RINGS_A_MINUTE =
      now(
          "rings a minute",
          Group.ALERTS,
          "How often one scan may ring a minute on symbols that are not watched; beyond it only"
              + " what is stronger.",
          new Amount(1, 60, 0, "a minute"),
          "6");

  /** How many rings of one scan a phase. */
  public static final Setting RINGS_A_PHASE =
      now(
          "rings a phase",
          Group.ALERTS,
          "How often one scan may ring a phase of the day on symbols that are not watched.",
          new Amount(1, 1000, 0, "a phase"),
          "40");

  /** How far from the price a level may be put without a question. */
  public static final Setting FAR_LEVEL =
      now(
          "far level %",
          Group.LIMITS,
          "A level further than this from the price asks first.",
          new Amount(1, 100, 0, "% of the price"),
          "25");

  /** What a day may lose. */
  public static final Setting LOSS_LIMIT =
      now(
          "loss limit",
          Group.LIMITS,
          "What a day may lose: the header warns at half of it and at the whole; 0 for no limit.",
          new Amount(0, 1e7, 2, "dollars"),
          "0");

  /** Where a phase begins. */
  public static final Setting PREMARKET = phase("premarket", "07:00");

  /** Where a phase begins. */
  public static final Setting MORNING = phase("morning", "10:00");

  /** Where a phase begins. */
  public static final Setting MIDDAY = phase("midday", "11:30");

  /** Where a phase begins. */
  public static final Setting AFTERNOON = phase("afternoon", "13:00");

  /** Where a phase begins. */
  public static final Setting CLOSE = phase("close", "15:00");

  /** The phases whose start may be set; the others begin with the day, the bell or its end. */
  public static final List<Setting> PHASES = List.of(PREMARKET, MORNING, MIDDAY, AFTERNOON, CLOSE);

  /** What a position is sized by. */
  public static final Setting ACCOUNT =
      now(
          "account",
          Group.ACCOUNT,
          "Your account, which the size of a position is reckoned from; 0 for no size.",
          new Amount(0, 1e9, 2, "dollars"),
          "0");

  /** What a trade may lose. */
  public static final Setting RISK =
      now(
          "risk %",
          Group.ACCOUNT,
          "What a trade may lose between entry and stop.",
          new Amount(0.01, 100, 2, "% of the account"),
          "1");

  /** How much may be bought for the account. */
  public static final Setting BUYING_POWER =
      now(
          "buying power",
          Group.ACCOUNT,
          "What may be bought for the account during the day: the cash, or a multiple of it.",
          new Words(List.of("cash", "margin 2x", "margin 4x")),
          "cash");

  /** How much may be sold short for the account. */
  public static final Setting SHORT_POWER =
      now(
          "short selling power",
          Group.ACCOUNT,
          "What may be sold short for the account.",
          new Words(List.of("none", "1x", "2x")),
          "none");

  /** What the stop of a size is when none is set. */
  public static final Setting STOP_ATR =
      now(
          "stop atr",
          Group.ACCOUNT,
          "How many average true ranges (of 14 days) lie between price and stop, where no stop is"
              + " set.",
          new Amount(0.05, 5, 2, "ATR"),
          "0.5");

  /** What a broker takes for each share. */
  public static final Setting FEE_PER_SHARE =
      now(
          "fee a share",
          Group.ACCOUNT,
          "Counted for each share of a fill whose own fee is empty or 0.",
          new Amount(0, 10, 6, "dollars"),
          "0");

  /** What a broker takes for each order. */
  public static final Setting FEE_PER_ORDER =
      now(
          "fee an order",
          Group.ACCOUNT,
          "Counted once for each order whose fills have no fee of their own.",
          new Amount(0, 1000, 4, "dollars"),
          "0");

  /** Which shares a closing fill closes. */
  public static final Setting COST =
      now(
          "closes",
          Group.ACCOUNT,
          "Which shares a closing fill closes while a trade is partly open.",
          new Words(List.of("oldest first", "average cost")),
          "oldest first");

  /** {@link kelvo.review.ReviewSettings#moveGap}. */
  public static final Setting MOVE_GAP =
      now(
          "move gap minutes",
          Group.REVIEW,
          "A move ends after so long without a hit.",
          new Amount(1, 240, 0, "minutes"),
          "15");

  /** {@link kelvo.review.ReviewSettings#entryAfter}. */
  public static final Setting ENTRY_AFTER =
      now(
          "entry after minutes",
          Group.REVIEW,
          "An entry so long after a move's last hit still belongs to it.",
          new Amount(0, 240, 0, "minutes"),
          "15");

  /** {@link kelvo.review.ReviewSettings#lateChasePercent}. */
  public static final Setting LATE_CHASE =
      now(
          "late beyond %",
          Group.REVIEW,
          "An entry further than this beyond the first hit's price is late.",
          new Amount(0.1, 100, 2, "%"),
          "2");

  /** {@link kelvo.review.ReviewSettings#lateAfter}. */
  public static final Setting LATE_AFTER =
      now(
          "late after minutes",
          Group.REVIEW,
          "An entry later than this after the latest hit is late, unless at a planned level.",
          new Amount(0, 240, 0, "minutes"),
          "3");

  /** {@link kelvo.review.ReviewSettings#atLevelPercent}. */
  public static final Setting AT_LEVEL =
      now(
          "at level %",
          Group.REVIEW,
          "An entry this near to a planned level is at it.",
          new Amount(0, 10, 2, "%"),
          "0.2");

  /** {@link kelvo.review.ReviewSettings#ranWithin}. */
  public static final Setting RAN_WITHIN =
      now(
          "ran within minutes",
          Group.REVIEW,
          "How long a move has to run.",
          new Amount(1, 240, 0, "minutes"),
          "30");

  /** {@link kelvo.review.ReviewSettings#ranLeastPercent}. */
  public static final Setting RAN_LEAST =
      now(
          "ran at least %",
          Group.REVIEW,
          "A move that ran went half an ATR, and at least this far.",
          new Amount(0.1, 100, 2, "%"),
          "2");

  /** {@link kelvo.review.ReviewSettings#lookedFor}. */
  public static final Setting LOOKED_FOR =
      now(
          "looked at seconds",
          Group.REVIEW,
          "How long a symbol must have been in focus to count as looked at.",
          new Amount(1, 600, 0, "seconds"),
          "5");

  /** How long an order on paper takes to arrive. */
  public static final Setting PAPER_LATENCY =
      now(
          "paper order milliseconds",
          Group.ACCOUNT,
          "How long an order on paper takes to arrive.",
          new Amount(0, 10_000, 0, "milliseconds"),
          "300");

  /** All of them. */
  public static final List<Setting> ALL =
      List.of(
          THEME,
          TEXT_SIZE,
          BLOCKS,
          NEXT_STEPS,
          POPUPS,
          POPUP_SECONDS,
          SOUNDS,
          VOLUME,
          WEBHOOK,
          COOLDOWN,
          RINGS_A_MINUTE,
          RINGS_A_PHASE,
          FAR_LEVEL,
          LOSS_LIMIT,
          PREMARKET,
          MORNING,
          MIDDAY,
          AFTERNOON,
          CLOSE,
          ACCOUNT,
          RISK,
          BUYING_POWER,
          SHORT_POWER,
          STOP_ATR,
          FEE_PER_SHARE,
          FEE_PER_ORDER,
          COST,
          PAPER_LATENCY,
          MOVE_GAP,
          ENTRY_AFTER,
          LATE_CHASE,
          LATE_AFTER,
          AT_LEVEL,
          RAN_WITHIN,
          RAN_LEAST,
          LOOKED_FOR);

  private SettingCatalogue() {}

  private static Setting now(
      String key, Group group, String sentence, Allowed allowed, String initial) {
    return new Setting(key, group, sentence, allowed, initial, false);
  }

  private static Setting phase(String name, String from) {
    return new Setting(
        name + " from",
        Group.PHASES,
        "When " + name + " begins; rules with a bound a phase follow.",
        new TimeOfDay(),
        from,
        true);
  }

  /** The setting of a key. */
  public static Optional<Setting> of(String key) {
    return ALL.stream().filter(setting -> setting.key().equals(key)).findFirst();
  }
}
