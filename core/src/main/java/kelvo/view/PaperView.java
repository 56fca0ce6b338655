package kelvo.view;

import java.util.List;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import kelvo.practice.Instruction;
import kelvo.practice.PaperAccount;
import kelvo.practice.PaperRun;
import kelvo.session.Session;

/** Shows what has come of the instructions to the paper broker. */
public final class PaperView implements View<PaperAccount> {
  private final Session session;
  private final LongSupplier latency;
  private final Supplier<List<Instruction>> instructions;
  private PaperRun run;
  private long runLatency;

  /**
   * The account at a moment.
   *
   * @param latency how long an instruction takes to arrive, nanoseconds; asked on the player's
   *     thread as are the instructions
   * @param instructions those of the whole session
   */
  public PaperView(
      Session session, LongSupplier latency, Supplier<List<Instruction>> instructions) {
    this.session = session;
    this.latency = latency;
    this.instructions = instructions;
    runLatency = latency.getAsLong();
    run = new PaperRun(session, runLatency);
  }

  @Override
  public PaperAccount look(Moment moment) {
    List<Instruction> all = instructions.get();
    if (all.isEmpty()) {
      return PaperAccount.EMPTY;
    }
    long now = latency.getAsLong();
    if (now != runLatency) {
      runLatency = now;
      run = new PaperRun(session, now);
    }
    return PaperAccount.of(run.at(all, moment.now()), moment.now());
  }
}
