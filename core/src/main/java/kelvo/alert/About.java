package kelvo.alert;

import kelvo.watchlist.TheTen;

/** Whom an alert is about. */
public sealed interface About {
  /** How an alert's sentence begins. */
  String words();

  /**
   * One symbol.
   *
   * @param symbol the ticker
   */
  record Symbol(String symbol) implements About {
    @Override
    public String words() {
      return symbol;
    }
  }

  /**
   * Whoever is on a watchlist.
   *
   * @param name the list's
   */
  record Members(String name) implements About {
    @Override
    public String words() {
      return name.equals(TheTen.NAME) ? "the ten:" : "list " + name + ":";
    }
  }

  /**
   * Whoever fits a scan.
   *
   * @param name the scan's
   */
  record Finds(String name) implements About {
    @Override
    public String words() {
      return "scan " + name + ":";
    }
  }

  /** The whole market. */
  record Everyone() implements About {
    @Override
    public String words() {
      return "everything:";
    }
  }
}
