package kelvo.rule;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Function;
import kelvo.field.Field;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/**
 * The words that fields of words take at the start of a session, for completion. Not thread-safe.
 */
public final class SessionWords implements Function<Field.Word, List<String>> {
  private final Session session;
  private final Map<String, List<String>> known = new HashMap<>();

  /** The words of a session. */
  public SessionWords(Session session) {
    this.session = session;
  }

  /** Each word once, in alphabetical order. */
  @Override
  public List<String> apply(Field.Word field) {
    return known.computeIfAbsent(field.words(), words -> wordsOf(field));
  }

  private List<String> wordsOf(Field.Word field) {
    TreeSet<String> words = new TreeSet<>();
    for (int i = 0; i < session.securities().size(); i++) {
      String word = field.of(SymbolState.fresh(session, i), 0);
      if (!word.isEmpty()) {
        words.add(word);
      }
    }
    return List.copyOf(words);
  }
}
