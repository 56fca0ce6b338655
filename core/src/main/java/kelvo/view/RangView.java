package kelvo.view;

import java.util.ArrayList;
import java.util.List;
import kelvo.alert.AlertEvent;
import kelvo.alert.AlertLimits;
import kelvo.alert.AlertPolicy;
import kelvo.alert.AttentionOverDay;
import kelvo.alert.Ring;
import kelvo.alert.Silence;
import kelvo.hit.Hit;
import kelvo.session.Session;
import kelvo.state.Halts;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TradingState;

/**
 * Shows what has rung so far today, and what concerned the trader and was held back: the same live
 * and in a replay.
 */
public final class RangView implements View<RangView.Rang> {
  /**
   * What rang.
   *
   * @param moment of now, {@link kelvo.time.DayTime}
   * @param rings those that rang, the newest first
   * @param heldBack how many were held back, whatever for
   */
  public record Rang(long moment, List<Ring> rings, int heldBack) {}

  private final Session session;
  private final AttentionOverDay attention;
  private final AlertLimits limits;
  private final List<Silence> silences;
  private AlertPolicy policy;
  private int program = -1;
  private int hitsTaken;
  private int statusTaken;
  private final List<Ring> rings = new ArrayList<>();
  private int heldBack;

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
      heldBack = 0;
      hitsTaken = 0;
      statusTaken = 0;
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
    return new Rang(moment.now(), List.copyOf(rings.reversed()), heldBack);
  }

  /** The exchange's word of a halt comes first; a scan's hit of the same is the same alert. */
  private void hit(Hit hit) {
    AlertEvent event = AlertEvent.of(hit);
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
    policy
        .take(event, attention.at(event.at()))
        .ifPresent(
            ring -> {
              if (ring.rings()) {
                rings.add(ring);
              } else {
                heldBack++;
              }
            });
  }
}
