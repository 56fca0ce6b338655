package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Research on a folder in which nobody recorded prints. */
class ResearchOfBarsTest {
  @TempDir Path folder;

  private final ByteArrayOutputStream printed = new ByteArrayOutputStream();
  private final ByteArrayOutputStream told = new ByteArrayOutputStream();

  @BeforeEach
  void write() throws IOException {
    Files.writeString(
        folder.resolve("securities.csv"),
        """
        symbol,name,mic,cfi,sector,industry,country,shares_outstanding,float,float_as_of,shortable
        TIDARC,Tidal Arc,XNAS,ESVUFR,tidal power,,US,9000000,5000000,2031-01-02,yes
        KELPOR,Kelp Harbour,XNAS,ESVUFR,kelp foods,,US,9000000,5000000,2031-01-02,yes
        """);
    Files.writeString(
        folder.resolve("daily.csv"),
        """
        symbol,date,open,high,low,close,volume
        TIDARC,2031-03-07,10,10,10,10,1000
        KELPOR,2031-03-07,20,20,20,20,1000
        TIDARC,2031-03-10,10.5,12,10.5,11.5,9000
        TIDARC,2031-03-11,11,11,9,9.2,9000
        """);
    Files.createDirectories(folder.resolve("minutes"));
    Files.writeString(
        folder.resolve("minutes/2031-03-10.csv"),
        """
        symbol,time,open,high,low,close,volume
        TIDARC,09:30:00,10.5,10.8,10.5,10.7,1000
        TIDARC,09:31:00,10.7,11.2,10.7,11.1,2000
        TIDARC,09:35:00,11.20,12,11.2,11.9,2000
        TIDARC,15:59:00,11.6,11.6,11.5,11.5,500
        KELPOR,09:30:00,20,20,20,20,100
        """);
  }

  private int run(String... args) {
    return Kelvo.run(
        new Terminal(
            new PrintStream(printed, true, StandardCharsets.UTF_8),
            new PrintStream(told, true, StandardCharsets.UTF_8)),
        args);
  }

  private String scan(String rules) throws IOException {
    Path file = folder.resolve("asked.json");
    Files.writeString(file, "{\"kelvo\":1,\"name\":\"Risers\",\"rules\":[" + rules + "]}");
    return file.toString();
  }

  private String told() {
    return told.toString(StandardCharsets.UTF_8);
  }

  @Test
  void minuteBarsAnswerWhereThereAreNoPrints(@TempDir Path out) throws IOException {
    String scan = scan("\"change % at least 10%\"");
    assertThat(run("research", folder.toString(), "--scan", scan, "--out", out.toString()))
        .isZero();

    List<NamedCsvRecord> cases =
        CsvReader.builder().ofNamedCsvRecord(out.resolve("cases.csv")).stream().toList();
    assertThat(cases).hasSize(1);
    NamedCsvRecord one = cases.getFirst();
    assertThat(one.getField("symbol")).isEqualTo("TIDARC");
    assertThat(one.getField("at")).isEqualTo("09:32:00.000");
    assertThat(one.getField("entered_at")).isEqualTo("09:35:00.000");
    assertThat(one.getField("entry")).isEqualTo("11.205");
    assertThat(Double.parseDouble(one.getField("next close"))).isLessThan(-17);
    List<NamedCsvRecord> reach =
        CsvReader.builder().ofNamedCsvRecord(out.resolve("reach.csv")).stream().toList();
    assertThat(reach)
        .extracting(row -> row.getField("reach_pct"))
        .containsExactly("2", "5", "10", "20");
    for (NamedCsvRecord row : reach) {
      String gain = one.getField("seconds to +" + row.getField("reach_pct") + "%");
      assertThat(row.getField("median_seconds_to_gain")).isEqualTo(gain);
      assertThat(row.getField("gain_first")).isEqualTo(gain.isEmpty() ? "0" : "1");
    }
    NamedCsvRecord record =
        CsvReader.builder().ofNamedCsvRecord(out.resolve("record.csv")).stream()
            .findFirst()
            .orElseThrow();
    assertThat(record.getField("day_1_close")).isEqualTo("11.50");
    assertThat(record.getField("day_1_gap_pct")).isEqualTo("5");
    assertThat(record.getField("day_2_change_pct")).isEqualTo("-20");
    assertThat(record.getField("day_3_close")).isEmpty();
  }

  @Test
  void whatMinuteBarsCannotTellLeavesThemOut() throws IOException {
    String scan = scan("\"spread % at most 1%\"");
    assertThat(run("research", folder.toString(), "--scan", scan)).isOne();

    assertThat(told())
        .contains(
            "1 session is left out: only minute bars are known, which cannot tell the rule"
                + " \"spread % at most 1%\".")
        .doesNotContain("Exception", "java.");
  }

  @Test
  void theQuestionIsPrintedAsSqlForAPartitionedStore(@TempDir Path out) throws IOException {
    String scan = scan("\"change % at least 10%\"");
    assertThat(run("research", folder.toString(), "--scan", scan, "--sql")).isZero();
    assertThat(printed.toString(StandardCharsets.UTF_8))
        .startsWith("-- When Risers first hit, and one buys at the next print.")
        .contains("date '2031-03-10'");

    Path store = out.resolve("store");
    assertThat(run("convert", "--partitioned", folder.toString(), store.toString())).isZero();
    assertThat(store.resolve("minutes/date=2031-03-10/minutes.parquet")).exists();
    assertThat(store.resolve("trading_days/trading_days.parquet")).exists();
    assertThat(store.resolve("actions/actions.parquet")).exists();
  }

  @Test
  void whatCannotBeWrittenAsSqlOrAsAStoreIsSaid(@TempDir Path empty) throws IOException {
    String scan = scan("\"news category is earnings\"");
    assertThat(run("research", folder.toString(), "--scan", scan, "--sql")).isEqualTo(2);
    assertThat(run("convert", "--partitioned", empty.toString(), empty + "-store")).isEqualTo(2);

    assertThat(told())
        .contains("SQL cannot ask the rule \"news category is earnings\"")
        .contains("has no minute bars; expected tables such as minutes/2031-03-12.csv")
        .doesNotContain("Exception", "java.");
  }
}
