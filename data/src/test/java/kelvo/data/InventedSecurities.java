package kelvo.data;

import kelvo.session.Security;
import kelvo.session.SecurityKind;

/** Securities for tests of readers, which need no more of them than a symbol and a name. */
public final class InventedSecurities {
  private InventedSecurities() {}

  /** A common stock of one share. */
  public static Security named(String symbol, String name) {
    return new Security(
        symbol, name, "XNAS", SecurityKind.COMMON_STOCK, "", "", "", 1, 1, null, null, false);
  }
}
