package kelvo.sim;

import java.util.List;
import java.util.OptionalDouble;
import kelvo.session.SecurityKind;

/**
 * Something planted in the invented session for a careful user to find.
 *
 * @param id a short name for tests
 * @param symbol the security it happens to
 * @param company its name
 * @param sector its trade
 * @param kind what it is
 * @param previousClose dollars, as traded on the day before
 * @param floatShares float before any split
 * @param splitRatio new shares per old effective on the session's date; 1 for none
 * @param price the price as a multiple of the split-adjusted previous close, at moments of the day;
 *     straight between them
 * @param activity prints a minute, at moments of the day; the same until the next
 * @param printShares mean shares of a print
 * @param news an item about it; empty for none
 * @param finding what a careful user should find
 */
public record Story(
    String id,
    String symbol,
    String company,
    String sector,
    SecurityKind kind,
    double previousClose,
    double floatShares,
    double splitRatio,
    List<Mark> price,
    List<Mark> activity,
    int printShares,
    String newsAt,
    String news,
    String finding) {
  /** A value at a moment of the day. */
  public record Mark(long at, double value) {}

  /** The same story of another company, its news in that company's name. */
  Story of(String newSymbol, String newCompany, String newSector) {
    return new Story(
        id,
        newSymbol,
        newCompany,
        newSector,
        kind,
        previousClose,
        floatShares,
        splitRatio,
        price,
        activity,
        printShares,
        newsAt,
        news.replace(company, newCompany),
        finding);
  }

  /** So many times fewer prints a minute. */
  static List<Mark> thinned(List<Mark> activity, int times) {
    return activity.stream().map(mark -> new Mark(mark.at(), mark.value() / times)).toList();
  }

  /** Value straight between marks; the first and last go on outside. */
  static double between(List<Mark> marks, long moment) {
    Mark before = marks.getFirst();
    for (Mark mark : marks) {
      if (mark.at() > moment) {
        double part = (moment - before.at()) / (double) Math.max(1, mark.at() - before.at());
        return moment <= before.at()
            ? before.value()
            : before.value() + part * (mark.value() - before.value());
      }
      before = mark;
    }
    return before.value();
  }

  /** Value of the newest mark; nothing before the first. */
  static OptionalDouble since(List<Mark> marks, long moment) {
    OptionalDouble found = OptionalDouble.empty();
    for (Mark mark : marks) {
      if (mark.at() <= moment) {
        found = OptionalDouble.of(mark.value());
      }
    }
    return found;
  }
}
