package kelvo.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import kelvo.history.Median;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.time.Phase;
import org.jspecify.annotations.Nullable;

/**
 * A scan as it was and as changed, both played through one session up to a moment, or through
 * several to their ends. Moves of one symbol and side that overlap in time are the same
 * opportunity.
 *
 * @param sessions through how many
 * @param was the scan as it was
 * @param now the scan as changed
 * @param changes what became of each move, by session and time of first hit
 * @param noise hits an hour in each phase that the scan's window touches
 */
public record WhatIf(
    int sessions, Played was, Played now, List<Change> changes, List<Noise> noise) {
  private static final double HALF = 0.5;

  /**
   * What a scan made of the sessions.
   *
   * @param totals its totals
   * @param moves its moves, each with the trades on it
   */
  public record Played(ScanTotals totals, List<ReviewedMove> moves) {
    public Played {
      moves = List.copyOf(moves);
    }

    private static Played of(DayReview alone) {
      return new Played(alone.scans().getFirst(), alone.moves());
    }

    private static Played together(List<Played> days) {
      List<ReviewedMove> moves = days.stream().flatMap(day -> day.moves().stream()).toList();
      return new Played(
          ScanTotals.together(
              days.getFirst().totals().scan(),
              days.stream().map(Played::totals).toList(),
              moves,
              moves.stream().flatMap(move -> move.trades().stream()).toList()),
          moves);
    }
  }

  /** What a change of rules makes of a move. */
  public enum Kind {
    SAME,
    NEW,
    GONE,
    EARLIER,
    LATER;

    /** The word on screen. */
    String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * A move before and after the change.
   *
   * @param before as it was; null when it is new
   * @param after as changed; null when it is gone
   */
  public record Change(Kind kind, @Nullable ReviewedMove before, @Nullable ReviewedMove after) {
    /** The move as changed; as it was when it is gone. */
    public ReviewedMove move() {
      return after != null ? after : Objects.requireNonNull(before);
    }

    /** How much earlier its first hit comes, nanoseconds; 0 when that cannot be said. */
    public long earlierBy() {
      return before == null || after == null ? 0 : before.move().start() - after.move().start();
    }
  }

  /**
   * Hits in a phase, before and after.
   *
   * @param hours how long the phase and the scan's window have been open together
   */
  public record Noise(String phase, double hours, long hitsBefore, long hitsAfter) {
    /** Hits an hour of the scan as it was. */
    public double before() {
      return hitsBefore / hours;
    }

    /** Hits an hour of the scan as changed. */
    public double after() {
      return hitsAfter / hours;
    }
  }

  /**
   * Some of the moves, in figures.
   *
   * @param name what they are, as on screen
   * @param atTheHit what the trades on them would have brought more, had they been entered at the
   *     first price after the first hit, dollars; 0 without trades
   */
  public record Line(String name, ScanTotals totals, double atTheHit) {}

  public WhatIf {
    changes = List.copyOf(changes);
    noise = List.copyOf(noise);
  }

  /**
   * Plays both scans through a session and holds them against each other.
   *
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public static WhatIf of(
      Session session,
      Scan was,
      Scan changed,
      DayBook book,
      ReviewSettings settings,
      long until,
      Progress progress) {
    return between(
        session,
        was,
        alone(session, was, book, settings, until, progress.within(0, HALF)),
        alone(session, changed.named(was.name()), book, settings, until, progress.within(HALF, 1)));
  }

  /** Holds two reviews against each other, each of one scan alone up to the same moment. */
  public static WhatIf between(Session session, Scan was, DayReview before, DayReview after) {
    return new WhatIf(
        1,
        Played.of(before),
        Played.of(after),
        changes(before.moves(), after.moves()),
        noise(session, before, after, was));
  }

  /**
   * Several sessions as one, of the same two scans.
   *
   * @param each at least one, by date
   */
  public static WhatIf together(List<WhatIf> each) {
    return new WhatIf(
        each.size(),
        Played.together(each.stream().map(WhatIf::was).toList()),
        Played.together(each.stream().map(WhatIf::now).toList()),
        each.stream().flatMap(one -> one.changes().stream()).toList(),
        noiseOf(each.stream().flatMap(one -> one.noise().stream()).toList()));
  }

  private static List<Noise> noiseOf(List<Noise> all) {
    Map<String, Noise> noise = new LinkedHashMap<>();
    for (Noise one : all) {
      noise.merge(
          one.phase(),
          one,
          (a, b) ->
              new Noise(
                  a.phase(),
                  a.hours() + b.hours(),
                  a.hitsBefore() + b.hitsBefore(),
                  a.hitsAfter() + b.hitsAfter()));
    }
    return List.copyOf(noise.values());
  }

  /**
   * The review of one scan alone, played through a session.
   *
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public static DayReview alone(
      Session session,
      Scan scan,
      DayBook book,
      ReviewSettings settings,
      long until,
      Progress progress) {
    return DayReview.of(
        session,
        List.of(scan),
        hits(session, List.of(scan), until, progress),
        book,
        settings,
        until);
  }

  /** The hits of scans alone up to a moment. */
  private static List<Hit> hits(Session session, List<Scan> scans, long until, Progress progress) {
    List<Hit> hits = new ArrayList<>();
    TapeReplay replay =
        ScanEngine.replay(session, new Program(scans, List.of()), hit -> hits.add(hit.bare()));
    for (long at = DayTime.FIRST; at < until; at += DayTime.MINUTE) {
      replay.runTo(Math.min(at, until));
      progress.done((at - DayTime.FIRST) / (double) (until - DayTime.FIRST));
    }
    replay.runTo(until);
    return hits;
  }

  private static List<Change> changes(List<ReviewedMove> before, List<ReviewedMove> after) {
    Map<String, List<ReviewedMove>> known = new HashMap<>();
    before.forEach(m -> known.computeIfAbsent(key(m), k -> new ArrayList<>()).add(m));
    List<Change> changes = new ArrayList<>();
    List<ReviewedMove> met = new ArrayList<>();
    for (ReviewedMove move : after) {
      List<ReviewedMove> same =
          known.getOrDefault(key(move), List.of()).stream()
              .filter(m -> overlap(m.move(), move.move()))
              .toList();
      met.addAll(same);
      if (same.isEmpty()) {
        changes.add(new Change(Kind.NEW, null, move));
      } else {
        ReviewedMove first = same.getFirst();
        int way = Long.compare(move.move().start(), first.move().start());
        changes.add(
            new Change(way == 0 ? Kind.SAME : way < 0 ? Kind.EARLIER : Kind.LATER, first, move));
      }
    }
    before.stream()
        .filter(move -> !met.contains(move))
        .forEach(move -> changes.add(new Change(Kind.GONE, move, null)));
    changes.sort(Comparator.comparingLong(c -> c.move().move().start()));
    return changes;
  }

  private static String key(ReviewedMove move) {
    return move.move().symbol() + move.move().side();
  }

  private static boolean overlap(Move one, Move other) {
    return one.start() <= other.end() && other.start() <= one.end();
  }

  private static List<Noise> noise(Session session, DayReview before, DayReview after, Scan scan) {
    List<Noise> noise = new ArrayList<>();
    for (Phase phase : session.phases().all()) {
      long from = Math.max(phase.start(), scan.from());
      long to = Math.min(Math.min(phase.end(), scan.to()), before.until());
      if (from < to) {
        noise.add(
            new Noise(
                phase.name(),
                (to - from) / (double) DayTime.HOUR,
                hits(before, from, to),
                hits(after, from, to)));
      }
    }
    return noise;
  }

  private static long hits(DayReview review, long from, long to) {
    return review.moves().stream()
        .flatMap(move -> move.move().hits().stream())
        .filter(hit -> hit.at() >= from && hit.at() < to)
        .count();
  }

  /** The moves of a kind. */
  public List<Change> of(Kind kind) {
    return changes.stream().filter(change -> change.kind() == kind).toList();
  }

  /** How much earlier the moves come that come earlier, in the median, nanoseconds. */
  public OptionalDouble medianEarlier() {
    double median = Median.of(of(Kind.EARLIER).stream().mapToDouble(Change::earlierBy));
    return Double.isNaN(median) ? OptionalDouble.empty() : OptionalDouble.of(median);
  }

  /** The scan as it was and as changed, and the moves that the change touches, in figures. */
  public List<Line> lines() {
    List<Line> lines = new ArrayList<>();
    lines.add(new Line("as it was", was.totals(), atTheHit(was.moves())));
    lines.add(new Line("as changed", now.totals(), atTheHit(now.moves())));
    for (Kind kind : List.of(Kind.NEW, Kind.GONE, Kind.EARLIER, Kind.LATER)) {
      List<ReviewedMove> moves = of(kind).stream().map(Change::move).toList();
      if (!moves.isEmpty()) {
        lines.add(
            new Line(
                "the " + moves.size() + " " + kind.word(),
                ScanTotals.over(moves),
                atTheHit(moves)));
      }
    }
    return lines;
  }

  /** What the change does, in a sentence or two. */
  public String words() {
    List<String> words = new ArrayList<>();
    int come = of(Kind.NEW).size();
    int go = of(Kind.GONE).size();
    words.add(
        (come == 1 ? "1 move comes, " : come + " moves come, ")
            + (go == 1 ? "1 goes." : go + " go."));
    medianEarlier()
        .ifPresent(
            by -> words.add("Those earlier come " + span((long) by) + " earlier in the median."));
    noise.stream()
        .filter(phase -> phase.before() != phase.after())
        .max(Comparator.comparingDouble(phase -> Math.abs(phase.after() - phase.before())))
        .ifPresent(
            phase ->
                words.add(
                    String.format(
                        Locale.ROOT,
                        "In %s %.1f hits an hour in place of %.1f.",
                        phase.phase(),
                        phase.after(),
                        phase.before())));
    return String.join(" ", words);
  }

  private static String span(long nanos) {
    long seconds = nanos / DayTime.SECOND;
    return seconds < 60 ? seconds + " s" : seconds / 60 + " min " + seconds % 60 + " s";
  }

  private static double atTheHit(List<ReviewedMove> moves) {
    return moves.stream().mapToDouble(ReviewedMove::atTheHit).sum();
  }
}
