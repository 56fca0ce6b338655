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
}
