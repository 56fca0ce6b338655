package kelvo.cli;

import kelvo.job.Progress;

/** Shows progress on standard error, one line that counts up. */
final class TextProgress implements Progress {
  private final String job;
  private int shown = -1;

  TextProgress(String job) {
    this.job = job;
  }

  @Override
  public void done(double part) {
    int percent = (int) (part * 100);
    if (percent != shown) {
      shown = percent;
      System.err.print("\r" + job + ": " + percent + "%" + (percent == 100 ? "\n" : ""));
    }
  }
}
