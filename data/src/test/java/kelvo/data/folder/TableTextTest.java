package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Quotes that are never closed, and bytes that are no letters, cost their own lines only. */
class TableTextTest {
  @TempDir Path folder;
  private final Faults faults = new Faults();

  private static String read(byte[] bytes) throws IOException {
    StringWriter all = new StringWriter();
    try (TableText text = new TableText(new ByteArrayInputStream(bytes))) {
      text.transferTo(all);
    }
    return all.toString();
  }

  private List<String> symbols(String name, byte[] bytes) throws IOException {
    Path file = Files.write(folder.resolve(name), bytes);
    List<String> symbols = new ArrayList<>();
    TableFile.of(file, faults)
        .read(List.of("symbol", "name"), header -> row -> symbols.add(row.text(0)));
    return symbols;
  }

  private List<String> symbols(String text) throws IOException {
    return symbols("table.csv", text.getBytes(StandardCharsets.UTF_8));
  }

  @Property(tries = 300)
  void aTableInOrderIsReadAsItIs(
      @ForAll @Size(max = 40)
          List<@StringLength(max = 9) @CharRange(from = ' ', to = '~') String> fields,
      @ForAll long seed)
      throws IOException {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < fields.size(); i++) {
      String field = fields.get(i) + (seed >> i % 60 & 1) + (i % 7 == 0 ? "\n" : "");
      text.append('"')
          .append(field.replace("\"", "\"\""))
          .append('"')
          .append(i % 3 == 2 ? "\n" : ",");
    }
    assertThat(read(text.toString().getBytes(StandardCharsets.UTF_8))).isEqualTo(text.toString());
  }

  @Test
  void aLongTableIsReadAsItIsAcrossBlocks() throws IOException {
    String row = "AAAAAA,\"a \"\"quoted\"\" name, with\na second line\",1.5\r\n";
    String text = row.repeat(40_000);
    assertThat(read(text.getBytes(StandardCharsets.UTF_8))).isEqualTo(text);
    StringReader none = new StringReader("");
    assertThat(none.read()).isEqualTo(read(new byte[0]).length() - 1);
  }

  @Test
  void aQuoteThatIsNotClosedCostsItsLineAlone() throws IOException {
    StringBuilder text = new StringBuilder("symbol,name\n");
    for (int i = 0; i < 20_000; i++) {
      text.append(
          i == 7 ? "S7,\"seven\n" : i == 9 ? "\"S9,nine\n" : "S" + i + ",\"name " + i + "\"\n");
    }
    List<String> read = symbols(text.toString());

    assertThat(read)
        .hasSize(19_998)
        .doesNotContain("S7", "S9", " S9")
        .contains("S6", "S8", "S19999");
    assertThat(faults.all()).extracting(Fault::line).containsExactly(9L, 11L);
    assertThat(faults.sentences())
        .allMatch(sentence -> sentence.length() <= Fault.LONGEST)
        .first()
        .isEqualTo(
            "table.csv, line 9: expected each quote to be closed in its field, found \"S7, seven\";"
                + " the line was left out");
  }

  @Test
  void aQuoteThatClosesBeyondTheBoundIsNotClosed() throws IOException {
    String filler = "X,plain\n".repeat(TableText.CLOSES_WITHIN / 8 + 1);
    List<String> read = symbols("symbol,name\nA,\"open\n" + filler + "B,\"\nC,last\n");

    assertThat(read).startsWith("X").endsWith("C").doesNotContain("A", "B");
    assertThat(faults.count()).isEqualTo(2);
  }

  @Test
  void lettersOfAnotherCharacterSetAreTold() throws IOException {
    Charset latin = StandardCharsets.ISO_8859_1;
    List<String> read = symbols("table.csv", "symbol,name\nA,Société\nB,plain\n".getBytes(latin));

    assertThat(read).containsExactly("A", "B");
    assertThat(faults.sentences())
        .singleElement()
        .asString()
        .contains("line 2: expected text in UTF-8", "counts all the same");
  }

  @Test
  void aByteOrderMarkSaysWhichUnicodeItIs() throws IOException {
    assertThat(read("\uFEFFsymbol".getBytes(StandardCharsets.UTF_8))).isEqualTo("symbol");
    assertThat(read("\uFEFFsymbol".getBytes(StandardCharsets.UTF_16LE))).isEqualTo("symbol");
    assertThat(read("\uFEFFsymbol".getBytes(StandardCharsets.UTF_16BE))).isEqualTo("symbol");
    assertThat(read("ab".getBytes(StandardCharsets.UTF_8))).isEqualTo("ab");
  }

  @Test
  void anEmptyTableSaysWhatItNeeds() throws IOException {
    symbols("");
    assertThat(faults.sentences())
        .containsExactly(
            "table.csv: expected a header with symbol, name, found \"nothing\"; the file was left out");
  }

  @Test
  void aFewKilobytesThatGrowWithoutEndAreStopped() throws IOException {
    byte[] block = "AAAAAA,a name\n".repeat(1 << 16).getBytes(StandardCharsets.UTF_8);
    Path file = folder.resolve("bomb.csv.zst");
    try (var out = new com.github.luben.zstd.ZstdOutputStream(Files.newOutputStream(file), 19)) {
      out.write("symbol,name\n".getBytes(StandardCharsets.UTF_8));
      for (int i = 0; i < 128; i++) {
        out.write(block);
      }
    }
    assertThat(Files.size(file)).isLessThan(100_000);
    List<String> rows = new ArrayList<>();
    TableFile.of(file, faults)
        .read(
            List.of("symbol"),
            header ->
                row -> {
                  if (rows.isEmpty()) {
                    rows.add(row.text(0));
                  }
                });

    assertThat(faults.sentences())
        .singleElement()
        .asString()
        .contains("more than 500 times as large as its compressed file");
  }
}
