package kelvo.tape;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A condition under which a print was made, with the tapes' one-character codes for it and what
 * such a print updates: the last price, the high and low, the volume. Source of the table: the
 * consolidated tape plans' published sale-condition tables, from memory.
 */
public enum SaleCondition {
  REGULAR("@FSAXKED1Y", true, true, true),
  EXTENDED("T", false, false, true),
  ODD_LOT("I", false, false, true),
  AVERAGE_PRICE("W", false, false, true),
  /**
   * Sold last or out of sequence, prior reference price, bunched or stopped stock sold so: last
   * only if it is the first of the day.
   */
  OUT_OF_SEQUENCE("LZPG23", false, true, true),
  /** Derivatively priced: last only if it is the first of the day. */
  DERIVATIVE("4", false, true, true),
  OPENING("O", true, true, true),
  CLOSING("6", true, true, true),
  /** Carries the official opening price, adds no volume. */
  OFFICIAL_OPEN("Q", false, false, false),
  /** Carries the official closing price, adds no volume. */
  OFFICIAL_CLOSE("M", false, false, false),
  CROSS("5", true, true, true),
  /** Contingent trades, and those for cash, next day or a seller's option: volume only. */
  CONTINGENT("V7CNRH", false, false, true),
  /** A close put right after the day: it adds no volume. */
  CORRECTED_CLOSE("9", true, true, false),
  /**
   * Bunched on the plan of the stocks listed at Nasdaq, average price on the other; see {@link
   * SaleConditions#of}. On no tape.
   */
  BUNCHED("B", true, true, true),
  /** An official open or close of a market centre where the stock is not listed. */
  FOREIGN_OFFICIAL("", false, false, false),
  /** A code of which Kelvo knows nothing: its print keeps its volume. */
  UNKNOWN("", false, false, true);

  private static final Map<String, SaleCondition> BY_NAME = names();

  private final String codes;
  private final boolean last;
  private final boolean highLow;
  private final boolean volume;

  SaleCondition(String codes, boolean last, boolean highLow, boolean volume) {
    this.codes = codes;
    this.last = last;
    this.highLow = highLow;
    this.volume = volume;
  }

  /** The word in data folders. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The bit of this condition in a print's set of conditions. */
  public int bit() {
    return 1 << ordinal();
  }

  /** Whether such a print updates the last price. */
  public boolean updatesLast() {
    return last;
  }

  /** Whether such a print updates the day's high and low. */
  public boolean updatesHighLow() {
    return highLow;
  }

  /** Whether such a print adds to the volume. */
  public boolean updatesVolume() {
    return volume;
  }

  /** Whether such a print updates the last price when it is the first of its day. */
  public boolean updatesLastWhenFirst() {
    return this == OUT_OF_SEQUENCE || this == DERIVATIVE;
  }

  /** The condition of a word or of a tape's one-letter code. */
  public static Optional<SaleCondition> of(String wordOrCode) {
    return Optional.ofNullable(BY_NAME.get(wordOrCode));
  }

  private static Map<String, SaleCondition> names() {
    Map<String, SaleCondition> names = new HashMap<>();
    for (SaleCondition condition : values()) {
      names.put(condition.word(), condition);
      condition.codes.chars().forEach(c -> names.put(String.valueOf((char) c), condition));
    }
    return names;
  }
}
