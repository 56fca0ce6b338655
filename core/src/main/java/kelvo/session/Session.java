package kelvo.session;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Supplier;
import kelvo.news.Catalyst;
import kelvo.tape.EventTape;
import kelvo.time.Phases;
import kelvo.time.SessionHours;

/**
 * One trading date: its hours and phases, the securities with what is known of them beforehand, and
 * the recorded events. A security is known by its place in the list. Read-only once built, so that
 * any thread may use it.
 */
public final class Session {
  private final SessionHours hours;
  private final Phases phases;
  private final List<SecurityFacts> securities;
  private final List<Catalyst> catalysts;
  private final List<KnownEvent> knownEvents;
  private final EventTape tape;
  private final EarlierDays earlier;
  private final Map<String, Integer> numbers = new HashMap<>();
  private final Map<String, Object> workedOut = new ConcurrentHashMap<>();

  /** A session; the tape must number securities as the list does. */
  public Session(
      SessionHours hours,
      Phases phases,
      List<SecurityFacts> securities,
      List<Catalyst> catalysts,
      List<KnownEvent> knownEvents,
      EventTape tape) {
    this(hours, phases, securities, catalysts, knownEvents, tape, EarlierDays.NONE);
  }

  private Session(
      SessionHours hours,
      Phases phases,
      List<SecurityFacts> securities,
      List<Catalyst> catalysts,
      List<KnownEvent> knownEvents,
      EventTape tape,
      EarlierDays earlier) {
    if (tape.symbolCount() != securities.size()) {
      throw new IllegalArgumentException(
          "the tape has " + tape.symbolCount() + " securities, the list " + securities.size());
    }
    this.hours = hours;
    this.phases = phases;
    this.securities = List.copyOf(securities);
    this.catalysts = new CopyOnWriteArrayList<>(catalysts);
    this.knownEvents = List.copyOf(knownEvents);
    this.tape = tape;
    this.earlier = earlier;
    for (int i = 0; i < securities.size(); i++) {
      numbers.put(securities.get(i).symbol(), i);
    }
  }

  /** The date's hours. */
  public SessionHours hours() {
    return hours;
  }

  /** The phases of the day. */
  public Phases phases() {
    return phases;
  }

  /** All securities. */
  public List<SecurityFacts> securities() {
    return securities;
  }

  /** The security with a number. */
  public SecurityFacts security(int number) {
    return securities.get(number);
  }

  /** The number of a symbol. */
  public OptionalInt numberOf(String symbol) {
    Integer number = numbers.get(symbol);
    return number == null ? OptionalInt.empty() : OptionalInt.of(number);
  }

  /** News items, numbered as on the tape. Grows while a session is live. */
  public List<Catalyst> catalysts() {
    return Collections.unmodifiableList(catalysts);
  }

  /** The item whose arrival stands at a place of the tape. */
  public Catalyst catalystOf(int event) {
    return catalysts.get(tape.newsItem(event));
  }

  /** Adds an item that has arrived in a live session, and returns its number. */
  public int arrived(Catalyst item) {
    catalysts.add(item);
    return catalysts.size() - 1;
  }

  /** What is known beforehand to happen today. */
  public List<KnownEvent> knownEvents() {
    return knownEvents;
  }

  /** What the minutes of earlier sessions tell. */
  public EarlierDays earlier() {
    return earlier;
  }

  /** This session with what is known of earlier sessions' minutes. */
  public Session with(EarlierDays known) {
    return new Session(hours, phases, securities, catalysts, knownEvents, tape, known);
  }

  /**
   * Something that is worked out from what is known beforehand, the first time that it is asked
   * for.
   *
   * @param what its name
   */
  public Object workedOut(String what, Supplier<Object> make) {
    return workedOut.computeIfAbsent(what, w -> make.get());
  }

  /** The recorded events. */
  public EventTape tape() {
    return tape;
  }
}
