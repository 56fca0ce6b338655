package kelvo.desktop.workspace;

import java.time.LocalDate;

/**
 * A date of the same folder that is to be opened.
 *
 * @param moment to be shown, {@link kelvo.time.DayTime}
 * @param symbol to be in focus; empty for the first of that day's Ten
 * @param blind whether neither date nor symbol is to be told
 */
public record OtherDay(LocalDate date, long moment, String symbol, boolean blind) {
  /** One that is seen as it is. */
  public static OtherDay of(LocalDate date, long moment, String symbol) {
    return new OtherDay(date, moment, symbol, false);
  }
}
