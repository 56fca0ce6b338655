package kelvo.review;

import java.util.List;
import kelvo.journal.DayBook;
import kelvo.journal.FocusSpan;

/**
 * How the trader looked at a symbol while a move was on: it was in focus.
 *
 * @param times how often
 * @param longest the longest look, nanoseconds
 * @param all all of them, nanoseconds
 */
public record Looked(int times, long longest, long all) {
  /** The looks at a symbol within a span; those outside it count by what lies within. */
  static Looked at(String symbol, DayBook book, long from, long until) {
    List<Long> looks =
        book.focus().stream()
            .filter(span -> span.symbol().equals(symbol))
            .map(span -> within(span, from, until))
            .filter(length -> length > 0)
            .toList();
    return new Looked(
        looks.size(),
        looks.stream().mapToLong(Long::longValue).max().orElse(0),
        looks.stream().mapToLong(Long::longValue).sum());
  }

  private static long within(FocusSpan span, long from, long until) {
    return Math.min(span.to(), until) - Math.max(span.from(), from);
  }
}
