package kelvo.sim;

import com.rometools.rome.feed.synd.SyndCategoryImpl;
import com.rometools.rome.feed.synd.SyndContentImpl;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndEntryImpl;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.feed.synd.SyndFeedImpl;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedOutput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Date;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.time.DayTime;

/** Writes the invented news wire as one RSS 2.0 file. */
final class NewsWire {
  private static final List<String> QUIET =
      List.of(
          "%s names new head of supply",
          "%s to speak at harbour industries day",
          "%s opens second works in Calder Bay",
          "%s reports monthly deliveries in line with plan",
          "%s extends lease on northern yard",
          "%s publishes yearly safety report");
  private static final int OTHERS = 70;

  private NewsWire() {}

  static void write(Path folder, LocalDate date, List<InventedStock> stocks, long seed)
      throws IOException {
    List<SyndEntry> entries = new ArrayList<>();
    for (InventedStock stock : stocks) {
      Story story = stock.story();
      if (story != null && !story.news().isEmpty()) {
        entries.add(
            entry(
                date,
                LocalTime.parse(story.newsAt()),
                story.news(),
                story.company() + " told holders of its shares today: " + story.news() + ".",
                story.symbol()));
      }
    }
    SplittableRandom random = new SplittableRandom(seed + 5);
    for (int i = 0; i < OTHERS; i++) {
      InventedStock stock = stocks.get(20 + random.nextInt(stocks.size() - 20));
      LocalDate day = random.nextInt(3) == 0 ? date.minusDays(1) : date;
      LocalTime time = LocalTime.of(5 + random.nextInt(12), random.nextInt(60));
      String headline = QUIET.get(random.nextInt(QUIET.size())).formatted(stock.name());
      entries.add(
          entry(day, time, headline, headline + ". No figures were given.", stock.symbol()));
    }
    entries.sort(Comparator.comparing(SyndEntry::getPublishedDate));
    SyndFeed feed = new SyndFeedImpl();
    feed.setFeedType("rss_2.0");
    feed.setTitle("Harbour Wire");
    feed.setDescription("Invented news of an invented market");
    feed.setLink("urn:kelvo:demo");
    feed.setEntries(entries);
    Files.createDirectories(folder);
    try {
      Files.writeString(
          folder.resolve("harbour-wire-" + date + ".xml"), new SyndFeedOutput().outputString(feed));
    } catch (FeedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static SyndEntry entry(
      LocalDate day, LocalTime time, String headline, String body, String symbol) {
    SyndEntry entry = new SyndEntryImpl();
    entry.setTitle(headline);
    entry.setPublishedDate(Date.from(day.atTime(time).atZone(DayTime.NEW_YORK).toInstant()));
    var content = new SyndContentImpl();
    content.setType("text/plain");
    content.setValue(body);
    entry.setDescription(content);
    var category = new SyndCategoryImpl();
    category.setName(symbol);
    entry.setCategories(List.of(category));
    return entry;
  }
}
