package kelvo.view;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.tape.TradingState;

/** Shows the securities that do not trade, and when halts began. */
public final class HaltsView implements View<HaltsView.HaltList> {
  /** A security that does not trade, since when and why. */
  public record Halted(String symbol, TradingState state, long since, String reason) {}

  /**
   * The halts at a moment.
   *
   * @param moment {@link kelvo.time.DayTime}
   * @param halted securities that do not trade now
   * @param begun when halts began today, those that are over included
   */
  public record HaltList(long moment, List<Halted> halted, List<Long> begun) {}

  @Override
  public HaltList look(Moment moment) {
    return new HaltList(moment.now(), halted(moment), begun(moment));
  }

  private static List<Halted> halted(Moment moment) {
    Session session = moment.session();
    List<Halted> halted = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      SymbolState state = moment.state(i);
      if (state.status().isHalted()) {
        halted.add(
            new Halted(
                session.security(i).symbol(),
                state.status().state(),
                state.status().haltedAt(),
                state.status().haltReason()));
      }
    }
    return List.copyOf(halted);
  }

  private static List<Long> begun(Moment moment) {
    EventTape tape = moment.session().tape();
    return Arrays.stream(tape.statusEvents(moment.events()))
        .filter(event -> tape.state(event) == TradingState.HALTED)
        .mapToObj(tape::time)
        .toList();
  }
}
