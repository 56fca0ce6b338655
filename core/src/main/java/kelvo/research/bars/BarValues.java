package kelvo.research.bars;

import java.util.Set;
import java.util.stream.IntStream;
import kelvo.field.Field;
import kelvo.field.Values;
import kelvo.news.Catalyst;
import kelvo.refusal.RefusedException;
import kelvo.state.Subject;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import org.jspecify.annotations.Nullable;

/**
 * The values of fields as minute bars tell them: those known before the session, those of {@link
 * BarField}, and what the newest item of news says. Owned by one thread.
 */
final class BarValues implements Values {
  /** These are known before a session from the minutes of the one before, which nobody reads. */
  private static final Set<String> OF_EVENINGS =
      Set.of("last evening change %", "last evening volume");

  private static final String MINUTES_SINCE_NEWS = "minutes since news";
  private static final String NEWS_TONE = "news tone";
  private static final String NEWS_CATEGORY = "news category";
  private static final String NEWS_WEIGHT = "news weight";

  private static final Set<String> OF_NEWS =
      Set.of(MINUTES_SINCE_NEWS, NEWS_TONE, NEWS_CATEGORY, NEWS_WEIGHT);

  private final BarSession session;
  private final Subject[] settled;

  private record Settled(int id) implements Subject {}

  BarValues(BarSession session) {
    this.session = session;
    settled = IntStream.range(0, session.size()).mapToObj(Settled::new).toArray(Subject[]::new);
  }

  /** Whether minute bars can tell a field. */
  static boolean tell(Field field) {
    return (field.pace() == Field.Pace.FIXED && !OF_EVENINGS.contains(field.words()))
        || BarField.of(field).isPresent()
        || OF_NEWS.contains(field.words());
  }

  @Override
  public Phases phases() {
    return session.phases();
  }

  @Override
  public int size() {
    return session.size();
  }

  @Override
  public String symbol(int place) {
    return session.symbol(place);
  }

  @Override
  public Subject settled(int place) {
    return settled[place];
  }

  /**
   * What reads a number.
   *
   * @throws RefusedException when minute bars cannot tell it
   */
  @Override
  public Numbers numbers(Field.Number field) {
    if (field.pace() == Field.Pace.FIXED) {
      double[] known = session.numbers(field);
      return (subject, now) -> known[subject.id()];
    }
    BarField told = BarField.of(field).orElse(null);
    if (told != null) {
      return (subject, now) -> told.at((BarState) subject, now);
    }
    return switch (field.words()) {
      case MINUTES_SINCE_NEWS ->
          (subject, now) -> {
            Catalyst item = newest(subject, now);
            return item == null ? Double.NaN : Math.floorDiv(now - item.at(), DayTime.MINUTE);
          };
      case NEWS_TONE ->
          (subject, now) -> {
            Catalyst item = newest(subject, now);
            return item == null ? Double.NaN : item.reading().tone();
          };
      default -> throw untold(field);
    };
  }

  /**
   * What reads a word.
   *
   * @throws RefusedException when minute bars cannot tell it
   */
  @Override
  public Words words(Field.Word field) {
    if (field.pace() == Field.Pace.FIXED) {
      String[] known = session.words(field);
      return (subject, now) -> known[subject.id()];
    }
    return switch (field.words()) {
      case NEWS_CATEGORY ->
          (subject, now) -> {
            Catalyst item = newest(subject, now);
            return item == null ? "" : item.reading().category().words();
          };
      case NEWS_WEIGHT ->
          (subject, now) -> {
            Catalyst item = newest(subject, now);
            return item == null ? "" : item.reading().weight().words();
          };
      default -> throw untold(field);
    };
  }

  private static RefusedException untold(Field field) {
    return new RefusedException("minute bars do not tell \"" + field.words() + "\"");
  }

  private @Nullable Catalyst newest(Subject subject, long now) {
    return session.news().newest(session.symbol(subject.id()), now);
  }
}
