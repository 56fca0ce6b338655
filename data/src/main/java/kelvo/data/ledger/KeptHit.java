package kelvo.data.ledger;

import java.time.LocalDate;
import java.util.Map;
import kelvo.scan.Side;

/**
 * A hit as the ledger keeps it.
 *
 * @param at when, {@link kelvo.time.DayTime}
 * @param version the version of the scan that made it; empty for levels and for hits of before
 *     versions were kept
 * @param trigger what fired, in words
 * @param price {@link kelvo.tape.Price} units
 * @param numbers the fields that are numbers, by their words; unknown ones are left out, and
 *     "clear" is infinite
 * @param words the other fields, by their words
 */
public record KeptHit(
    LocalDate day,
    long at,
    String scan,
    String version,
    Side side,
    String symbol,
    String trigger,
    long price,
    Map<String, Double> numbers,
    Map<String, String> words) {
  public KeptHit {
    numbers = Map.copyOf(numbers);
    words = Map.copyOf(words);
  }
}
