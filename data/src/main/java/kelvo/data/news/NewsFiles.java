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
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.data.fault.PlainReason;
import kelvo.news.Catalyst;
import kelvo.news.SourceKind;
import kelvo.session.Security;
import kelvo.time.DayTime;

/**
 * Reads news from RSS 2.0, Atom and JSON Feed files, each item once even if several files have it.
 * An item belongs to the symbols in its category terms, or else to those that its headline names.
 * Bodies become plain text.
 */
public final class NewsFiles {
  /** Where they are in a data folder. */
  public static final String FOLDER = "news";

  private NewsFiles() {}

  /**
   * The items of a session and of the time before it in a data folder, oldest first. The kind of
   * their source is that of sources.json.
   *
   * @param from the moment from which on they are kept, negative on an earlier day
   */
  public static List<Catalyst> read(
      Path root, LocalDate session, long from, List<Security> securities, Faults faults) {
    Path folder = root.resolve(FOLDER);
    Map<String, SourceKind> kinds =
        NewsSource.in(root, faults).stream()
            .collect(Collectors.toMap(NewsSource::name, NewsSource::kind, (one, other) -> one));
    List<Catalyst> items = new ArrayList<>();
    if (!Files.isDirectory(folder)) {
      return items;
    }
    Set<String> known = securities.stream().map(Security::symbol).collect(Collectors.toSet());
    try (Stream<Path> files = Files.list(folder)) {
      files
          .filter(f -> f.toString().endsWith(".xml") || f.toString().endsWith(".json"))
          .sorted()
          .flatMap(f -> items(f, faults).stream())
          // Before their words are read, which takes most of the time.
          .filter(item -> item.isWithin(session, from, DayTime.LAST))
          .map(item -> item.catalyst(session, known))
          .forEach(item -> items.add(item.ofKind(kinds.getOrDefault(item.source(), item.kind()))));
    } catch (IOException e) {
      faults.add(new Fault(FOLDER, 0, "", "a readable folder", String.valueOf(e.getMessage())));
    }
    Map<Catalyst, Catalyst> once = new LinkedHashMap<>();
    for (Catalyst item : items) {
      once.merge(item.knownAt(item.at()), item, (a, b) -> a.known() <= b.known() ? a : b);
    }
    return once.values().stream()
        .sorted(Comparator.comparingLong(Catalyst::at))
        .collect(Collectors.toCollection(ArrayList::new));
  }

  private static List<FeedItem> items(Path file, Faults faults) {
    String name = FOLDER + "/" + file.getFileName();
    try (Reader reader = Files.newBufferedReader(file)) {
      return name.endsWith(".json")
          ? JsonFeed.read(reader, title -> faults.add(noDate(name, title)))
          : entries(reader, title -> faults.add(noDate(name, title)));
    } catch (IOException | FeedException | IllegalArgumentException e) {
      faults.add(new Fault(name, 0, "", "an RSS 2.0, Atom or JSON feed", PlainReason.of(e)));
      return List.of();
    }
  }

  private static Fault noDate(String name, String title) {
    return new Fault(name, 0, "", "an item with a title and a date", title);
  }

  static List<FeedItem> entries(Reader reader, Consumer<String> wrong) throws FeedException {
    SyndFeed feed = new SyndFeedInput().build(reader);
    List<FeedItem> items = new ArrayList<>();
    for (SyndEntry entry : feed.getEntries()) {
      if (entry.getPublishedDate() == null || entry.getTitle() == null) {
        wrong.accept(String.valueOf(entry.getTitle()));
      } else {
        String body = entry.getDescription() == null ? "" : entry.getDescription().getValue();
        items.add(
            new FeedItem(
                entry.getPublishedDate().toInstant(),
                String.valueOf(feed.getTitle()),
                entry.getTitle(),
                body == null ? "" : body,
                entry.getCategories().stream().map(SyndCategory::getName).toList()));
      }
    }
    return items;
  }
}
