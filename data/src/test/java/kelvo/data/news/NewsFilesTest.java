package kelvo.data.news;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.data.InventedSecurities;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.news.Catalyst;
import kelvo.session.Security;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class NewsFilesTest {
  private static final Security TIDARC = InventedSecurities.named("TIDARC", "Tidal Arc");

  private static final Security GLASBX = InventedSecurities.named("GLASBX", "Glass Box");

  @TempDir Path root;
  private Path folder;

  @BeforeEach
  void makeFolder() throws IOException {
    folder = Files.createDirectories(root.resolve("news"));
  }

  private List<Catalyst> read(Faults faults) {
    return NewsFiles.read(
        root, LocalDate.of(2031, 3, 12), -72 * DayTime.HOUR, List.of(TIDARC, GLASBX), faults);
  }

  @Test
  void readsRssAndAtomWithSymbolsFromCategoriesAndHeadlines() throws IOException {
    Files.writeString(
        folder.resolve("a.xml"),
        "<rss version=\"2.0\"><channel><title>Harbour Wire</title><link>urn:x</link><description>d</description><item><title>A contract</title><category>TIDARC</category><pubDate>Wed, 12 Mar 2031 07:02:00 -0400</pubDate><description>&lt;b&gt;Eleven&lt;/b&gt; years</description></item></channel></rss>");
    Files.writeString(
        folder.resolve("b.xml"),
        "<feed xmlns=\"http://www.w3.org/2005/Atom\"><title>Quay</title><id>urn:q</id><updated>2031-03-11T20:00:00Z</updated><entry><title>TIDARC speaks</title><id>urn:1</id><published>2031-03-11T20:00:00Z</published><updated>2031-03-11T20:00:00Z</updated></entry></feed>");
    List<Catalyst> items = read(new Faults());

    assertThat(items).extracting(Catalyst::headline).containsExactly("TIDARC speaks", "A contract");
    assertThat(items.get(0).at()).isEqualTo(-8 * DayTime.HOUR);
    assertThat(items.get(1).at()).isEqualTo(DayTime.of(7, 2));
    assertThat(items.get(1).body()).isEqualTo("Eleven years");
    assertThat(items).allSatisfy(i -> assertThat(i.symbols()).containsExactly("TIDARC"));
  }

  @Test
  void anItemWithTagsBelongsToThoseAlone() throws IOException {
    Files.writeString(
        folder.resolve("a.json"),
        "{\"version\":\"https://jsonfeed.org/version/1.1\",\"title\":\"Wire\",\"items\":["
            + "{\"id\":\"1\",\"title\":\"GLASBX sinks, says TIDARC\",\"tags\":[\"TIDARC\"],"
            + "\"date_published\":\"2031-03-12T07:00:00-04:00\"},"
            + "{\"id\":\"2\",\"title\":\"GLASBX rises\",\"tags\":[\"shipping\"],"
            + "\"date_published\":\"2031-03-12T07:01:00-04:00\"}]}");

    assertThat(read(new Faults()))
        .extracting(Catalyst::symbols)
        .containsExactly(List.of("TIDARC"), List.of("GLASBX"));
  }

  @Test
  void aFileThatIsNoFeedIsReportedAndTheOthersAreRead() throws IOException {
    Files.writeString(folder.resolve("bad.xml"), "<html");
    Files.writeString(
        folder.resolve("evil.xml"),
        "<!DOCTYPE r [<!ENTITY x SYSTEM \"file:///etc/hostname\">]><rss version=\"2.0\"><channel><title>&x;</title></channel></rss>");
    Faults faults = new Faults();

    assertThat(read(faults)).isEmpty();
    assertThat(faults.all())
        .extracting(Fault::file)
        .containsExactly("news/bad.xml", "news/evil.xml");
  }

  @Test
  void theKindOfASourceIsThatOfTheTradersList() throws IOException {
    Files.writeString(
        root.resolve("sources.json"),
        "{\"kelvo\":1,\"sources\":[{\"name\":\"Quay\",\"kind\":\"regulator filing\"},{\"name\":\"X\",\"kind\":\"rumour\"},{\"name\":\"Y\",\"url\":\"ftp://y\"}]}");
    Files.writeString(
        folder.resolve("b.xml"),
        "<feed xmlns=\"http://www.w3.org/2005/Atom\"><title>Quay</title><id>urn:q</id><updated>2031-03-11T20:00:00Z</updated><entry><title>TIDARC files a report</title><id>urn:1</id><published>2031-03-11T20:00:00Z</published><updated>2031-03-11T20:00:00Z</updated></entry></feed>");
    Faults faults = new Faults();

    Catalyst item = read(faults).getFirst();

    assertThat(item.kind()).isEqualTo(kelvo.news.SourceKind.REGULATOR_FILING);
    assertThat(
            kelvo.news.CatalystRule.parse("source kind is regulator filing")
                .fits(item, "TIDARC", "Tidal"))
        .isTrue();
    assertThat(
            kelvo.news.CatalystRule.parse("source kind is not regulator filing")
                .fits(item, "TIDARC", "Tidal"))
        .isFalse();
    assertThat(faults.all()).hasSize(2).allMatch(f -> f.file().equals("sources.json"));
  }
}
