package kelvo.alert;

import kelvo.hit.Hit;
import kelvo.scan.Side;
import kelvo.tape.HaltReason;
import kelvo.tape.Price;
import kelvo.trigger.Trigger;

/**
 * Something that may ring.
 *
 * @param at when, {@link kelvo.time.DayTime}
 * @param security its number in the session
 * @param kind what it is
 * @param source the scan's name; empty for a halt
 * @param words what happened, in words
 * @param side which way it looks
 * @param price {@link Price} units; {@link Price#NONE} when unknown
 * @param rangeRatio of the five minutes before; NaN when unknown
 * @param volumeBurst likewise
 * @param dollars traded in the five minutes before; NaN when unknown
 * @param warning what speaks against it, in words; may be empty
 */
public record AlertEvent(
    long at,
    int security,
    String symbol,
    Kind kind,
    String source,
    String words,
    Side side,
    long price,
    double rangeRatio,
    double volumeBurst,
    double dollars,
    String warning) {
  /** What may ring. */
  public enum Kind {
    HALT,
    LEVEL,
    ALERT,
    SCAN
  }

  /** A hit of a scan or of a level. A hit that tells a halt is one. */
  public static AlertEvent of(Hit hit) {
    return of(
        hit,
        hit.trigger().equals(Trigger.HALT)
            ? Kind.HALT
            : hit.version().isEmpty() ? Kind.LEVEL : Kind.SCAN);
  }

  /** A hit of an alert of the trader's own. */
  public static AlertEvent ofAlert(Hit hit) {
    return of(hit, Kind.ALERT);
  }

  private static AlertEvent of(Hit hit, Kind kind) {
    return new AlertEvent(
        hit.at(),
        hit.security(),
        hit.symbol(),
        kind,
        kind == Kind.HALT ? "" : hit.scan(),
        hit.trigger().words(),
        hit.side(),
        hit.price(),
        hit.fields().of("range ratio"),
        hit.fields().of("volume burst"),
        hit.fields().of("volume 5m") * Price.dollars(hit.price()),
        StairWarning.of(hit));
  }

  /** A halt that the exchange tells, whether or not a scan looks for halts. */
  public static AlertEvent halt(long at, int security, String symbol, String reason, long price) {
    return new AlertEvent(
        at,
        security,
        symbol,
        Kind.HALT,
        "",
        "halted, " + HaltReason.words(reason),
        Side.BOTH,
        price,
        Double.NaN,
        Double.NaN,
        Double.NaN,
        "");
  }
}
