package kelvo.data.news;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import kelvo.data.InventedSecurities;
import kelvo.data.Mutations;
import kelvo.data.fault.Faults;
import kelvo.news.Catalyst;
import kelvo.session.Security;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.Tag;
import net.jqwik.api.lifecycle.AfterProperty;
import net.jqwik.api.lifecycle.BeforeProperty;

/** 1,000 mutated feeds of each kind: what is whole is read, the rest is a fault, nothing else. */
class MutatedNewsProperties {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final int FEEDS = 1_000;
  private static final String SEED = "20310312";
  private static final int MAX = 4;
  private static final String NOISE = "<>/&;\"'{}[]:,=x0\u0000\u00e9 ";
  private static final String RSS =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <rss version="2.0"><channel><title>Harbour Wire</title><link>urn:kelvo</link>
      <description>Invented</description>
      <item><title>Tide lights Maren</title><description>A body.</description>
      <category>TIDARC</category><pubDate>Wed, 12 Mar 2031 11:02:00 GMT</pubDate></item>
      </channel></rss>
      """;
  private static final String ATOM =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <feed xmlns="http://www.w3.org/2005/Atom"><title>Registry</title><id>urn:kelvo</id>
      <updated>2031-03-12T11:02:00Z</updated>
      <entry><title>Filing</title><id>urn:kelvo:1</id><updated>2031-03-12T11:02:00Z</updated>
      <published>2031-03-12T11:02:00Z</published><category term="TIDARC"/>
      <summary>A body.</summary></entry></feed>
      """;
  private static final String JSON =
      """
      {"version":"https://jsonfeed.org/version/1.1","title":"Releases","items":[
      {"id":"1","title":"Release","date_published":"2031-03-12T07:02:00-04:00",
      "content_text":"A body.","tags":["TIDARC"]}]}
      """;

  private final List<Security> securities =
      List.of(InventedSecurities.named("TIDARC", "Tidal Arc"));

  private Path root;
  private Path folder;

  @BeforeProperty
  void makeFolder() throws IOException {
    root = Files.createTempDirectory("kelvo-news");
    folder = Files.createDirectories(root.resolve("news"));
  }

  @AfterProperty
  void removeFolder() throws IOException {
    try (Stream<Path> all = Files.walk(root)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(path);
      }
    }
  }

  private static Arbitrary<String> mutated(String feed) {
    return Arbitraries.randomValue(
        random -> {
          String changed = Mutations.mutated(feed, NOISE, MAX, random);
          boolean cut = random.nextInt(4) == 0;
          return cut ? changed.substring(0, random.nextInt(changed.length())) : changed;
        });
  }

  @Provide
  Arbitrary<String> rss() {
    return mutated(RSS);
  }

  @Provide
  Arbitrary<String> atom() {
    return mutated(ATOM);
  }

  @Provide
  Arbitrary<String> json() {
    return mutated(JSON);
  }

  private void givesItemsOrFaults(String good, String changed, String file) throws IOException {
    Files.writeString(folder.resolve("good" + file), good);
    Files.writeString(folder.resolve(file), changed, StandardCharsets.UTF_8);
    Faults faults = new Faults();
    List<Catalyst> items = NewsFiles.read(root, DATE, 3, securities, faults);

    assertThat(items).as("the good feed is read whatever the other holds").isNotEmpty();
    assertThat(items.size() + faults.all().size()).isLessThanOrEqualTo(4);
  }

  @Tag("proof")
  @Property(tries = FEEDS, seed = SEED)
  void anRssFeedGivesItemsOrFaultsAtLength(@ForAll("rss") String changed) throws IOException {
    anRssFeedGivesItemsOrFaults(changed);
  }

  @Property(tries = 100, seed = SEED)
  void anRssFeedGivesItemsOrFaults(@ForAll("rss") String changed) throws IOException {
    givesItemsOrFaults(RSS, changed, "wire.xml");
  }

  @Tag("proof")
  @Property(tries = FEEDS, seed = SEED)
  void anAtomFeedGivesItemsOrFaultsAtLength(@ForAll("atom") String changed) throws IOException {
    anAtomFeedGivesItemsOrFaults(changed);
  }

  @Property(tries = 100, seed = SEED)
  void anAtomFeedGivesItemsOrFaults(@ForAll("atom") String changed) throws IOException {
    givesItemsOrFaults(ATOM, changed, "registry.xml");
  }

  @Tag("proof")
  @Property(tries = FEEDS, seed = SEED)
  void aJsonFeedGivesItemsOrFaultsAtLength(@ForAll("json") String changed) throws IOException {
    aJsonFeedGivesItemsOrFaults(changed);
  }

  @Property(tries = 100, seed = SEED)
  void aJsonFeedGivesItemsOrFaults(@ForAll("json") String changed) throws IOException {
    givesItemsOrFaults(JSON, changed, "releases.json");
  }
}
