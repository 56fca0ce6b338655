package kelvo.hit;

import kelvo.field.FieldValues;
import kelvo.scan.Side;
import kelvo.trigger.Trigger;

/**
 * The moment at which a security began to fit a scan, or a trigger fired while it fitted.
 *
 * @param number its place among the session's hits, from 0
 * @param scan the scan's name; for levels, "levels"
 * @param version {@link kelvo.scan.Scan#version} of the scan; empty for levels
 * @param side which way it looks
 * @param security the security's number in the session
 * @param symbol the ticker
 * @param at when, {@link kelvo.time.DayTime}
 * @param trigger what fired
 * @param price Kelvo's price then, {@link kelvo.tape.Price} units
 * @param fields every recorded field's value then
 */
public record Hit(
    int number,
    String scan,
    String version,
    Side side,
    int security,
    String symbol,
    long at,
    Trigger trigger,
    long price,
    FieldValues fields) {
  /** The same hit without its fields, which keep the whole session in memory. */
  public Hit bare() {
    return new Hit(
        number, scan, version, side, security, symbol, at, trigger, price, FieldValues.NONE);
  }

  /** The same hit at another place among the session's. */
  Hit numbered(int place) {
    return place == number
        ? this
        : new Hit(place, scan, version, side, security, symbol, at, trigger, price, fields);
  }
}
