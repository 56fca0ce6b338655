package kelvo.view;

/** Shows which moment it is. */
public final class ClockView implements View<ClockView.Clock> {
  /**
   * The moment shown.
   *
   * @param moment {@link kelvo.time.DayTime}
   * @param events how many events have been applied
   */
  public record Clock(long moment, int events) {}

  @Override
  public Clock look(Moment moment) {
    return new Clock(moment.now(), moment.events());
  }
}
