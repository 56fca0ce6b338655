package kelvo.desktop.workspace;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kelvo.data.fault.PlainReason;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What has gone wrong, for the status line: one sentence each with what was lost and what to do.
 * The newest ones are kept, all of them are counted and logged with their stack traces. Any thread
 * may tell; the properties belong to the window's thread.
 */
public final class Troubles {
  private static final Logger LOG = LoggerFactory.getLogger(Troubles.class);
  private static final int MAX_KEPT = 50;

  private final Executor window;
  private final ReadOnlyObjectWrapper<List<String>> newest = new ReadOnlyObjectWrapper<>(List.of());
  private int count;

  /** None so far; {@code window} runs things on the window's thread. */
  public Troubles(Executor window) {
    this.window = window;
  }

  /** Something was being done and threw; what else there is goes on. */
  public void tell(String what, Throwable cause) {
    LOG.error("{} went wrong", what, cause);
    add(capital(what) + " went wrong: " + PlainReason.of(cause) + "; the rest goes on.");
  }

  /** Something was lost that the trader must know of. */
  public void tell(String sentence) {
    LOG.error("{}", sentence);
    add(sentence);
  }

  private void add(String sentence) {
    window.execute(
        () -> {
          count++;
          List<String> longer = new ArrayList<>(newest.get());
          longer.addFirst(sentence);
          newest.set(List.copyOf(longer.subList(0, Math.min(longer.size(), MAX_KEPT))));
        });
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** Those that were not looked at yet, the newest first, at most fifty. */
  public ReadOnlyObjectProperty<List<String>> newest() {
    return newest.getReadOnlyProperty();
  }

  /** How many there have been. */
  public int count() {
    return count;
  }

  /** They have been looked at. */
  public void seen() {
    newest.set(List.of());
  }
}
