package kelvo.news;

import java.util.List;
import kelvo.refusal.RefusedException;

/**
 * What an item's words say of it.
 *
 * @param category what it is about
 * @param tone from -1, bad for the company's price, to 1
 * @param weight how much it can move a price
 * @param deciding the phrases that decided the category, then those that made the tone
 */
public record NewsReading(
    NewsCategory category, double tone, NewsCategory.Weight weight, List<String> deciding) {
  public NewsReading {
    if (!(tone >= -1 && tone <= 1)) {
      throw new RefusedException("a tone lies between -1 and 1, found " + tone);
    }
    deciding = List.copyOf(deciding);
  }
}
