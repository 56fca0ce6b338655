package kelvo.player;

/** Brings the events of a session that still goes on. Asked on the player's thread. */
public interface LiveSource {
  /**
   * Appends what has come since to the session's tape, without waiting; a large backlog is left to
   * the next calls.
   *
   * @return the time up to which the source says that it has told everything; 0 when it does not
   *     say
   */
  long drain();

  /** Runs something, on any thread, whenever there is something to drain. */
  void onArrival(Runnable wake);
}
