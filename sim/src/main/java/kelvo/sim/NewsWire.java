package kelvo.sim;

import com.rometools.rome.feed.synd.SyndCategory;
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
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Date;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.news.Catalyst;
import kelvo.time.DayTime;

/** The invented news wire, in whatever kind of feed. */
final class NewsWire {
  private static final List<String> QUIET =
      List.of(
          "%s names new head of supply",
          "%s to speak at harbour industries day",
          "%s opens second works in Calder Bay",
          "%s reports monthly deliveries in line with plan",
          "%s extends lease on northern yard",
          "%s publishes yearly safety report");
  static final String SOURCE = "Harbour Wire";
  private static final int OTHERS = 70;

  private NewsWire() {}

  /** Writes the items of a date as one RSS 2.0 file. */
  static void write(Path folder, LocalDate date, List<InventedStock> stocks, long seed)
      throws IOException {
    Files.createDirectories(folder);
    write(folder.resolve("harbour-wire-" + date + ".xml"), date, items(stocks, seed));
  }

  /** Writes items as one RSS 2.0 file; their moments count from the midnight of a date. */
  static void write(Path file, LocalDate date, List<Catalyst> items) throws IOException {
    try {
      Files.writeString(file, new SyndFeedOutput().outputString(feed("rss_2.0", items, date)));
    } catch (FeedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static List<Catalyst> items(List<InventedStock> stocks, long seed) {
    List<Catalyst> items = new ArrayList<>();
    for (InventedStock stock : stocks) {
      Story story = stock.story();
      if (story != null && !story.news().isEmpty()) {
        items.add(
            new Catalyst(
                DayTime.parse(story.newsAt()),
                SOURCE,
                story.news(),
                story.company() + " told holders of its shares today: " + story.news() + ".",
                List.of(story.symbol())));
      }
    }
    SplittableRandom random = new SplittableRandom(seed + 5);
    for (int i = 0; i < OTHERS; i++) {
      InventedStock stock = stocks.get(20 + random.nextInt(stocks.size() - 20));
      long day = random.nextInt(3) == 0 ? -DayTime.DAY : 0;
      long time = DayTime.of(5 + random.nextInt(12), random.nextInt(60));
      String headline = QUIET.get(random.nextInt(QUIET.size())).formatted(stock.name());
      items.add(
          new Catalyst(
              day + time,
              SOURCE,
              headline,
              headline + ". No figures were given.",
              List.of(stock.symbol())));
    }
    items.sort(Comparator.comparingLong(Catalyst::at));
    return items;
  }

  /** The items as a feed of a kind, such as rss_2.0 or atom_1.0. */
  static SyndFeed feed(String kind, List<Catalyst> items, LocalDate date) {
    SyndFeed feed = new SyndFeedImpl();
    feed.setFeedType(kind);
    feed.setTitle(SOURCE);
    feed.setDescription("Invented news of an invented market");
    feed.setLink("urn:kelvo:demo");
    feed.setUri("urn:kelvo:demo");
    feed.setEntries(items.stream().map(item -> entry(item, date)).toList());
    return feed;
  }

  private static SyndEntry entry(Catalyst item, LocalDate date) {
    SyndEntry entry = new SyndEntryImpl();
    entry.setTitle(item.headline());
    entry.setUri("urn:kelvo:demo:" + date + ":" + item.at() + ":" + item.headline().hashCode());
    entry.setPublishedDate(
        Date.from(
            date.atStartOfDay(DayTime.NEW_YORK)
                .toLocalDateTime()
                .plusNanos(item.at())
                .atZone(DayTime.NEW_YORK)
                .toInstant()));
    var content = new SyndContentImpl();
    content.setType("text/plain");
    content.setValue(item.body());
    entry.setDescription(content);
    entry.setCategories(item.symbols().stream().map(NewsWire::category).toList());
    return entry;
  }

  private static SyndCategory category(String symbol) {
    SyndCategory category = new SyndCategoryImpl();
    category.setName(symbol);
    return category;
  }
}
