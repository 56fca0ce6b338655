package kelvo.research;

import java.util.List;
import kelvo.field.Field;
import kelvo.scan.Scan;
import kelvo.trade.Fees;

/**
 * What is asked of recorded sessions: what came of the finds of a scan.
 *
 * @param scan whose finds they are
 * @param moment when a find becomes a case
 * @param direction which way one enters
 * @param costs what an entry and an exit cost
 * @param own fields of the trader's own by which cases are told apart too
 */
public record Question(
    Scan scan, CaseMoment moment, Direction direction, Costs costs, List<Field.Number> own) {
  /**
   * What an entry and an exit cost besides half of the spread.
   *
   * @param position how much is bought or sold, dollars
   */
  public record Costs(Fees fees, double position) {
    /** What is asked when nobody says more. */
    public static final double USUAL_POSITION = 10_000;

    /** What buying and selling again costs, as a part of the position. */
    public double part(double price) {
      return fees.roundTrip(position / price) / position;
    }
  }

  public Question {
    own = List.copyOf(own);
  }

  /** A question without fields of the trader's own. */
  public Question(Scan scan, CaseMoment moment, Direction direction, Costs costs) {
    this(scan, moment, direction, costs, List.of());
  }

  /** The question as one sentence. */
  public String words() {
    return "When %s %s, and one %s at the next print"
        .formatted(scan.name(), moment.words(), direction.phrase());
  }
}
