package kelvo.field;

import static kelvo.field.Formulas.ratio;

import kelvo.session.Session;
import kelvo.time.DayTime;

/** What a day's volume comes to if the rest of it trades as usual. */
final class ProjectedVolume {
  private static final int SESSIONS = 20;

  private ProjectedVolume() {}

  /** In shares. */
  static Field.Reading bind(Session session) {
    return (state, now) -> {
      double day = session.earlier().volume().meanUpTo(state.id(), DayTime.LAST);
      double part = ratio(session.earlier().volume().meanUpTo(state.id(), now), day);
      return ratio(state.volume(), part);
    };
  }

  /** Over the mean daily volume. */
  static Field.Reading bindRelative(Session session) {
    Field.Reading projected = bind(session);
    KnownNumber average =
        KnownNumber.of(session, "avg volume " + SESSIONS, f -> f.history().averageVolume(SESSIONS));
    return (state, now) -> ratio(projected.at(state, now), average.of(state));
  }
}
