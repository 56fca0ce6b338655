package kelvo.research;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import kelvo.field.Field;
import kelvo.field.Values;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.state.Subject;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.Phases;

/**
 * What the fields of all securities were at a moment of a recorded session, and how their prices
 * moved from there to the close. It needs the session no longer, so that many of them fit into
 * memory: 8 bytes a field and security. Immutable.
 */
public final class RecordedMoment implements Values {
  private static final double PLAYED_TO_MOMENT = 0.9;

  private final LocalDate date;
  private final long moment;
  private final Phases phases;
  private final Map<Field, double[]> numbers = new HashMap<>();
  private final Map<Field, String[]> words = new HashMap<>();
  private final double[] toClose;
  private final List<String> symbols;
  private final List<Row> rows;

  private RecordedMoment(Session session, long moment) {
    date = session.hours().date();
    this.moment = moment;
    phases = session.phases();
    toClose = new double[session.securities().size()];
    symbols = session.securities().stream().map(facts -> facts.symbol()).toList();
    rows = IntStream.range(0, symbols.size()).mapToObj(Row::new).toList();
  }

  /**
   * Plays a session to a moment of regular or earlier hours and on to its close.
   *
   * @param fields what is to be known
   * @throws IllegalArgumentException when the moment is not before the close
   */
  public static RecordedMoment of(
      Session session, long moment, Collection<Field> fields, Progress progress) {
    long close = session.hours().close();
    if (moment >= close) {
      throw new IllegalArgumentException(
          "moment " + moment + " must come before the close, " + close);
    }
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(moment);
    RecordedMoment recorded = new RecordedMoment(session, moment);
    fields.forEach(field -> recorded.take(field, session, replay));
    long[] prices = recorded.prices(replay);
    progress.done(PLAYED_TO_MOMENT);
    replay.runTo(close);
    long[] closes = recorded.prices(replay);
    for (int i = 0; i < prices.length; i++) {
      recorded.toClose[i] =
          prices[i] == Price.NONE ? Double.NaN : 100.0 * (closes[i] - prices[i]) / prices[i];
    }
    progress.done(1);
    return recorded;
  }

  private void take(Field field, Session session, TapeReplay replay) {
    switch (field) {
      case Field.Number number -> {
        Field.Reading reading = number.bind(session);
        double[] values = new double[toClose.length];
        for (int i = 0; i < values.length; i++) {
          values[i] = reading.at(replay.state(i), moment);
        }
        numbers.put(field, values);
      }
      case Field.Word word -> {
        String[] values = new String[toClose.length];
        for (int i = 0; i < values.length; i++) {
          values[i] = word.of(replay.state(i), moment);
        }
        words.put(field, values);
      }
    }
  }

  private long[] prices(TapeReplay replay) {
    long[] prices = new long[toClose.length];
    for (int i = 0; i < prices.length; i++) {
      SymbolState state = replay.state(i);
      prices[i] = state.officialClose() != Price.NONE ? state.officialClose() : state.lastPrice();
    }
    return prices;
  }

  /** The date of the session. */
  public LocalDate date() {
    return date;
  }

  /** The moment, {@link kelvo.time.DayTime}. */
  public long moment() {
    return moment;
  }

  /** Whether all these fields are known. */
  public boolean knows(Collection<Field> fields) {
    return fields.stream().allMatch(f -> numbers.containsKey(f) || words.containsKey(f));
  }

  /** A security of the session. */
  record Row(int id) implements Subject {}

  @Override
  public int size() {
    return toClose.length;
  }

  @Override
  public Phases phases() {
    return phases;
  }

  @Override
  public String symbol(int security) {
    return symbols.get(security);
  }

  @Override
  public Subject settled(int security) {
    return rows.get(security);
  }

  /**
   * What reads a field.
   *
   * @throws NullPointerException when the field is not known of this moment
   */
  @Override
  public Numbers numbers(Field.Number field) {
    double[] known = Objects.requireNonNull(numbers.get(field), field.words());
    return (subject, now) -> known[subject.id()];
  }

  @Override
  public Words words(Field.Word field) {
    String[] known = Objects.requireNonNull(words.get(field), field.words());
    return (subject, now) -> known[subject.id()];
  }

  /** How far the price went from the moment to the close, per cent; NaN without a print before. */
  double toClose(int security) {
    return toClose[security];
  }
}
