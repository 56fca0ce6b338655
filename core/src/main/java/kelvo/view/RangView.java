package kelvo.view;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.alert.AlertEvent;
import kelvo.alert.AlertLimits;
import kelvo.alert.AlertPolicy;
import kelvo.alert.AttentionOverDay;
import kelvo.alert.Ring;
import kelvo.alert.Silence;
import kelvo.hit.Hit;
import kelvo.session.Session;
import kelvo.state.Halts;
import kelvo.state.PricePath;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TradingState;

/**
 * Shows what has rung so far today, what followed, and what concerned the trader and was held back:
 * the same live and in a replay.
 */
public final class RangView implements View<RangView.Rang> {
  /**
   * What rang.
   *
   * @param moment of now, {@link kelvo.time.DayTime}
   * @param rings those that rang, the newest first
   * @param overBudget those of scans that had rung too often, the newest first
   * @param heldBack how many were held back, whatever for
   * @param alerts how the trader's alerts stand
   */
  public record Rang(
      long moment,
      List<Rung> rings,
      List<Ring> overBudget,
      int heldBack,
      List<AlertStanding> alerts) {
    /** Before anything is known. */
    public static final Rang NONE = new Rang(0, List.of(), List.of(), 0, List.of());
  }

  /**
   * Something that rang, and what followed.
   *
   * @param ring what rang
   * @param after what the price did then
   * @param partsKnown how many parts of that are known
   */
  public record Rung(Ring ring, Aftermath after, int partsKnown) {}

  private final Session session;
  private final AttentionOverDay attention;
  private final AlertLimits limits;
  private final List<Silence> silences;
  private final AlertStandings standings;
  private AlertPolicy policy;
  private int program = -1;
  private int hitsTaken;
  private int statusTaken;
  private final List<Rung> rings = new ArrayList<>();
  private final List<Ring> overBudget = new ArrayList<>();
  private int heldBack;

  /** The place of the first ring of which something may still become known. */
  private int open;

  /**
   * What rings for a trader.
   *
   * @param silences when less rings
   */
  public RangView(
      Session session, AttentionOverDay attention, AlertLimits limits, List<Silence> silences) {
    this.session = session;
    this.attention = attention;
    this.limits = limits;
    this.silences = List.copyOf(silences);
    standings = new AlertStandings(session, attention);
    policy = new AlertPolicy(session.phases(), limits, silences);
  }

  @Override
  public Rang look(Moment moment) {
    List<Hit> hits = moment.hits();
    int[] status = session.tape().statusEvents(moment.events());
    if (moment.program() != program || hits.size() < hitsTaken || status.length < statusTaken) {
      program = moment.program();
      policy = new AlertPolicy(session.phases(), limits, silences);
      rings.clear();
      overBudget.clear();
      heldBack = 0;
      hitsTaken = 0;
      statusTaken = 0;
      open = 0;
    }
    EventTape tape = session.tape();
    while (hitsTaken < hits.size() || statusTaken < status.length) {
      boolean statusFirst =
          statusTaken < status.length
              && (hitsTaken == hits.size()
                  || tape.time(status[statusTaken]) <= hits.get(hitsTaken).at());
      if (statusFirst) {
        status(tape, status[statusTaken++]);
      } else {
        hit(hits.get(hitsTaken++));
      }
    }
    followUp(moment.now());
    List<Rung> newestFirst = List.copyOf(rings.reversed());
    return new Rang(
        moment.now(),
        newestFirst,
        List.copyOf(overBudget.reversed()),
        heldBack,
        standings.at(moment, newestFirst));
  }

  /** Looks what the price did after a ring, whenever another part of it has become known. */
  private void followUp(long now) {
    Map<Integer, PricePath> paths = new HashMap<>();
    for (int i = open; i < rings.size(); i++) {
      Rung rung = rings.get(i);
      AlertEvent event = rung.ring().event();
      int known = Aftermath.partsKnown(event.at(), now);
      if (known > rung.partsKnown()) {
        PricePath path =
            paths.computeIfAbsent(
                event.security(), security -> PricePath.of(session, security, now));
        Aftermath after = Aftermath.of(path, event.at(), event.price(), now);
        rings.set(i, new Rung(rung.ring(), after, known));
      }
      if (i == open && known == Aftermath.PARTS) {
        open++;
      }
    }
  }

  /** The exchange's word of a halt comes first; a scan's hit of the same is the same alert. */
  private void hit(Hit hit) {
    AlertEvent event = attention.isAlert(hit.scan()) ? AlertEvent.ofAlert(hit) : AlertEvent.of(hit);
    if (event.kind() != AlertEvent.Kind.HALT) {
      take(event);
    }
  }

  private void status(EventTape tape, int event) {
    int security = tape.symbol(event);
    boolean begins =
        tape.state(event) == TradingState.HALTED
            && Halts.of(session, security, tape.time(event)).all().stream()
                .anyMatch(halt -> halt.from() == tape.time(event));
    if (begins) {
      take(
          AlertEvent.halt(
              tape.time(event),
              security,
              session.security(security).symbol(),
              tape.reason(event),
              Price.NONE));
    }
  }

  private void take(AlertEvent event) {
    policy.take(event, attention.at(event.at())).ifPresent(this::sort);
  }

  private void sort(Ring ring) {
    if (ring.rings()) {
      rings.add(new Rung(ring, Aftermath.UNKNOWN, 0));
      return;
    }
    heldBack++;
    if (ring.outcome() == Ring.Outcome.OVER_BUDGET) {
      overBudget.add(ring);
    }
  }
}
