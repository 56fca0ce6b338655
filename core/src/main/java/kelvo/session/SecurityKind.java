package kelvo.session;

/** What a security is, from its ISO 10962 classification code (CFI). */
public enum SecurityKind {
  COMMON_STOCK("common stock"),
  PREFERRED("preferred"),
  DEPOSITARY_RECEIPT("depositary receipt"),
  FUND("fund"),
  WARRANT("warrant"),
  RIGHT("right"),
  UNIT("unit"),
  OTHER("other");

  private final String words;

  SecurityKind(String words) {
    this.words = words;
  }

  /** The kind as written in rules and shown in tables. */
  public String words() {
    return words;
  }

  /**
   * The kind of a CFI code. ISO 10962: the first letter is the category, the second the group: ES
   * common or ordinary shares, EP preferred, ED depositary receipts, EU units, C collective
   * investment, RW warrants, RS and RA rights.
   */
  public static SecurityKind ofCfi(String cfi) {
    if (cfi.startsWith("C")) {
      return FUND;
    }
    return switch (cfi.length() < 2 ? "" : cfi.substring(0, 2)) {
      case "ES" -> COMMON_STOCK;
      case "EP" -> PREFERRED;
      case "ED" -> DEPOSITARY_RECEIPT;
      case "EU" -> UNIT;
      case "RW" -> WARRANT;
      case "RS", "RA" -> RIGHT;
      default -> OTHER;
    };
  }
}
