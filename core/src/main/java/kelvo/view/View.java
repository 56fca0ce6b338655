package kelvo.view;

/**
 * What one part of a window shows: its own question about a moment of the session, answered by an
 * immutable value of its own type. A player asks a view at every moment that it publishes, as long
 * as somebody {@link kelvo.player.Player#follow follows} it.
 *
 * <pre>{@code
 * View<Integer> halted = moment -> new HaltsView().look(moment).halted().size();
 * player.follow(halted, count -> System.out.println(count + " securities are halted"));
 * }</pre>
 *
 * @param <T> the answer: immutable, since other threads get it
 */
@FunctionalInterface
public interface View<T> {
  /**
   * Looks at a moment, on the player's thread. A view may keep what it has worked out for the next
   * look, but no reference to the moment; moments may go back.
   */
  T look(Moment moment);
}
