package kelvo.data.news;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.data.folder.Faults;
import kelvo.market.Security;
import kelvo.market.SecurityKind;
import kelvo.news.Catalyst;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** 2,000 mutated feeds of each kind: what is whole is read, the rest is a fault, nothing else. */
class MutatedNewsTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final int FEEDS = 2_000;
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

  private final SplittableRandom random = new SplittableRandom(20310312);
  private final List<Security> securities =
      List.of(
          new Security(
              "TIDARC",
              "Tidal Arc",
              "XNAS",
              SecurityKind.COMMON_STOCK,
              "",
              "",
              "",
              1,
              1,
              null,
              null,
              false));

  @TempDir Path root;
  private Path folder;

  @BeforeEach
  void makeFolder() throws IOException {
    folder = Files.createDirectories(root.resolve("news"));
  }

  private String mutated(String feed) {
    StringBuilder text = new StringBuilder(feed);
    for (int n = 1 + random.nextInt(4); n > 0 && !text.isEmpty(); n--) {
      int at = random.nextInt(text.length());
      char noise = NOISE.charAt(random.nextInt(NOISE.length()));
      switch (random.nextInt(4)) {
        case 0 -> text.setCharAt(at, noise);
        case 1 -> text.insert(at, noise);
        case 2 -> text.deleteCharAt(at);
        default -> text.setLength(Math.max(1, at));
      }
    }
    return text.toString();
  }

  private void eachGivesItemsOrFaults(String feed, String file) throws IOException {
    Files.writeString(folder.resolve("good" + file), feed);
    for (int i = 0; i < FEEDS; i++) {
      Files.writeString(folder.resolve(file), mutated(feed), StandardCharsets.UTF_8);
      Faults faults = new Faults();
      List<Catalyst> items = NewsFiles.read(root, DATE, 3, securities, faults);

      assertThat(items).as("the good feed is read whatever the other holds").isNotEmpty();
      assertThat(items.size() + faults.all().size()).isLessThanOrEqualTo(4);
    }
  }

  @Test
  void rss() throws IOException {
    eachGivesItemsOrFaults(RSS, "wire.xml");
  }

  @Test
  void atom() throws IOException {
    eachGivesItemsOrFaults(ATOM, "registry.xml");
  }

  @Test
  void jsonFeed() throws IOException {
    eachGivesItemsOrFaults(JSON, "releases.json");
  }
}
