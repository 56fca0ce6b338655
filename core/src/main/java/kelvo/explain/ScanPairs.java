package kelvo.explain;

import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.rule.Amounts;
import kelvo.rule.Bound;
import kelvo.rule.Relation;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.Side;

/** Two halves of one scan: cheap and dear stocks, risers and fallers. */
public final class ScanPairs {
  private static final Field.Number PRICE = FieldCatalogue.number("price");

  private ScanPairs() {}

  /** The scan below a price, in dollars, and the scan from there on. */
  public static List<Scan> byPrice(Scan scan, double dollars) {
    String words = Amounts.words(dollars, PRICE.unit());
    return List.of(
        with(scan, scan.name() + ", under $" + words, rule(Relation.BELOW, dollars, words)),
        with(
            scan,
            scan.name() + ", $" + words + " and over",
            rule(Relation.AT_LEAST, dollars, words)));
  }

  private static Rule rule(Relation relation, double dollars, String words) {
    return new Rule(
        PRICE, relation, List.of(new Rule.Step(new Bound.Amount(dollars, words), "")), false);
  }

  private static Scan with(Scan scan, String name, Rule rule) {
    List<Rule> rules = new ArrayList<>(scan.rules());
    rules.add(rule);
    return scan.named(name).withRules(rules);
  }

  /**
   * The scan that looks the other way: every bound on a change from one side becomes its mirror
   * image, and the side turns round. Triggers stay, since most have no mirror image of their own.
   */
  public static Scan mirrored(Scan scan) {
    List<Rule> rules = scan.rules().stream().map(ScanPairs::mirrored).toList();
    Side side =
        switch (scan.side()) {
          case UP -> Side.DOWN;
          case DOWN -> Side.UP;
          case BOTH -> Side.BOTH;
        };
    return scan.named(scan.name() + ", the other way").withRules(rules).looking(side);
  }

  private static Rule mirrored(Rule rule) {
    return Contradictions.isOfChange(rule) ? rule.mirrored() : rule;
  }
}
