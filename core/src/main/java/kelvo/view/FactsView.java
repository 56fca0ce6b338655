package kelvo.view;

import java.util.ArrayList;
import java.util.List;
import kelvo.check.Check;
import kelvo.check.CheckRule;
import kelvo.check.Checks;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/** Shows what is known of one security in numbers, and how the checks of the morning come out. */
public final class FactsView implements View<FactsView.FactList> {
  private static final List<String> FACTS =
      List.of(
          "gap",
          "volume",
          "volume 5m",
          "dollar volume",
          "trades",
          "avg volume 20d",
          "float",
          "float turnover",
          "spread %",
          "vwap",
          "distance from vwap",
          "premarket high",
          "day high",
          "day low",
          "ema 10d",
          "ema 50d",
          "ema 200d",
          "stack",
          "atr 14d",
          "prior-day change %",
          "minutes since news",
          "previous close");

  private final Session session;
  private final int security;
  private final List<Field.Number> fields = FACTS.stream().map(FieldCatalogue::number).toList();
  private final List<Field.Reading> readings;
  private final Checks checks;
  private final GapsView gaps;

  /** A field's words and its value as shown; an empty value is unknown. */
  public record Fact(String words, String value, String meaning) {}

  /** The facts and the checks at a moment. */
  public record FactList(List<Fact> known, List<Check> checks) {}

  /**
   * The facts of a security, by its number.
   *
   * @param rules what the checks ask
   */
  public FactsView(Session session, int security, List<CheckRule> rules) {
    this.session = session;
    this.security = security;
    readings = fields.stream().map(f -> f.bind(session)).toList();
    checks = new Checks(session, rules);
    gaps = new GapsView(session);
  }

  @Override
  public FactList look(Moment moment) {
    SymbolState state = moment.state(security);
    return new FactList(facts(state, moment.now()), checks(state, moment));
  }

  private List<Fact> facts(SymbolState state, long now) {
    List<Fact> facts = new ArrayList<>();
    for (int i = 0; i < readings.size(); i++) {
      Field.Number field = fields.get(i);
      String value = field.unit().text(readings.get(i).at(state, now));
      facts.add(
          new Fact(
              field.words(),
              value.isEmpty() ? value : field.unit().withSign(value),
              field.meaning()));
    }
    return List.copyOf(facts);
  }

  /** The trader's checks, and whether the security moves with others of its sector. */
  private List<Check> checks(SymbolState state, Moment moment) {
    List<Check> all = new ArrayList<>(checks.of(state, moment.now()));
    all.add(
        gaps.look(moment)
            .themeOf(session.security(security).symbol())
            .map(
                theme ->
                    new Check(
                        "theme",
                        Check.Result.PASS,
                        theme.sector() + ", led by " + theme.members().getFirst().symbol()))
            .orElse(new Check("theme", Check.Result.WARN, "none")));
    return List.copyOf(all);
  }
}
