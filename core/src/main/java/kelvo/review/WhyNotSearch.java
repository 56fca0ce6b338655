package kelvo.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kelvo.hit.Hit;
import kelvo.job.Progress;
import kelvo.rule.LooserRule;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.universe.Membership;
import kelvo.universe.Universe;

/** Looks for the reason why a scan never found a symbol, and for the change that would find it. */
final class WhyNotSearch {
  /** The name of the scan with no rules but its triggers. */
  private static final String TRIGGERS = "fires";

  private final Session session;
  private final Scan scan;
  private final int security;
  private final String symbol;
  private final ScanVariants variants;

  WhyNotSearch(Session session, Scan scan, int security, long until) {
    this.session = session;
    this.scan = scan;
    this.security = security;
    symbol = session.security(security).symbol();
    variants = new ScanVariants(session, scan, security, until);
  }

  WhyNotFound answer(Progress progress) {
    String out = Membership.of(scan.universe(), session).whyOut(security);
    Map<String, Scan> asked = new LinkedHashMap<>();
    asked.put("", variants.alone(scan));
    for (int i = 0; out.isEmpty() && i < scan.rules().size(); i++) {
      Rule rule = scan.rules().get(i);
      asked.put(
          rule.sentence(),
          variants.alone(variants.without(i)).listing(List.of(), List.of(rule.field())));
    }
    if (out.isEmpty()) {
      variants.withoutGroups().forEach((group, other) -> asked.put(group, variants.alone(other)));
    }
    asked.put(TRIGGERS, variants.alone(scan.withRules(List.of()).withAnyOf(List.of())));
    RuleStrips strips = new RuleStrips(session, scan);
    NearMisses misses = new NearMisses(session, variants.alone(scan));
    Map<String, List<Hit>> hits =
        variants.play(
            asked,
            WhyNotFound.waitsForTriggers(scan) ? List.of(strips) : List.of(strips, misses),
            progress.within(0, 0.5));
    if (WhyNotFound.waitsForTriggers(scan)) {
      scan.rules().forEach(rule -> fired(rule, hits, misses));
    }
    Optional<Hit> asItIs = hits.getOrDefault("", List.of()).stream().findFirst();
    List<WhyNotFound.Strip> all = strips.strips(hits.getOrDefault(TRIGGERS, List.of()));
    if (out.isEmpty() && asItIs.isPresent()) {
      return new WhyNotFound(symbol, scan, asItIs, all, List.of(), "");
    }
    List<WhyNotFound.Looser> looser =
        out.isEmpty()
            ? loosened(misses, hits, progress.within(0.5, 1))
            : asItIs.stream()
                .map(hit -> looser("in universe " + scan.universe().name(), "", everyone(), hit))
                .toList();
    return new WhyNotFound(
        symbol, scan, Optional.empty(), all, looser, looser.isEmpty() ? unmended(out, hits) : "");
  }

  private void fired(Rule rule, Map<String, List<Hit>> hits, NearMisses misses) {
    for (Hit hit : hits.getOrDefault(rule.sentence(), List.of())) {
      misses.fired(rule, hit.fields().of(rule.field().words()), session.phases().indexAt(hit.at()));
    }
  }

  private Scan everyone() {
    return scan.within(Universe.EVERYONE);
  }

  private String unmended(String out, Map<String, List<Hit>> hits) {
    if (!out.isEmpty()) {
      return symbol + " is not in universe " + scan.universe().name() + ": " + out + ".";
    }
    return WhyNotFound.waitsForTriggers(scan) && hits.getOrDefault(TRIGGERS, List.of()).isEmpty()
        ? "None of its triggers fired on " + symbol + " in the scan's window."
        : "No single change would have found " + symbol + ": more than one rule kept it out.";
  }

  /**
   * Each rule in turn with the nearest bound that would have opened it, or left out where it has
   * none, played again; those that were moved least come first.
   */
  private List<WhyNotFound.Looser> loosened(
      NearMisses misses, Map<String, List<Hit>> hits, Progress progress) {
    Map<Rule, Rule> nearest = misses.nearest();
    Map<String, Scan> changed = new LinkedHashMap<>();
    for (Rule rule : scan.rules()) {
      boolean opens = nearest.containsKey(rule) || hits.containsKey(rule.sentence());
      if (opens) {
        changed.put(rule.sentence(), with(rule, Optional.ofNullable(nearest.get(rule))));
      }
    }
    Map<String, Scan> ofSymbol = new LinkedHashMap<>();
    changed.forEach((sentence, other) -> ofSymbol.put(sentence, variants.alone(other)));
    Map<String, List<Hit>> found =
        changed.isEmpty() ? Map.of() : variants.play(ofSymbol, List.of(), progress);
    List<WhyNotFound.Looser> looser = new ArrayList<>();
    for (Rule rule : scan.rules()) {
      Scan other = changed.get(rule.sentence());
      List<Hit> first = found.getOrDefault(rule.sentence(), List.of());
      if (other != null && !first.isEmpty()) {
        String instead = nearest.containsKey(rule) ? nearest.get(rule).sentence() : "";
        looser.add(looser(rule.sentence(), instead, other, first.getFirst()));
      }
    }
    variants
        .withoutGroups()
        .forEach(
            (group, other) ->
                hits.getOrDefault(group, List.of()).stream()
                    .findFirst()
                    .ifPresent(hit -> looser.add(looser(group, "", other, hit))));
    looser.sort(Comparator.comparingDouble(this::share).thenComparingLong(WhyNotFound.Looser::at));
    return looser;
  }

  /** How far a bound was moved, as a share of itself; a rule that is left out comes last. */
  private double share(WhyNotFound.Looser looser) {
    if (looser.instead().isEmpty()) {
      return Double.POSITIVE_INFINITY;
    }
    for (int i = 0; i < scan.rules().size(); i++) {
      Rule before = scan.rules().get(i);
      Rule after = looser.scan().rules().get(i);
      if (!before.equals(after)) {
        int phase = session.phases().indexAt(looser.at());
        return after
            .intervalIn(phase, session.phases())
            .map(to -> moved(before, phase, to))
            .orElse(Double.MAX_VALUE);
      }
    }
    return Double.MAX_VALUE;
  }

  private double moved(Rule before, int phase, Rule.Interval to) {
    double low = LooserRule.distance(before, phase, session.phases(), to.low());
    double high = LooserRule.distance(before, phase, session.phases(), to.high());
    return Double.isInfinite(to.low())
        ? high
        : Double.isInfinite(to.high()) ? low : Math.max(low, high);
  }

  private WhyNotFound.Looser looser(String rule, String instead, Scan changed, Hit hit) {
    return new WhyNotFound.Looser(rule, instead, changed, hit.at(), hit.price());
  }

  /** The scan with a rule changed, or left out. */
  private Scan with(Rule changed, Optional<Rule> instead) {
    List<Rule> rules = new ArrayList<>();
    for (Rule rule : scan.rules()) {
      if (!rule.equals(changed)) {
        rules.add(rule);
      } else {
        instead.ifPresent(rules::add);
      }
    }
    return scan.withRules(rules);
  }
}
