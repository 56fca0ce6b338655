package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import kelvo.job.Progress;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TableConversionTest {
  @TempDir Path folder;

  private Path write(String name, String text) throws IOException {
    return Files.writeString(folder.resolve(name), text);
  }

  @Test
  void csvToParquetAndBackIsTheSame() throws IOException {
    String csv =
        """
        time,symbol,price,size,conditions,id
        09:30:00.123456789,TIDARC,8.2000,100,regular,1
        09:30:01,GLASBX,0.1234,5,"regular odd_lot",A-2
        """;
    Path in = write("trades.csv", csv);
    TableConversion conversion = new TableConversion();
    conversion.convert(in, folder.resolve("trades.parquet"), Progress.NONE);
    conversion.convert(
        folder.resolve("trades.parquet"), folder.resolve("again.csv"), Progress.NONE);

    assertThat(conversion.faults().all()).isEmpty();
    assertThat(folder.resolve("again.csv"))
        .content()
        .isEqualToNormalizingNewlines(csv.replace("\"regular odd_lot\"", "regular odd_lot"));
  }

  @Test
  void parquetHasTypesThatAnyEngineReads() throws IOException, SQLException {
    Path in = write("daily.csv", "symbol,date,close,volume\nTIDARC,2031-03-11,8.2,1000\n");
    Path out = folder.resolve("daily.parquet");
    new TableConversion().convert(in, out, Progress.NONE);

    try (var duck = DuckDb.open();
        var statement = duck.createStatement();
        ResultSet row =
            statement.executeQuery(
                "select typeof(date), typeof(close), typeof(volume), close * volume from '"
                    + out
                    + "'")) {
      assertThat(row.next()).isTrue();
      assertThat(row.getString(1)).isEqualTo("DATE");
      assertThat(row.getString(2)).isEqualTo("DECIMAL(18,4)");
      assertThat(row.getString(3)).isEqualTo("BIGINT");
      assertThat(row.getDouble(4)).isEqualTo(8_200);
    }
  }

  @Test
  void aWrongRowIsReportedAndLeftOut() throws IOException {
    Path in = write("daily.csv", "symbol,date,close\nTIDARC,2031-03-11,8.2\nGLASBX,soon,9\n");
    TableConversion conversion = new TableConversion();
    conversion.convert(in, folder.resolve("daily.parquet"), Progress.NONE);

    assertThat(conversion.rows()).isEqualTo(1);
    assertThat(conversion.faults().all())
        .singleElement()
        .satisfies(
            f -> assertThat(f.sentence()).contains("daily.csv, line 3, column date", "\"soon\""));
  }

  @Test
  void nothingIsOverwritten() throws IOException {
    Path in = write("a.csv", "symbol\nTIDARC\n");
    Path out = write("b.csv", "mine");

    assertThatThrownBy(() -> new TableConversion().convert(in, out, Progress.NONE))
        .hasMessageContaining("is there already");
    assertThat(out).hasContent("mine");
  }

  @Test
  void aTornParquetFileIsReportedAndTheRestIsRead() throws IOException {
    write("securities.csv", "symbol,name,mic,cfi\nTIDARC,Tidal Arc,XNAS,ESVUFR\n");
    write("daily.parquet", "PAR1 torn");
    DataFolder data = new DataFolder(folder, new kelvo.data.calendar.ExchangeCalendar());
    var session = data.session(java.time.LocalDate.of(2031, 3, 12), Progress.NONE);

    assertThat(session.securities()).hasSize(1);
    assertThat(data.faults())
        .singleElement()
        .satisfies(f -> assertThat(f.sentence()).startsWith("daily.parquet: expected a whole"));
  }

  @Test
  void nothingIsConvertedIntoItself() throws IOException {
    Path own = Files.createDirectories(folder.resolve("own"));
    Path table = Files.writeString(own.resolve("daily.csv"), "symbol,date\nA,2031-03-12\n");

    for (Path to : new Path[] {own, own.resolve("inner"), folder}) {
      assertThatThrownBy(() -> new TableConversion().convert(own, to, Progress.NONE))
          .hasMessageContaining("lies in what is converted, or holds it");
    }
    assertThatThrownBy(() -> new TableConversion().convert(table, table, Progress.NONE))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(own).isDirectoryNotContaining(file -> !file.equals(table));
  }
}
