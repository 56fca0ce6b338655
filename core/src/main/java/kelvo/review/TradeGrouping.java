package kelvo.review;

import java.util.OptionalInt;
import kelvo.hit.Hit;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.time.Phase;
import org.jspecify.annotations.Nullable;

/** What trades are told apart by. */
public enum TradeGrouping {
  VERDICT("verdict"),
  SCAN("scan"),
  VERSION("version of the scan"),
  TRIGGER("trigger"),
  PLANNED("plan"),
  SIDE("side"),
  PHASE("phase"),
  HOUR("hour"),
  PRICE("price"),
  FLOAT("float"),
  SECTOR("sector"),
  SYMBOL("symbol"),
  ACCOUNT("account");

  private static final double[] PRICES = {1, 2, 5, 10, 20, 50, 100};
  private static final double[] FLOATS = {5e6, 10e6, 20e6, 50e6, 100e6};
  private static final String UNKNOWN = "unknown";
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

  /** The group of a trade. */
  Key keyOf(ReviewedTrade trade, Session session) {
    Hit hit = trade.followed();
    return switch (this) {
      case VERDICT -> new Key(trade.verdict().ordinal(), trade.verdict().words());
      case SCAN -> ofHit(hit, hit == null ? "" : hit.scan());
      case VERSION -> ofHit(hit, hit == null ? "" : hit.scan() + " " + hit.version());
      case TRIGGER -> ofHit(hit, hit == null ? "" : hit.trigger().words());
      case PLANNED -> trade.planned() ? new Key(0, "on the Ten") : new Key(1, "not on the Ten");
      case SIDE -> new Key(trade.trade().side().ordinal(), trade.trade().side().word());
      case PHASE -> phase(trade, session);
      case HOUR -> hour(trade.trade().entryAt());
      case PRICE -> band(trade.trade().entryPrice(), PRICES, "$", 1, "");
      case FLOAT -> band(floatShares(trade, session), FLOATS, "", 1e6, "M");
      case SECTOR -> sector(facts(trade, session));
      case SYMBOL -> new Key(0, trade.trade().symbol());
      case ACCOUNT ->
          new Key(0, trade.trade().account().isEmpty() ? UNKNOWN : trade.trade().account());
    };
  }

  /** Trades without a hit come last. */
  private static Key ofHit(@Nullable Hit hit, String name) {
    return hit == null ? new Key(1, NO_HIT) : new Key(0, name);
  }

  private static Key phase(ReviewedTrade trade, Session session) {
    long at = trade.trade().entryAt();
    if (at < DayTime.FIRST) {
      return new Key(-1, "before the session");
    }
    int place = session.phases().indexAt(at);
    Phase phase = session.phases().all().get(place);
    return new Key(place, phase.name());
  }

  private static Key hour(long at) {
    if (at < 0) {
      return new Key(-1, "before the session");
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

  private static double floatShares(ReviewedTrade trade, Session session) {
    SecurityFacts facts = facts(trade, session);
    return facts == null ? Double.NaN : facts.floatShares();
  }

  private static Key sector(@Nullable SecurityFacts facts) {
    return facts == null || facts.security().sector().isEmpty()
        ? new Key(1, UNKNOWN)
        : new Key(0, facts.security().sector());
  }

  private static @Nullable SecurityFacts facts(ReviewedTrade trade, Session session) {
    OptionalInt number = session.numberOf(trade.trade().symbol());
    return number.isEmpty() ? null : session.security(number.getAsInt());
  }
}
