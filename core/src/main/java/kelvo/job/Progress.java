package kelvo.job;

/** Hears how far a long job is and may stop it. Called on the job's thread. */
public interface Progress {
  /** Hears nothing and never stops. */
  Progress NONE = part -> {};

  /**
   * The part done so far, 0 to 1.
   *
   * @throws java.util.concurrent.CancellationException to stop the job
   */
  void done(double part);

  /** What is being done from now on, in a few words. */
  default void step(String words) {}

  /** The progress of a part of this job, from one share of it to another. */
  default Progress within(double from, double to) {
    return new Progress() {
      @Override
      public void done(double part) {
        Progress.this.done(from + part * (to - from));
      }

      @Override
      public void step(String words) {
        Progress.this.step(words);
      }
    };
  }
}
