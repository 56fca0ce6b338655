package kelvo.field;

import java.util.List;
import kelvo.news.Themes;
import kelvo.state.SymbolState;

/** Whether a security moves with others of its sector. */
final class ThemeFields {
  private static final String MOVERS =
      " of its sector's movers in its direction: 5% or more from the previous close on $500K or more, and a tenth of the leader's dollars.";
  private static final String NO_MOVER =
      "no security of its sector moves so, or one security is looked at alone";

  private ThemeFields() {}

  static List<Field> all() {
    return List.of(
        new Field.Number(
            "theme movers",
            Unit.COUNT,
            Field.Pace.CLOCK,
            "Number" + MOVERS,
            "one security is looked at alone",
            session ->
                (s, now) -> s.market().gauge() == null ? Double.NaN : s.market().theme(s).size()),
        new Field.Number(
            "theme change %",
            Unit.PERCENT,
            Field.Pace.CLOCK,
            "Median change" + MOVERS,
            NO_MOVER,
            session -> (s, now) -> medianChange(s)),
        new Field.Word(
            "theme leader",
            Field.Pace.CLOCK,
            "The one with the most dollars" + MOVERS,
            NO_MOVER,
            (s, now) -> {
              List<Themes.Mover> movers = s.market().theme(s);
              return movers.isEmpty() ? "" : movers.getFirst().symbol();
            }));
  }

  private static double medianChange(SymbolState state) {
    double[] changes =
        state.market().theme(state).stream().mapToDouble(Themes.Mover::percent).sorted().toArray();
    int n = changes.length;
    return n == 0 ? Double.NaN : (changes[(n - 1) / 2] + changes[n / 2]) / 2;
  }
}
