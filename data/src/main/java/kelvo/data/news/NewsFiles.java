package kelvo.data.news;

import com.rometools.rome.feed.synd.SyndCategory;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import kelvo.data.folder.Fault;
import kelvo.data.folder.Faults;
import kelvo.market.Security;
import kelvo.news.Catalyst;
import kelvo.time.DayTime;
import org.jsoup.Jsoup;

/**
 * Reads news from RSS 2.0 and Atom files. An item belongs to the symbols in its category terms and
 * to those whose symbol stands in its headline. Bodies become plain text.
 */
public final class NewsFiles {
  private NewsFiles() {}

  /** The items of a session and of the days before it, oldest first. A missing folder has none. */
  public static List<Catalyst> read(
      Path folder, LocalDate session, int daysBefore, List<Security> securities, Faults faults) {
    List<Catalyst> items = new ArrayList<>();
    if (!Files.isDirectory(folder)) {
      return items;
    }
    Map<String, Security> known = new HashMap<>();
    securities.forEach(s -> known.put(s.symbol(), s));
    try (Stream<Path> files = Files.list(folder)) {
      files
          .filter(f -> f.toString().endsWith(".xml"))
          .sorted()
          .forEach(f -> readFile(f, session, known, faults, items));
    } catch (IOException e) {
      faults.add(new Fault("news", 0, "", "a readable folder", String.valueOf(e.getMessage())));
    }
    items.removeIf(i -> i.at() < -daysBefore * 24 * DayTime.HOUR || i.at() > DayTime.LAST);
    items.sort(Comparator.comparingLong(Catalyst::at));
    return items;
  }

  private static void readFile(
      Path file,
      LocalDate session,
      Map<String, Security> known,
      Faults faults,
      List<Catalyst> items) {
    String name = "news/" + file.getFileName();
    try (Reader reader = Files.newBufferedReader(file)) {
      SyndFeed feed = new SyndFeedInput().build(reader);
      for (SyndEntry entry : feed.getEntries()) {
        if (entry.getPublishedDate() == null || entry.getTitle() == null) {
          faults.add(
              new Fault(
                  name,
                  0,
                  "",
                  "an item with a title and a date",
                  String.valueOf(entry.getTitle())));
        } else {
          items.add(catalyst(entry, String.valueOf(feed.getTitle()), session, known));
        }
      }
    } catch (IOException | FeedException | IllegalArgumentException e) {
      faults.add(new Fault(name, 0, "", "an RSS 2.0 or Atom feed", String.valueOf(e.getMessage())));
    }
  }

  private static Catalyst catalyst(
      SyndEntry entry, String source, LocalDate session, Map<String, Security> known) {
    ZonedDateTime at = entry.getPublishedDate().toInstant().atZone(DayTime.NEW_YORK);
    long moment =
        at.toLocalDate().equals(session)
            ? at.toLocalTime().toNanoOfDay()
            : Duration.between(session.atStartOfDay(DayTime.NEW_YORK), at).toNanos();
    Set<String> symbols = new LinkedHashSet<>();
    entry.getCategories().stream()
        .map(SyndCategory::getName)
        .filter(known::containsKey)
        .forEach(symbols::add);
    for (String word : entry.getTitle().split("[^A-Z0-9.]+")) {
      if (word.length() > 1 && known.containsKey(word)) {
        symbols.add(word);
      }
    }
    String body =
        entry.getDescription() == null ? "" : Jsoup.parse(entry.getDescription().getValue()).text();
    return new Catalyst(
        moment, source, Jsoup.parse(entry.getTitle()).text(), body, List.copyOf(symbols));
  }
}
