package kelvo.cli;

import kelvo.job.Progress;

/** Shows progress among the messages, one line that counts up. */
final class TextProgress implements Progress {
  private final Terminal terminal;
  private final String job;
  private int shown = -1;

  TextProgress(Terminal terminal, String job) {
    this.terminal = terminal;
    this.job = job;
  }

  @Override
  public void done(double part) {
    int percent = (int) (part * 100);
    if (percent != shown) {
      shown = percent;
      terminal.err().print("\r" + job + ": " + percent + "%" + (percent == 100 ? "\n" : ""));
    }
  }
}
