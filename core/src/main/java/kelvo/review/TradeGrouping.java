package kelvo.review;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import kelvo.hit.Hit;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** What trades are told apart by. */
public enum TradeGrouping {
  VERDICT("verdict"),
  SCAN("scan"),
  VERSION("version of the scan"),
  TRIGGER("trigger"),
  ALERT("alert"),
  PLANNED("plan"),
  SIDE("side"),
  PHASE("phase"),
  HOUR("hour"),
  WEEKDAY("weekday"),
  PRICE("price"),
  FLOAT("float"),
  SECTOR("sector"),
  CATALYST("catalyst"),
  TAG("tag"),
  SYMBOL("symbol"),
  ACCOUNT("account");

  private static final double[] PRICES = {1, 2, 5, 10, 20, 50, 100};
  private static final double[] FLOATS = {5e6, 10e6, 20e6, 50e6, 100e6};
  private static final String UNKNOWN = "unknown";
  private static final String BEFORE = "before the session";
  private static final String NO_HIT = "no hit";

  private final String words;

  TradeGrouping(String words) {
    this.words = words;
  }

  /** The words on screen, after "by". */
  public String words() {
    return words;
  }

  /**
   * The name of a group.
   *
   * @param place where it stands among the others
   */
  record Key(int place, String name) implements Comparable<Key> {
    @Override
    public int compareTo(Key other) {
      return place != other.place
          ? Integer.compare(place, other.place)
          : name.compareTo(other.name);
    }
  }

  /** The groups of a trade: one, or one a tag. */
  List<Key> keysOf(ReviewedTrade trade) {
    List<String> tags = trade.context().tags();
    return this == TAG && !tags.isEmpty()
        ? tags.stream().map(tag -> new Key(0, tag)).toList()
        : List.of(keyOf(trade));
  }

  private Key keyOf(ReviewedTrade trade) {
    Hit hit = trade.followed();
    TradeContext context = trade.context();
    return switch (this) {
      case VERDICT -> new Key(trade.verdict().ordinal(), trade.verdict().words());
      case SCAN -> ofHit(hit, hit == null ? "" : hit.scan());
      case VERSION -> ofHit(hit, hit == null ? "" : hit.scan() + " " + hit.version());
      case TRIGGER -> ofHit(hit, hit == null ? "" : hit.trigger().words());
      case PLANNED -> plan(trade);
      case SIDE -> new Key(trade.trade().side().ordinal(), trade.trade().side().word());
      case ALERT -> named(context.alert(), "no alert");
      case PHASE ->
          context.phaseName().isEmpty()
              ? new Key(-1, BEFORE)
              : new Key(context.phase(), context.phaseName());
      case HOUR -> hour(trade.trade().entryAt());
      case PRICE -> band(trade.trade().entryPrice(), PRICES, "$", 1, "");
      case WEEKDAY -> weekday(context.date().getDayOfWeek());
      case FLOAT -> band(context.floatShares(), FLOATS, "", 1e6, "M");
      case SECTOR -> named(context.sector(), UNKNOWN);
      case CATALYST -> named(context.catalyst(), "no news");
      case TAG -> new Key(1, "no tag");
      case SYMBOL -> new Key(0, trade.trade().symbol());
      case ACCOUNT ->
          new Key(0, trade.trade().account().isEmpty() ? UNKNOWN : trade.trade().account());
    };
  }

  /** Trades without a hit come last. */
  private static Key ofHit(@Nullable Hit hit, String name) {
    return hit == null ? new Key(1, NO_HIT) : new Key(0, name);
  }

  /**
   * Whether the plan was kept: on the Ten at the entry, for the side that was planned, to be
   * traded, and no larger than planned where the plan names a size.
   */
  private static Key plan(ReviewedTrade trade) {
    Decision decision = trade.context().decision();
    if (decision == null || decision.choice() != Choice.KEEP) {
      return new Key(4, "not on the Ten");
    }
    if (decision.side() != trade.trade().side().way()) {
      return new Key(2, "on the Ten, other side");
    }
    if (decision.bucket().equals(Decision.BUCKETS.getLast())) {
      return new Key(3, "on the Ten, only to watch");
    }
    OptionalInt planned = decision.plannedShares();
    boolean larger =
        planned.isPresent()
            && trade.trade().peakShares().compareTo(BigDecimal.valueOf(planned.getAsInt())) > 0;
    return larger ? new Key(1, "on the Ten, larger than planned") : new Key(0, "on the Ten");
  }

  /** Those without a name come last. */
  private static Key named(String name, String none) {
    return name.isEmpty() ? new Key(1, none) : new Key(0, name);
  }

  private static Key weekday(DayOfWeek day) {
    return new Key(day.getValue(), day.getDisplayName(TextStyle.FULL, Locale.ENGLISH));
  }

  private static Key hour(long at) {
    if (at < 0) {
      return new Key(-1, BEFORE);
    }
    int hour = (int) (at / DayTime.HOUR);
    return new Key(hour, DayTime.minutes(hour * DayTime.HOUR));
  }

  private static Key band(double value, double[] bounds, String sign, double unit, String suffix) {
    if (Double.isNaN(value)) {
      return new Key(bounds.length + 1, UNKNOWN);
    }
    int place = 0;
    while (place < bounds.length && value >= bounds[place]) {
      place++;
    }
    String name =
        place == 0
            ? "under " + sign + text(bounds[0] / unit) + suffix
            : sign
                + text(bounds[place - 1] / unit)
                + (place == bounds.length
                    ? suffix + " and over"
                    : " to " + text(bounds[place] / unit) + suffix);
    return new Key(place, name);
  }

  private static String text(double whole) {
    return Long.toString(Math.round(whole));
  }
}
