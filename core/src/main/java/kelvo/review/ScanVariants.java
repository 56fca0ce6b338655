package kelvo.review;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.ScanBoard;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.replay.TapeListener;
import kelvo.replay.TapeReplay;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.universe.Universe;

/** A scan with other rules, on one symbol alone, played through a session up to a moment. */
final class ScanVariants {
  private final Session session;
  private final Scan scan;
  private final int security;
  private final long until;

  /** The symbol alone. */
  private final Universe alone;

  ScanVariants(Session session, Scan scan, int security, long until) {
    this.session = session;
    this.scan = scan;
    this.security = security;
    this.until = until;
    Set<String> others = new HashSet<>();
    session.securities().forEach(one -> others.add(one.symbol()));
    others.remove(session.security(security).symbol());
    alone = Universe.EVERYONE.excluding(others);
  }

  /** A scan on the symbol alone. */
  Scan alone(Scan other) {
    return other.within(alone);
  }

  /** The scan without one of its rules. */
  Scan without(int rule) {
    List<Rule> rules = new ArrayList<>(scan.rules());
    rules.remove(rule);
    return scan.withRules(rules);
  }

  /** The scan without each of its groups of rules of which one must hold, by their sentences. */
  Map<String, Scan> withoutGroups() {
    Map<String, Scan> without = new LinkedHashMap<>();
    for (int i = 0; i < scan.anyOf().size(); i++) {
      List<List<Rule>> groups = new ArrayList<>(scan.anyOf());
      without.put(RuleSentence.ofAny(groups.remove(i)), scan.withAnyOf(groups));
    }
    return without;
  }

  /**
   * The hits of variants on the symbol, by the names of the variants; the scan itself has the empty
   * name.
   *
   * @param watchers look at the symbol meanwhile
   */
  Map<String, List<Hit>> play(
      Map<String, Scan> variants, List<? extends SymbolWatcher> watchers, Progress progress) {
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
      for (SymbolWatcher watcher : from == 0 ? watchers : List.<SymbolWatcher>of()) {
        watcher.look(replay.state(security));
        listening = TapeListener.both(listening, watcher);
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
}
