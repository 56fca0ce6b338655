package kelvo.view;

import java.util.List;
import java.util.function.Supplier;
import kelvo.practice.Instruction;
import kelvo.practice.PaperAccount;
import kelvo.practice.PaperRun;
import kelvo.session.Session;

/** Shows what has come of the instructions to the paper broker. */
public final class PaperView implements View<PaperAccount> {
  private final PaperRun run;
  private final Supplier<List<Instruction>> instructions;

  /**
   * The account at a moment.
   *
   * @param instructions those of the whole session, asked on the player's thread
   */
  public PaperView(Session session, long latency, Supplier<List<Instruction>> instructions) {
    run = new PaperRun(session, latency);
    this.instructions = instructions;
  }

  @Override
  public PaperAccount look(Moment moment) {
    List<Instruction> all = instructions.get();
    return all.isEmpty()
        ? PaperAccount.EMPTY
        : PaperAccount.of(run.at(all, moment.now()), moment.now());
  }
}
