package kelvo.tape;

import static kelvo.tape.SaleCondition.AVERAGE_PRICE;
import static kelvo.tape.SaleCondition.BUNCHED;
import static kelvo.tape.SaleCondition.EXTENDED;
import static kelvo.tape.SaleCondition.FOREIGN_OFFICIAL;
import static kelvo.tape.SaleCondition.OFFICIAL_CLOSE;
import static kelvo.tape.SaleCondition.OFFICIAL_OPEN;
import static kelvo.tape.SaleCondition.OUT_OF_SEQUENCE;
import static kelvo.tape.SaleCondition.REGULAR;
import static kelvo.tape.SaleCondition.UNKNOWN;

import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/**
 * Sets of {@link SaleCondition}, as bits, from what files and feeds say. Source of the codes: the
 * two consolidated tape plans' published tables, from memory.
 */
public final class SaleConditions {
  /** Late and extended: out of sequence besides. */
  private static final String EXTENDED_LATE = "U";

  /** A print carries at most four codes. */
  private static final int MAX_PACKED = 4;

  private static final int OFFICIAL = OFFICIAL_OPEN.bit() | OFFICIAL_CLOSE.bit();

  /** Nasdaq and its three tiers by ISO 10383: the stocks of tape C. */
  private static final Set<String> TAPE_C = Set.of("XNAS", "XNGS", "XNMS", "XNCM");

  private SaleConditions() {}

  /**
   * The conditions of a print: words apart by spaces, or the tapes' codes, apart or packed such as
   * {@code @FTI}.
   *
   * @param unknown takes each code of which nothing is known
   */
  public static int parse(String text, Consumer<String> unknown) {
    int bits = 0;
    for (String word : text.isBlank() ? new String[0] : text.strip().split("\\s+")) {
      Optional<SaleCondition> named = SaleCondition.of(word);
      bits |= named.isPresent() ? named.get().bit() : packed(word, unknown);
    }
    return bits;
  }

  private static int packed(String codes, Consumer<String> unknown) {
    if (codes.length() > MAX_PACKED) {
      unknown.accept(codes);
      return UNKNOWN.bit();
    }
    int bits = 0;
    for (int i = 0; i < codes.length(); i++) {
      String code = codes.substring(i, i + 1);
      Optional<SaleCondition> condition = SaleCondition.of(code);
      if (condition.isPresent()) {
        bits |= condition.get().bit();
      } else if (code.equals(EXTENDED_LATE)) {
        bits |= EXTENDED.bit() | OUT_OF_SEQUENCE.bit();
      } else {
        unknown.accept(code);
        bits |= UNKNOWN.bit();
      }
    }
    return bits;
  }

  /**
   * What a print's conditions mean for a stock listed at a venue.
   *
   * @param mic ISO 10383
   */
  public static int of(int conditions, String mic) {
    if ((conditions & BUNCHED.bit()) == 0) {
      return conditions;
    }
    int meant = TAPE_C.contains(mic) ? REGULAR.bit() : AVERAGE_PRICE.bit();
    return (conditions & ~BUNCHED.bit()) | meant;
  }

  /**
   * What a print's conditions mean when it was made at a venue: every market centre sends an open
   * and a close of its own, but only those of the primary listing are official.
   */
  public static int at(int conditions, String venue, String mic) {
    boolean primary =
        venue.isEmpty() || venue.equals(mic) || (TAPE_C.contains(venue) && TAPE_C.contains(mic));
    return primary || (conditions & OFFICIAL) == 0
        ? conditions
        : (conditions & ~OFFICIAL) | FOREIGN_OFFICIAL.bit();
  }
}
