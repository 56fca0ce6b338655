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

/** Two halves of one scan: cheap and expensive stocks, risers and fallers. */
public final class ScanPairs {
  private static final Field.Number PRICE = FieldCatalogue.number("price");
  private static final Field.Number CHANGE = FieldCatalogue.number("change %");

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
   * What goes with a scan by the way that it looks: the scan that looks the other way, or the two
   * halves of one that looks both ways.
   */
  public static List<Scan> byWay(Scan scan) {
    return scan.side() == Side.BOTH ? halvesByWay(scan) : List.of(mirrored(scan));
  }

  /** Those that are up on the day, unchanged ones included, and those that are down. */
  private static List<Scan> halvesByWay(Scan scan) {
    return List.of(
        with(scan, scan.name() + ", up", change(Relation.AT_LEAST)).looking(Side.UP),
        with(scan, scan.name() + ", down", change(Relation.BELOW)).looking(Side.DOWN));
  }

  private static Rule change(Relation relation) {
    Bound.Amount none = new Bound.Amount(0, Amounts.words(0, CHANGE.unit()));
    return new Rule(CHANGE, relation, List.of(new Rule.Step(none, "")), false);
  }

  /**
   * The scan that looks the other way: every bound on a change from one side becomes its mirror
   * image, and the side turns round. Triggers stay, since most have no mirror image of their own.
   */
  private static Scan mirrored(Scan scan) {
    List<List<Rule>> groups =
        scan.anyOf().stream()
            .map(group -> group.stream().map(ScanPairs::mirrored).toList())
            .toList();
    return scan.named(scan.name() + ", the other way")
        .withRules(scan.rules().stream().map(ScanPairs::mirrored).toList())
        .withAnyOf(groups)
        .looking(scan.side() == Side.UP ? Side.DOWN : Side.UP);
  }

  private static Rule mirrored(Rule rule) {
    return Contradictions.isOfChange(rule) ? rule.mirrored() : rule;
  }
}
