package kelvo.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import kelvo.hit.RandomSessions;
import kelvo.replay.TapeReplay;
import kelvo.research.UsualSpreads;
import kelvo.session.Session;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class PaperBrokerProperties {
  private static final int SECURITIES = 3;
  private static final List<String> SYMBOLS = List.of("AAAAAA", "BBBBBB", "CCCCCC");
  private static final int EVENTS = 4_000;
  private static final int ORDERS = 25;
  private static final long LATENCY = 300 * DayTime.MILLISECOND;

  private static Session session(long seed) {
    return RandomSessions.withLateEvents(seed, SECURITIES, EVENTS);
  }

  private static List<Instruction> instructions(long seed) {
    SplittableRandom random = new SplittableRandom(seed + 1);
    List<Instruction> instructions = new ArrayList<>();
    for (int id = 1; id <= ORDERS; id++) {
      long at = DayTime.FIRST + random.nextLong(15 * DayTime.HOUR);
      int way = random.nextBoolean() ? 1 : -1;
      long near = 95_000 + 100 * random.nextLong(100);
      Terms terms =
          switch (random.nextInt(4)) {
            case 0 -> new Terms.Market();
            case 1 -> new Terms.Limit(near);
            case 2 -> new Terms.Stop(near);
            default -> new Terms.StopLimit(near, near + way * 300L);
          };
      PaperOrder.Exits exits =
          random.nextInt(3) == 0
              ? new PaperOrder.Exits(100_000 - way * 3_000L, 100_000 + way * 3_000L)
              : null;
      instructions.add(
          new Instruction.Place(
              at,
              new PaperOrder(
                  id,
                  SYMBOLS.get(random.nextInt(SECURITIES)),
                  way,
                  random.nextLong(1, 900),
                  terms,
                  exits)));
      if (random.nextInt(4) == 0) {
        instructions.add(new Instruction.Cancel(at + random.nextLong(DayTime.HOUR), id));
      }
    }
    return instructions;
  }

  private static PaperBroker whole(Session session, List<Instruction> instructions) {
    return new PaperRun(session, UsualSpreads.NONE, LATENCY).at(instructions, DayTime.LAST);
  }

  private static PaperOrder order(List<Instruction> instructions, String id) {
    return instructions.stream()
        .filter(Instruction.Place.class::isInstance)
        .map(one -> ((Instruction.Place) one).order())
        .filter(order -> Long.toString(order.id()).equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Property(tries = 150)
  void everyFillWasShownOrTradedAtItsMomentAndNoneInAHalt(@ForAll long seed) {
    Session session = session(seed);
    List<Instruction> instructions = instructions(seed);
    EventTape tape = session.tape();
    Map<Integer, Map<Long, Long>> byMoment = new HashMap<>();
    for (Fill fill : whole(session, instructions).fills()) {
      int security = SYMBOLS.indexOf(fill.symbol());
      byMoment
          .computeIfAbsent(security, s -> new HashMap<>())
          .merge(fill.at(), fill.quantity().longValueExact(), Long::sum);
    }
    byMoment.forEach(
        (security, filled) ->
            filled.forEach(
                (moment, shares) ->
                    assertThat(shares).isLessThanOrEqualTo(offered(tape, security, moment))));
  }

  /** The shares of all prints told at a moment, and of the quotes in force then; none in a halt. */
  private static long offered(EventTape tape, int security, long moment) {
    long offered = 0;
    long inForce = 0;
    long clock = 0;
    boolean trading = true;
    boolean tradedThen = false;
    for (int event = 0; event < tape.size(); event++) {
      clock = Math.max(clock, tape.time(event));
      if (clock > moment) {
        break;
      }
      if (tape.symbol(event) != security) {
        continue;
      }
      if (tape.kind(event) == EventKind.STATUS) {
        trading = tape.state(event) == TradingState.TRADING;
      } else if (tape.isQuote(event)) {
        long shown = tape.bidShares(event) + (long) tape.askShares(event);
        if (clock == moment) {
          offered += shown;
        } else {
          inForce = shown;
        }
      } else if (tape.isTrade(event) && clock == moment) {
        offered += tape.shares(event);
      }
      tradedThen = trading;
    }
    return tradedThen || clock == 0 ? offered + inForce : 0;
  }

  @Property(tries = 150)
  void quantitiesAddUp(@ForAll long seed) {
    Session session = session(seed);
    List<Instruction> instructions = instructions(seed);
    PaperBroker broker = whole(session, instructions);
    Map<String, BigDecimal> positions = new HashMap<>();
    Map<String, Long> filled = new HashMap<>();
    for (Fill fill : broker.fills()) {
      PaperOrder order = order(instructions, fill.orderId());
      BigDecimal signed = fill.quantity().multiply(BigDecimal.valueOf(fill.side().sign()));
      positions.merge(fill.symbol(), signed, BigDecimal::add);
      if (fill.side().sign() == order.way()) {
        filled.merge(fill.orderId(), fill.quantity().longValueExact(), Long::sum);
      }
    }
    for (String symbol : SYMBOLS) {
      assertThat(broker.position(symbol))
          .isEqualTo(positions.getOrDefault(symbol, BigDecimal.ZERO).longValueExact());
    }
    for (PaperBroker.Working working : broker.working()) {
      assertThat(working.left()).isPositive();
    }
    filled.forEach(
        (id, shares) -> {
          PaperOrder order = order(instructions, id);
          long left =
              broker.working().stream()
                  .filter(one -> one.id() == order.id() && !one.isExit())
                  .mapToLong(PaperBroker.Working::left)
                  .sum();
          assertThat(shares + left).isLessThanOrEqualTo(order.shares());
        });
  }

  @Property(tries = 150)
  void aBracketHasExitsForWhatItHoldsAndNoMore(@ForAll long seed) {
    Session session = session(seed);
    List<Instruction> instructions = instructions(seed);
    PaperBroker broker = whole(session, instructions);
    for (Instruction one : instructions) {
      if (one instanceof Instruction.Place place && place.order().exits() != null) {
        PaperOrder order = place.order();
        long held =
            broker.fills().stream()
                .filter(fill -> fill.orderId().equals(Long.toString(order.id())))
                .mapToLong(
                    fill -> order.way() * fill.side().sign() * fill.quantity().longValueExact())
                .sum();
        assertThat(held).isNotNegative();
        List<PaperBroker.Working> exits =
            broker.working().stream()
                .filter(working -> working.id() == order.id() && working.isExit())
                .toList();
        boolean cancelled =
            instructions.stream()
                .anyMatch(
                    other ->
                        other instanceof Instruction.Cancel cancel && cancel.order() == order.id());
        if (held == 0 || cancelled) {
          assertThat(exits).isEmpty();
        } else {
          assertThat(exits).hasSize(2).allMatch(exit -> exit.left() == held);
        }
      }
    }
  }

  @Property(tries = 60)
  void pausesAndWhoTellsItMakeNoDifference(@ForAll long seed) {
    Session session = session(seed);
    List<Instruction> instructions = instructions(seed);
    List<Fill> fills = whole(session, instructions).fills();

    PaperRun paused = new PaperRun(session, UsualSpreads.NONE, LATENCY);
    SplittableRandom random = new SplittableRandom(seed);
    for (int i = 0; i < 40; i++) {
      long moment = DayTime.FIRST + random.nextLong(16 * DayTime.HOUR);
      assertThat(paused.at(instructions, moment).fills())
          .isEqualTo(fills.subList(0, paused.at(instructions, moment).fills().size()));
    }
    assertThat(paused.at(instructions, DayTime.LAST).fills()).isEqualTo(fills);

    PaperBroker listening = new PaperBroker(session, UsualSpreads.NONE, instructions, LATENCY);
    TapeReplay replay = new TapeReplay(session);
    replay.listen(listening);
    replay.runTo(DayTime.LAST);
    assertThat(listening.fills()).containsExactlyInAnyOrderElementsOf(fills);
  }

  @Property(tries = 60)
  void whatIsSentLaterChangesNothingBefore(@ForAll long seed) {
    Session session = session(seed);
    List<Instruction> instructions = instructions(seed);
    long moment = DayTime.of(12, 0);
    List<Instruction> until = instructions.stream().filter(one -> one.at() <= moment).toList();

    assertThat(new PaperRun(session, UsualSpreads.NONE, LATENCY).at(until, moment).fills())
        .isEqualTo(
            new PaperRun(session, UsualSpreads.NONE, LATENCY).at(instructions, moment).fills());
  }

  @Property(tries = 150)
  void aLimitIsNeverFilledWorse(@ForAll long seed) {
    Session session = session(seed);
    List<Instruction> instructions = instructions(seed);
    for (Fill fill : whole(session, instructions).fills()) {
      PaperOrder order = order(instructions, fill.orderId());
      if (order.terms() instanceof Terms.Limit limit && fill.side().sign() == order.way()) {
        BigDecimal price = BigDecimal.valueOf(limit.price(), 4);
        assertThat(order.way() * price.compareTo(fill.price())).isNotNegative();
        assertThat(fill.price()).isGreaterThan(BigDecimal.valueOf(Price.NONE));
      }
    }
  }
}
