package kelvo.research;

import kelvo.refusal.RefusedException;

/**
 * A question that the trader has kept by name, in the words of files: the scan is named, and is
 * asked as it is then.
 *
 * @param when as {@link CaseMoment#of} reads it
 * @param after likewise; empty for none
 * @param last how many of the newest sessions are asked; 0 for all
 * @param direction which way one enters
 */
public record KeptQuestion(
    String name,
    String scan,
    String when,
    String after,
    int last,
    Direction direction,
    Held until) {
  public KeptQuestion {
    if (name.isBlank() || scan.isBlank()) {
      throw new RefusedException("a kept question needs a name and a scan");
    }
    // Refuses what is no moment.
    CaseMoment.of(when, after, 1);
  }
}
