package kelvo.sim;

import java.util.List;
import kelvo.time.SessionHours;

/**
 * What is planted for one stock on one earlier session.
 *
 * @param price multiples of the close before, at moments of the day from 04:00 to 20:00
 * @param busier how many times its usual volume it trades
 * @param newsAt when an item about it is published; below 0 without one
 * @param headline of the item, with %s for the company; empty without one
 */
record PlantedDay(List<Story.Mark> price, double busier, long newsAt, String headline) {
  PlantedDay(List<Story.Mark> price, double busier) {
    this(price, busier, -1, "");
  }

  /** How far it closes from the close before, as a multiple. */
  double multiple() {
    return Story.between(price, SessionHours.USUAL_CLOSE);
  }
}
