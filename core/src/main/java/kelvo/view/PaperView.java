package kelvo.view;

import java.util.Arrays;
import java.util.List;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import kelvo.practice.Instruction;
import kelvo.practice.PaperAccount;
import kelvo.practice.PaperOrder;
import kelvo.practice.PaperRun;
import kelvo.research.UsualSpreads;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import org.jspecify.annotations.Nullable;

/** Shows what has come of the instructions to the paper broker. */
public final class PaperView implements View<PaperAccount> {
  private final Session session;
  private final LongSupplier latency;
  private final @Nullable UsualSpreads spreads;
  private final Supplier<List<Instruction>> instructions;
  private PaperRun run;
  private long runLatency;
  private List<Instruction> looked = List.of();
  private boolean quoted = true;

  /**
   * The account at a moment.
   *
   * @param latency how long an instruction takes to arrive, nanoseconds; asked on the player's
   *     thread as are the instructions
   * @param spreads the usual ones; null until they are known, and until then nothing arrives if a
   *     security without quotes is among those ordered
   * @param instructions those of the whole session
   */
  public PaperView(
      Session session,
      LongSupplier latency,
      @Nullable UsualSpreads spreads,
      Supplier<List<Instruction>> instructions) {
    this.session = session;
    this.latency = latency;
    this.spreads = spreads;
    this.instructions = instructions;
    runLatency = latency.getAsLong();
    run = run(runLatency);
  }

  @Override
  public PaperAccount look(Moment moment) {
    List<Instruction> all = instructions.get();
    if (all.isEmpty()) {
      return PaperAccount.EMPTY;
    }
    if (spreads == null && !quoted(all)) {
      return PaperAccount.waiting(all, moment.now());
    }
    long now = latency.getAsLong();
    if (now != runLatency) {
      runLatency = now;
      run = run(now);
    }
    return PaperAccount.of(run.at(all, moment.now()), moment.now());
  }

  private PaperRun run(long runsLatency) {
    return new PaperRun(session, spreads == null ? UsualSpreads.NONE : spreads, runsLatency);
  }

  private boolean quoted(List<Instruction> all) {
    if (!all.equals(looked)) {
      looked = all;
      quoted = areQuoted(session, all);
    }
    return quoted;
  }

  /** Whether each order came when there were quotes, so that no usual spread is needed. */
  public static boolean areQuoted(Session session, List<Instruction> instructions) {
    return instructions.stream()
        .filter(Instruction.Place.class::isInstance)
        .allMatch(one -> isQuoted(session, ((Instruction.Place) one).order(), one.at()));
  }

  private static boolean isQuoted(Session session, PaperOrder order, long at) {
    EventTape tape = session.tape();
    return session.numberOf(order.symbol()).stream()
        .flatMap(security -> Arrays.stream(tape.eventsOf(security, tape.size())))
        .filter(tape::isQuote)
        .limit(1)
        .anyMatch(quote -> tape.time(quote) <= at);
  }
}
