package kelvo.journal;

import java.util.List;

/**
 * What the trader says of a trade, a move or a session in hindsight. The newest on a subject
 * counts.
 *
 * @param text may be empty
 * @param tags words of the trader's own, each once
 */
public record Remark(Subject subject, String text, List<String> tags) {
  public Remark {
    tags = tags.stream().map(String::strip).filter(tag -> !tag.isEmpty()).distinct().toList();
  }

  /** Nothing said of a subject. */
  public static Remark none(Subject subject) {
    return new Remark(subject, "", List.of());
  }
}
