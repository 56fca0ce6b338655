package kelvo.trigger;

import static kelvo.trigger.TriggerFamily.AMOUNT;
import static kelvo.trigger.TriggerFamily.PERCENT;
import static kelvo.trigger.TriggerFamily.PRICE;
import static kelvo.trigger.TriggerFamily.TIMES;
import static kelvo.trigger.TriggerFamily.WHOLE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToIntFunction;
import java.util.regex.Matcher;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Unit;
import kelvo.history.DailyHistory;
import kelvo.news.CatalystRule;
import kelvo.refusal.Nearest;
import kelvo.refusal.RefusedException;
import kelvo.rule.Amounts;
import kelvo.state.Effect;
import kelvo.time.DayTime;

/** Every trigger there is, found by its words. */
public final class TriggerCatalogue {
  private static final String SIDE = "(?: to (buy|sell))?";

  /** What all occasions have in common. */
  private static final String LATER =
      " A scan whose rules or window are shut then has its hit later, if it still holds.";

  private static final List<Trigger> PLAIN =
      List.of(
          Trigger.ENTERS,
          Trigger.LEAVES,
          Trigger.NEW_HIGH_OF_DAY,
          Trigger.NEW_LOW_OF_DAY,
          Trigger.NEW_HIGH_OF_PREMARKET,
          Trigger.NEW_LOW_OF_PREMARKET,
          Trigger.NEW_HIGH_OF_SESSION,
          Trigger.NEW_LOW_OF_SESSION,
          Trigger.RISES_THROUGH_VWAP,
          Trigger.FALLS_THROUGH_VWAP,
          Trigger.RISES_THROUGH_LEVEL,
          Trigger.FALLS_THROUGH_LEVEL,
          Trigger.TOUCHES_LEVEL,
          Trigger.RETESTS_LEVEL,
          Trigger.RETESTS_LEVEL_QUIETLY,
          Trigger.HALT,
          Trigger.RESUME,
          Trigger.NEWS,
          Trigger.detected(
              "base break",
              1,
              "Two highs within 0.5%, at least 5 minutes apart, with rising lows between and after, then a print above them with volume 1m not below its mean in the base.",
              BaseBreak::new),
          Trigger.detected(
              "band near",
              0,
              "Price comes within 1% of the price band at which trading would be paused.",
              BandNear::new),
          Trigger.detected(
              "coil opens",
              0,
              "The daily coil was on at the price before, or yesterday, and is off at this one."
                  + LATER,
              CoilOpens::new));

  private static final List<TriggerFamily> FAMILIES =
      List.of(
          TriggerFamily.of("enters top 10", "enters top " + WHOLE, TriggerCatalogue::top),
          TriggerFamily.of(
              "news (tone above 0.3, weight high, subject)",
              "news \\((.+)\\)",
              TriggerCatalogue::news),
          TriggerFamily.of(
              "new high of 20d", "new (high|low) of " + WHOLE + "d", TriggerCatalogue::days),
          TriggerFamily.of(
              "new high of 52 weeks", "new (high|low) of 52 weeks", TriggerCatalogue::weeks),
          TriggerFamily.of(
              "rises through 8.20", "(rises|falls) through " + PRICE, TriggerCatalogue::price),
          TriggerFamily.of(
              "rises through ema 200d", "(rises|falls) through (.+)", TriggerCatalogue::line),
          TriggerFamily.of(
              "volume past avg volume 20d",
              "volume past avg volume " + WHOLE + "d",
              TriggerCatalogue::volumePast),
          TriggerFamily.of(
              "volume burst 5x of at least 20K",
              "volume burst " + TIMES + "(?: of at least " + AMOUNT + ")?",
              TriggerCatalogue::burst),
          TriggerFamily.of(
              "up 3% in 5m",
              "(up|down) " + PERCENT + " in " + WHOLE + "m", TriggerCatalogue::mover),
          TriggerFamily.of(
              "print of 50K shares",
              "print of " + AMOUNT + " shares( or cross)?",
              TriggerCatalogue::shares),
          TriggerFamily.of(
              "print of $1M", "print of \\$" + AMOUNT + "( or cross)?", TriggerCatalogue::money),
          TriggerFamily.of("stair step 2", "stair step " + WHOLE, TriggerCatalogue::stairs),
          TriggerFamily.of(
              "opening gap up 5%", "opening gap (up|down) " + PERCENT, TriggerCatalogue::gap),
          TriggerFamily.of(
              "first dip 3% after gap 5% regaining 50%",
              "first dip " + PERCENT + " after gap " + PERCENT + " regaining " + PERCENT,
              TriggerCatalogue::dip),
          TriggerFamily.of(
              "imbalance of 50K shares",
              "imbalance of " + AMOUNT + " shares" + SIDE,
              m -> imbalance(m, amount(m.group(1)), 0)),
          TriggerFamily.of(
              "imbalance of 0.05x avg volume",
              "imbalance of " + TIMES + " avg volume" + SIDE,
              m -> imbalance(m, 0, Double.parseDouble(m.group(1)))),
          TriggerFamily.of(
              "range ratio past 2x", "range ratio past " + TIMES, TriggerCatalogue::range),
          TriggerFamily.of(
              "fade from 10% with high after 12:00",
              "fade from " + PERCENT + " with high after ([0-9:]{5})", m -> fade(m, false)),
          TriggerFamily.of(
              "fade from 10% with high after 12:00 below its trend line",
              "fade from " + PERCENT + " with high after ([0-9:]{5}) below its trend line",
              m -> fade(m, true)));

  /** Phrases that stand for other triggers. */
  private static final Map<String, List<Trigger>> SEVERAL =
      Map.of(
          "level passed", List.of(Trigger.RISES_THROUGH_LEVEL, Trigger.FALLS_THROUGH_LEVEL),
          "level touched", List.of(Trigger.TOUCHES_LEVEL),
          "level retested", List.of(Trigger.RETESTS_LEVEL));

  private TriggerCatalogue() {}

  static List<Trigger> parse(String phrase) {
    String wanted = phrase.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    List<Trigger> several = SEVERAL.get(wanted);
    if (several != null) {
      return several;
    }
    return Stream.concat(
            PLAIN.stream().filter(t -> t.words().equals(wanted)),
            FAMILIES.stream().flatMap(f -> f.find(wanted).stream()))
        .findFirst()
        .map(List::of)
        .orElseThrow(
            () ->
                new RefusedException(
                    "no trigger is called \""
                        + phrase
                        + "\""
                        + Nearest.asQuestion(phrase, all().stream().map(Trigger::words).toList())));
  }

  /** All triggers, one example of each that has parameters. */
  public static List<Trigger> all() {
    List<Trigger> all = new ArrayList<>(PLAIN);
    FAMILIES.forEach(family -> all.add(family.example()));
    return all;
  }

  private static int way(Matcher m) {
    return switch (m.group(1)) {
      case "high", "rises", "up" -> 1;
      default -> -1;
    };
  }

  private static double amount(String text) {
    return Amounts.parse(text, Unit.SHARES)
        .orElseThrow(() -> new RefusedException("expected a number such as 50K, found " + text));
  }

  private static Trigger days(Matcher m) {
    int n = Integer.parseInt(m.group(2));
    return extreme(m, history -> n, n + " sessions");
  }

  private static Trigger weeks(Matcher m) {
    return extreme(
        m,
        DailyHistory::sessionsOf52Weeks,
        "364 days, or since the listing of 20 sessions or more,");
  }

  private static Trigger extreme(Matcher m, ToIntFunction<DailyHistory> sessions, String span) {
    return Trigger.detected(
        m.group(),
        way(m),
        "An eligible print passes the extreme of the last " + span + " and of today so far.",
        session -> new NewExtreme(session, sessions, way(m)));
  }

  private static Trigger line(Matcher m) {
    Field.Number field = FieldCatalogue.number(m.group(2));
    if (field.unit() != Unit.PRICE) {
      throw new RefusedException("price cannot pass \"" + field.words() + "\", which is no price");
    }
    return Trigger.detected(
        m.group(),
        way(m),
        "Price passes "
            + field.words()
            + ", so that the last side told is the one that it is on; a bounce of under 0.1% within a minute is not told.",
        session -> ThroughLine.of(session, field, way(m)));
  }

  private static Trigger price(Matcher m) {
    double dollars = Double.parseDouble(m.group(2));
    return Trigger.detected(
        m.group(),
        way(m),
        "Price passes "
            + m.group(2)
            + "; once more only after it was 0.1% away or a minute has passed.",
        session -> ThroughLine.at(session, dollars, way(m)));
  }

  private static Trigger volumePast(Matcher m) {
    Field.Number usual = FieldCatalogue.number("avg volume " + m.group(1) + "d");
    return Trigger.detected(
        m.group(),
        0,
        "Volume reaches its mean of the last " + m.group(1) + " sessions; once a session." + LATER,
        session ->
            new FieldReaches(
                session, Effect.PRINT, FieldCatalogue.number("volume"), usual.bind(session)));
  }

  private static Trigger burst(Matcher m) {
    double times = Double.parseDouble(m.group(1));
    double least = m.group(2) == null ? 0 : amount(m.group(2));
    return Trigger.detected(
        m.group(),
        0,
        "Volume of five minutes is at least a multiple of its mean at this time of day, and a floor, by a print or by the clock; where nothing is usual the floor alone decides.",
        session -> new VolumeBurst(session, times, least));
  }

  private static Trigger mover(Matcher m) {
    double percent = Double.parseDouble(m.group(2));
    int minutes = Integer.parseInt(m.group(3));
    return Trigger.detected(
        m.group(),
        way(m),
        "At a print: price has changed by so much against the price so many minutes ago, or against the previous close when there was none, and had not at the print before.",
        session -> new Mover(session, percent, minutes, way(m)));
  }

  private static Trigger shares(Matcher m) {
    return Trigger.detected(
        m.group(),
        0,
        "One print of at least so many shares, made at a price of the moment; an auction's only with \"or cross\".",
        session -> new LargePrint(session, amount(m.group(1)), 0, m.group(2) != null));
  }

  private static Trigger money(Matcher m) {
    return Trigger.detected(
        m.group(),
        0,
        "One print of at least so much money, made at a price of the moment; an auction's only with \"or cross\".",
        session -> new LargePrint(session, 0, amount(m.group(1)), m.group(2) != null));
  }

  private static Trigger stairs(Matcher m) {
    return Trigger.detected(
        m.group(),
        1,
        "On prints: a rise of at least 1%, a pullback of at least 0.2% and two ticks and at most half of the rise, then a price over the high; at every such step from the given one on, until a price passes the last pullback or 30 minutes pass without a step.",
        session -> new StairStep(session, Integer.parseInt(m.group(1))));
  }

  private static Trigger gap(Matcher m) {
    return Trigger.detected(
        m.group(),
        way(m),
        "The open is known and lies at least so far from the previous close; once more when the official open is another."
            + LATER,
        session -> new OpeningGap(session, Double.parseDouble(m.group(2)), way(m)));
  }

  private static Trigger dip(Matcher m) {
    double fall = Double.parseDouble(m.group(1));
    double gap = Double.parseDouble(m.group(2));
    double regained = Double.parseDouble(m.group(3));
    return Trigger.detected(
        m.group(),
        1,
        "After an opening gap up: price falls so far from the high, then regains a part of the fall from its lowest; once a session."
            + LATER,
        session -> new FirstDip(session, gap, fall, regained));
  }

  private static Trigger imbalance(Matcher m, double shares, double part) {
    int side = m.group(2) == null ? 0 : m.group(2).equals("buy") ? 1 : -1;
    return Trigger.detected(
        m.group(),
        side,
        "A message says that an auction cannot pair so many shares; with \"to buy\" or \"to sell\" those of that side alone.",
        session -> new AuctionImbalance(session, shares, part, side));
  }

  private static Trigger range(Matcher m) {
    double ratio = Double.parseDouble(m.group(1));
    return Trigger.detected(
        m.group(),
        0,
        "Today's range reaches a multiple of its mean of 20 sessions; once a session." + LATER,
        session ->
            new FieldReaches(
                session,
                Effect.DAY_HIGH | Effect.DAY_LOW,
                FieldCatalogue.number("range ratio"),
                (state, now) -> ratio));
  }

  private static Trigger fade(Matcher m, boolean belowLine) {
    double percent = Double.parseDouble(m.group(1));
    long after = DayTime.parse(m.group(2));
    String line =
        belowLine
            ? "the line through the last two swing lows, the later one higher,"
            : "the last swing low";
    return Trigger.detected(
        m.group(),
        -1,
        "Up so much on the day with its high not before the given time, a lower high since, then a print below "
            + line
            + " of 1-minute bars.",
        session -> new Fade(session, percent, after, belowLine));
  }

  private static Trigger top(Matcher m) {
    int rank = Integer.parseInt(m.group(1));
    if (rank == 0) {
      throw new RefusedException("expected a rank of 1 or more, found \"" + m.group() + "\"");
    }
    return Trigger.top(rank);
  }

  private static Trigger news(Matcher m) {
    CatalystRule rule = CatalystRule.parse(m.group(1));
    return Trigger.detected(
        m.group(),
        0,
        "An item arrives that meets all the parts in brackets.",
        session -> new FittingNews(session, rule));
  }
}
