package kelvo.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.ScanBoard;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.replay.TapeListener;
import kelvo.replay.TapeReplay;
import kelvo.rule.LooserRule;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.universe.Membership;
import kelvo.universe.Universe;
import org.jspecify.annotations.Nullable;

/**
 * Why a scan never found a symbol in a session: what each of its rules said minute by minute, and
 * which single change would have found it first.
 *
 * @param found its first hit as the scan is; empty when it has none
 * @param strips a strip a rule, in the scan's order
 * @param looser the single changes that would have found it, the smallest first
 * @param why in words what no single change can mend; empty when one can or it was found
 */
public record WhyNotFound(
    String symbol,
    Scan scan,
    Optional<Hit> found,
    List<Strip> strips,
    List<Looser> looser,
    String why) {
  /** What a rule says in a minute. */
  public enum Answer {
    PASSES,
    FAILS,
    /** The scan's window is not open, or the rule asks nothing in this phase. */
    NOT_ASKED
  }

  /**
   * One rule through the day.
   *
   * @param rule its sentence; for the triggers their words
   * @param minutes its answer as each minute ends, from that of 04:00 on
   */
  public record Strip(String rule, List<Answer> minutes) {
    public Strip {
      minutes = List.copyOf(minutes);
    }

    /** In how many minutes it passes. */
    public long passing() {
      return minutes.stream().filter(Answer.PASSES::equals).count();
    }
  }

  /**
   * One change that finds the symbol.
   *
   * @param rule the sentence of the rule that is changed
   * @param instead the sentence in its place; empty when it is left out
   * @param scan the scan so changed
   * @param at when it hits first, {@link DayTime}
   * @param price at which price, {@link Price} units
   */
  public record Looser(String rule, String instead, Scan scan, long at, long price) {
    /** The change in words. */
    public String words() {
      return instead.isEmpty() ? "without " + rule : "with " + instead;
    }
  }

  /**
   * Finds it out. Plays the session twice, with the scan's variants on this symbol alone.
   *
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public static WhyNotFound of(
      Session session, Scan scan, int security, long until, Progress progress) {
    return new Asked(session, scan, security, until).answer(progress);
  }

  /** Whether something besides its rules makes its hits. */
  static boolean waitsForTriggers(Scan scan) {
    return !scan.triggers().equals(List.of(Trigger.ENTERS));
  }

  /** The question, with what it plays. */
  private static final class Asked {
    /** The name of the scan with no rules but its triggers. */
    private static final String TRIGGERS = "fires";

    private final Session session;
    private final Scan scan;
    private final int security;
    private final long until;
    private final String symbol;

    /** The symbol alone. */
    private final Universe alone;

    Asked(Session session, Scan scan, int security, long until) {
      this.session = session;
      this.scan = scan;
      this.security = security;
      this.until = until;
      symbol = session.security(security).symbol();
      Set<String> others = new HashSet<>();
      session.securities().forEach(one -> others.add(one.symbol()));
      others.remove(symbol);
      alone = Universe.EVERYONE.excluding(others);
    }

    WhyNotFound answer(Progress progress) {
      String out = Membership.of(scan.universe(), session).whyOut(security);
      Map<String, Scan> variants = new LinkedHashMap<>();
      variants.put("", scan.within(alone));
      for (int i = 0; out.isEmpty() && i < scan.rules().size(); i++) {
        Rule rule = scan.rules().get(i);
        variants.put(rule.sentence(), without(i).listing(List.of(), List.of(rule.field())));
      }
      variants.put(TRIGGERS, scan.within(alone).withRules(List.of()).withAnyOf(List.of()));
      RuleStrips strips = new RuleStrips(session, scan);
      NearMisses misses = new NearMisses(session, scan.within(alone));
      Map<String, List<Hit>> hits =
          play(variants, strips, waitsForTriggers(scan) ? null : misses, progress.within(0, 0.5));
      if (waitsForTriggers(scan)) {
        scan.rules().forEach(rule -> fired(rule, hits, misses));
      }
      Optional<Hit> asItIs = hits.getOrDefault("", List.of()).stream().findFirst();
      List<Strip> all = strips.strips(hits.getOrDefault(TRIGGERS, List.of()));
      if (out.isEmpty() && asItIs.isPresent()) {
        return new WhyNotFound(symbol, scan, asItIs, all, List.of(), "");
      }
      List<Looser> looser =
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
        misses.fired(
            rule, hit.fields().of(rule.field().words()), session.phases().indexAt(hit.at()));
      }
    }

    private Scan everyone() {
      return scan.within(Universe.EVERYONE);
    }

    private Scan without(int rule) {
      List<Rule> rules = new ArrayList<>(scan.rules());
      rules.remove(rule);
      return scan.within(alone).withRules(rules);
    }

    private String unmended(String out, Map<String, List<Hit>> hits) {
      if (!out.isEmpty()) {
        return symbol + " is not in universe " + scan.universe().name() + ": " + out + ".";
      }
      return waitsForTriggers(scan) && hits.getOrDefault(TRIGGERS, List.of()).isEmpty()
          ? "None of its triggers fired on " + symbol + " in the scan's window."
          : "No single change would have found " + symbol + ": more than one rule kept it out.";
    }

    /** The hits of variants on the symbol, by the names of the variants. */
    private Map<String, List<Hit>> play(
        Map<String, Scan> variants,
        @Nullable RuleStrips strips,
        @Nullable NearMisses misses,
        Progress progress) {
      Map<String, List<Hit>> hits = new LinkedHashMap<>();
      List<Map.Entry<String, Scan>> all = List.copyOf(variants.entrySet());
      for (int from = 0; from < all.size(); from += ScanBoard.MAX) {
        List<Map.Entry<String, Scan>> some =
            all.subList(from, Math.min(all.size(), from + ScanBoard.MAX));
        List<Scan> named = some.stream().map(e -> e.getValue().named(name(e.getKey()))).toList();
        TapeReplay replay = new TapeReplay(session);
        ScanEngine engine =
            new ScanEngine(
                replay,
                new Program(named, List.of()),
                hit ->
                    hits.computeIfAbsent(
                            hit.scan().equals(scan.name()) ? "" : hit.scan(),
                            name -> new ArrayList<>())
                        .add(hit));
        TapeListener listening = engine;
        if (from == 0 && strips != null) {
          strips.look(replay.state(security));
          listening = TapeListener.both(listening, strips);
        }
        if (from == 0 && misses != null) {
          misses.look(replay.state(security));
          listening = TapeListener.both(listening, misses);
        }
        replay.listen(listening);
        run(replay, progress);
      }
      return hits;
    }

    /** The scan keeps its own name, by which a rule may count its hits. */
    private String name(String variant) {
      return variant.isEmpty() ? scan.name() : variant;
    }

    private void run(TapeReplay replay, Progress progress) {
      for (long at = DayTime.FIRST; at < until; at += DayTime.MINUTE) {
        replay.runTo(at);
        progress.done((at - DayTime.FIRST) / (double) (until - DayTime.FIRST));
      }
      replay.runTo(until);
    }

    /**
     * Each rule in turn with the nearest bound that would have opened it, or left out where it has
     * none, played again; those that were moved least come first.
     */
    private List<Looser> loosened(
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
      changed.forEach((sentence, other) -> ofSymbol.put(sentence, other.within(alone)));
      Map<String, List<Hit>> found =
          changed.isEmpty() ? Map.of() : play(ofSymbol, null, null, progress);
      List<Looser> looser = new ArrayList<>();
      for (Rule rule : scan.rules()) {
        Scan other = changed.get(rule.sentence());
        List<Hit> first = found.getOrDefault(rule.sentence(), List.of());
        if (other != null && !first.isEmpty()) {
          String instead = nearest.containsKey(rule) ? nearest.get(rule).sentence() : "";
          looser.add(looser(rule.sentence(), instead, other, first.getFirst()));
        }
      }
      looser.sort(Comparator.comparingDouble(this::share).thenComparingLong(Looser::at));
      return looser;
    }

    /** How far a bound was moved, as a share of itself; a rule that is left out comes last. */
    private double share(Looser looser) {
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

    private Looser looser(String rule, String instead, Scan changed, Hit hit) {
      return new Looser(rule, instead, changed, hit.at(), hit.price());
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
}
