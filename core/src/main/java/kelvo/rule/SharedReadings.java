package kelvo.rule;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import kelvo.field.Field;
import kelvo.field.StateValues;
import kelvo.field.Values;
import kelvo.session.Session;
import kelvo.state.Subject;
import kelvo.state.SymbolState;
import kelvo.time.Phases;

/**
 * The values that many rules of one session share: each field is read once per evaluation, however
 * many rules look at it, and all lie side by side in memory. Owned by one thread.
 */
public final class SharedReadings implements Values {
  private final Session session;
  private final Map<String, Integer> places = new HashMap<>();
  private Field.Reading[] readings = {};
  private double[] values = {};
  private int[] readIn = {};
  private int asking = 1;

  /** No fields yet. */
  public SharedReadings(Session session) {
    this.session = session;
  }

  /** The session. */
  public Session session() {
    return session;
  }

  /** The place of a field among the values. */
  int placeOf(Field.Number field) {
    Integer known = places.get(field.words());
    if (known != null) {
      return known;
    }
    int place = places.size();
    places.put(field.words(), place);
    readings = Arrays.copyOf(readings, place + 1);
    values = Arrays.copyOf(values, place + 1);
    readIn = Arrays.copyOf(readIn, place + 1);
    readings[place] = field.bind(session);
    return place;
  }

  @Override
  public Phases phases() {
    return session.phases();
  }

  @Override
  public int size() {
    return session.securities().size();
  }

  @Override
  public String symbol(int security) {
    return session.security(security).symbol();
  }

  @Override
  public Subject settled(int security) {
    return SymbolState.fresh(session, security);
  }

  @Override
  public Values alone() {
    return new StateValues(session);
  }

  /** What reads a field once per evaluation. */
  @Override
  public Numbers numbers(Field.Number field) {
    int place = placeOf(field);
    return (subject, now) -> value(place, (SymbolState) subject, now);
  }

  @Override
  public Words words(Field.Word field) {
    return (subject, now) -> field.of((SymbolState) subject, now);
  }

  /** Begins to ask about a security at a moment: nothing that was read before counts any more. */
  public void ask() {
    asking++;
  }

  /** Reads the field at a place. */
  Field.Reading readingAt(int place) {
    return readings[place];
  }

  /** Notes what was read at a place for whoever else asks. */
  void keep(int place, double value) {
    values[place] = value;
    readIn[place] = asking;
  }

  /** Reads all fields. */
  public void readAll(SymbolState state, long now) {
    for (int place = 0; place < readings.length; place++) {
      value(place, state, now);
    }
  }

  /** The value of the field at a place. */
  double value(int place, SymbolState state, long now) {
    if (readIn[place] != asking) {
      keep(place, readings[place].at(state, now));
    }
    return values[place];
  }
}
