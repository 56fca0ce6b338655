package kelvo.replay;

import kelvo.session.Session;

/** A session of which any moment can be looked at. */
public interface Seekable {
  /** The session. */
  Session session();

  /** A new replay to seek with, to which nobody listens. */
  TapeReplay replay();

  /** Brings such a replay to a moment, from wherever it is; no later than what has been played. */
  void seek(TapeReplay replay, long moment);
}
