package kelvo.trigger;

import kelvo.session.Session;

/** A detector that keeps a few numbers for each security and nothing else. */
abstract class RememberingDetector implements Detector {
  final Session session;
  final Memory memory;
  private final int listensTo;

  RememberingDetector(Session session, int listensTo, int width) {
    this.session = session;
    this.listensTo = listensTo;
    memory = new Memory(session.securities().size(), width);
  }

  @Override
  public final int listensTo() {
    return listensTo;
  }

  @Override
  public void forget(int security) {
    memory.forget(security);
  }

  @Override
  public long[] remembered(int security) {
    return memory.of(security);
  }

  @Override
  public void restore(int security, long[] remembered) {
    memory.restore(security, remembered);
  }
}
