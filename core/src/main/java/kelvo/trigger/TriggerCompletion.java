package kelvo.trigger;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import kelvo.rule.RuleCompletion.Proposal;

/** What a trigger that is being typed may be. */
public final class TriggerCompletion {
  private static final int MOST = 9;

  private TriggerCompletion() {}

  /** Triggers that begin with what was typed, then those that hold it. */
  public static List<Proposal> after(String typed) {
    String wanted = typed.strip().toLowerCase(Locale.ROOT);
    List<Trigger> all = TriggerCatalogue.all();
    return Stream.concat(
            all.stream().filter(t -> t.words().startsWith(wanted)),
            all.stream().filter(t -> t.words().contains(wanted)))
        .distinct()
        .filter(t -> !t.words().equals(wanted))
        .limit(MOST)
        .map(t -> new Proposal(t.words(), t.meaning()))
        .toList();
  }
}
