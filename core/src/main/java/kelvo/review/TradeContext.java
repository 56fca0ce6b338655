package kelvo.review;

import java.time.LocalDate;
import java.util.List;
import kelvo.journal.Decision;
import org.jspecify.annotations.Nullable;

/**
 * The circumstances of a trade. Unknown numbers are NaN, unknown words are empty.
 *
 * @param date the session in which it was closed, or is open
 * @param phase where the phase of the entry stands among the session's; -1 before the session
 * @param phaseName its name; empty before the session
 * @param floatShares the float in that session's shares
 * @param sector the sector of the security
 * @param catalyst the kind of the newest news on the security since the close before, at the entry
 * @param alert the alert that rang last on the symbol before the entry, as long before it at most
 *     as an entry may follow a move
 * @param decision the decision in force on the symbol at the entry; null without one
 * @param volumeShare shares opened over the shares printed in the five minutes before the entry
 * @param spreadCost what the fills paid beyond the middle of the quotes that stood, dollars; below
 *     0 when they were filled inside
 * @param tags the trader's own
 */
public record TradeContext(
    LocalDate date,
    int phase,
    String phaseName,
    double floatShares,
    String sector,
    String catalyst,
    String alert,
    @Nullable Decision decision,
    double volumeShare,
    double spreadCost,
    List<String> tags) {
  public TradeContext {
    tags = List.copyOf(tags);
  }
}
