package kelvo.trade;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.function.ToDoubleBiFunction;
import kelvo.time.DayTime;

/** What is held when a session begins: positions are kept over nights. */
public final class CarriedPositions {
  private CarriedPositions() {}

  /**
   * The fills of the trades that are open before a session, as seen from it: their times below 0,
   * their shares and prices after the splits since.
   *
   * @param earlier the fills of each earlier day
   * @param ratio what a share of a symbol on a day has become until the session
   */
  public static List<Fill> before(
      LocalDate session,
      SortedMap<LocalDate, List<Fill>> earlier,
      ToDoubleBiFunction<String, LocalDate> ratio) {
    List<Fill> all = new ArrayList<>();
    earlier
        .headMap(session)
        .forEach(
            (day, fills) -> {
              long ago = ChronoUnit.DAYS.between(day, session) * DayTime.DAY;
              for (Fill fill : fills) {
                double split = ratio.applyAsDouble(fill.symbol(), day);
                all.add(fill.asOf(ago, BigDecimal.valueOf(split)));
              }
            });
    return RoundTrips.of(all, CostMethod.FIRST_IN_FIRST_OUT).open();
  }
}
