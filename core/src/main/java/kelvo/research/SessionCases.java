package kelvo.research;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import kelvo.field.StateValues;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.review.Moves;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * The cases of a question in one session of which every print was recorded. The moments are the
 * scan's hits, by the engine that plays a live session. Owned by one thread.
 */
public final class SessionCases {
  private static final double PLAYED = 0.9;

  private record Found(int security, long at, CaseTraits traits) {}

  private final Session session;
  private final Question question;
  private final LaterDays later;
  private final Supplier<UsualSpreads> spreads;
  private final Progress progress;
  private final CaseTraits.Reader traits;
  private final List<Found> found = new ArrayList<>();

  private SessionCases(
      Session session,
      Question question,
      LaterDays later,
      Supplier<UsualSpreads> spreads,
      Progress progress) {
    this.spreads = spreads;
    this.progress = progress;
    this.session = session;
    this.question = question;
    this.later = later;
    traits =
        new CaseTraits.Reader(
            question, session.hours().date(), new StateValues(session), field -> true);
  }

  /**
   * The cases, by their moments.
   *
   * @param later how its securities traded afterwards
   * @param spreads stand for those that no quote told; asked when there is one
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public static List<ResearchCase> of(
      Session session,
      Question question,
      LaterDays later,
      Supplier<UsualSpreads> spreads,
      Progress progress) {
    return new SessionCases(session, question, later, spreads, progress).all();
  }

  private List<ResearchCase> all() {
    TapeReplay replay =
        switch (question.moment()) {
          case CaseMoment.FirstHit first -> firstHits(first.from());
          case CaseMoment.EveryMove moves -> moves(moves.gap());
          case CaseMoment.At at -> matches(at.in(session.hours()));
        };
    progress.done(PLAYED);
    Map<Integer, PrintPath> paths = new HashMap<>();
    List<ResearchCase> cases = new ArrayList<>();
    for (Found one : found) {
      PrintPath path =
          paths.computeIfAbsent(
              one.security(), security -> new PrintPath(session, security, spreads));
      CasePath.Entry entry = path.entryAfter(one.at(), question.direction().sign());
      if (entry != null) {
        String symbol = session.security(one.security()).symbol();
        CaseResults results =
            new CaseResults(
                symbol,
                path,
                entry,
                question,
                session.hours().close(),
                close(replay.state(one.security())),
                later);
        cases.add(
            ResearchCase.of(
                session.hours().date(), symbol, one.at(), entry, results, one.traits()));
      }
    }
    progress.done(1);
    return cases;
  }

  /** The official close, else the last print of regular hours. */
  private double close(SymbolState state) {
    long close = state.closeSoFar() != Price.NONE ? state.closeSoFar() : lastRegular(state);
    return close == Price.NONE ? Double.NaN : Price.dollars(close);
  }

  private long lastRegular(SymbolState state) {
    return state.dayHigh() == Price.NONE ? Price.NONE : state.lastPrice();
  }

  private TapeReplay firstHits(long from) {
    Set<Integer> seen = new HashSet<>();
    return played(
        (replay, hit) -> {
          if (hit.at() >= from && seen.add(hit.security())) {
            found.add(at(replay.state(hit.security()), hit.at()));
          }
        });
  }

  /** Where moves begin is known once all hits are. */
  private TapeReplay moves(long gap) {
    Map<Hit, Found> byHit = new LinkedHashMap<>();
    TapeReplay replay =
        played((playing, hit) -> byHit.put(hit, at(playing.state(hit.security()), hit.at())));
    Moves.of(session, List.copyOf(byHit.keySet()), gap, DayTime.LAST)
        .forEach(move -> found.add(byHit.get(move.hits().getFirst())));
    return replay;
  }

  private interface Heard {
    void hit(TapeReplay replay, Hit hit);
  }

  private TapeReplay played(Heard heard) {
    TapeReplay[] playing = new TapeReplay[1];
    playing[0] =
        ScanEngine.replay(
            session,
            new Program(List.of(question.scan()), List.of()),
            hit -> heard.hit(playing[0], hit));
    // By the hour, so that it can be stopped.
    for (long hour = DayTime.FIRST; hour <= DayTime.LAST; hour += DayTime.HOUR) {
      playing[0].runTo(hour);
      progress.done(PLAYED * (hour - DayTime.FIRST) / (DayTime.LAST - DayTime.FIRST));
    }
    return playing[0];
  }

  private TapeReplay matches(long time) {
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(time);
    ScanCheck check = new ScanCheck(question.scan(), session);
    for (SymbolState state : replay.states()) {
      if (state.lastPrice() != Price.NONE && check.holds(state, time, replay.phase())) {
        found.add(at(state, time));
      }
    }
    replay.runTo(DayTime.LAST);
    return replay;
  }

  private Found at(SymbolState state, long moment) {
    return new Found(state.id(), moment, traits.at(state, moment));
  }
}
