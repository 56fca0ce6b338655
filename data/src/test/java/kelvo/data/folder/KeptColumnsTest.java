package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.lang.foreign.MemorySegment;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.columns.Columns;
import kelvo.data.columns.NewColumns;
import kelvo.data.columns.Sources;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A folder read from columns is the folder read from its tables, with the same faults. */
class KeptColumnsTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  @TempDir Path folder;
  @TempDir Path scratch;
  private DataFolder data;

  @BeforeEach
  void write() throws IOException {
    file(
        "securities.csv",
        "symbol,name,mic,cfi",
        "TIDARC,Tidal Arc,XNAS,ESVUFR",
        "GLASBX,Glass Box,XNYS,ESVUFR");
    file(
        "daily.csv",
        "symbol,date,open,high,low,close,volume",
        "TIDARC,2031-03-10,8,9,7,8.5,1000",
        "GLASBX,2031-03-11,20,21,19,20,500",
        "TIDARC,2031-03-11,8,nine,7,8.5,1000",
        "TIDARC,2031-03-07,4,5,3,4,700");
    file("actions.csv", "symbol,date,kind,ratio", "TIDARC,2031-03-10,split,2");
    file(
        "minutes/2031-03-11.csv",
        "symbol,time,open,high,low,close,volume,trades",
        "TIDARC,09:30:00,8,10,8,9,100,1",
        "TIDARC,16:05:00,9,9.5,9,9.5,40,2",
        "GLASBX,noon,20,20,20,20,5,1");
    file(
        "sessions/2031-03-12/trades.csv",
        "time,symbol,price,size,conditions,id",
        "09:30:00.000,TIDARC,9.1,100,@,1",
        "09:30:01.000,GLASBX,20.5,10,@,2",
        "09:30:02.000,TIDARC,9.3,200,@,3",
        "09:30:03.000,NOBODY,1,1,@,4");
    file(
        "sessions/2031-03-12/status.csv",
        "time,symbol,state,reason",
        "09:31:00.000,TIDARC,halted,LUDP",
        "09:36:00.000,TIDARC,trading,");
    file(
        "sessions/2031-03-12/corrections.csv",
        "time,symbol,id,action,price,size",
        "09:32:00.000,TIDARC,3,cancel,,",
        "09:32:01.000,GLASBX,99,cancel,,");
  }

  private void file(String name, String... lines) throws IOException {
    Path path = folder.resolve(name);
    Files.createDirectories(path.getParent());
    Files.writeString(path, String.join("\n", lines) + "\n");
  }

  private Session read() {
    data = new DataFolder(folder, new ExchangeCalendar());
    return data.session(DATE, Progress.NONE);
  }

  /** Columns cannot be kept while a file has their folder's name. */
  private Session readTables() throws IOException {
    Path inTheWay = Files.writeString(folder.resolve(".kelvo"), "");
    Session session = read();
    Files.delete(inTheWay);
    return session;
  }

  private static List<String> events(Session session) {
    EventTape tape = session.tape();
    return IntStream.range(0, tape.size())
        .mapToObj(
            i ->
                tape.kind(i)
                    + " "
                    + tape.time(i)
                    + " "
                    + tape.symbol(i)
                    + " "
                    + tape.price(i)
                    + " "
                    + tape.shares(i)
                    + " "
                    + tape.earlierOfSymbol(i)
                    + " "
                    + tape.laterOfSymbol(i)
                    + (tape.kind(i) == EventKind.STATUS ? tape.reason(i) : ""))
        .toList();
  }

  private void assertSame(Session one, List<Fault> faults, Session other) {
    assertThat(events(other)).isEqualTo(events(one));
    assertThat(data.faults()).isEqualTo(faults);
    for (int i = 0; i < one.securities().size(); i++) {
      assertThat(other.security(i).history().bars()).isEqualTo(one.security(i).history().bars());
      assertThat(other.earlier().minutes().evening(i))
          .isEqualTo(one.earlier().minutes().evening(i));
    }
    assertThat(other.earlier().vwaps()).isEqualTo(one.earlier().vwaps());
    assertThat(other.tape().statusEvents(other.tape().size()))
        .isEqualTo(one.tape().statusEvents(one.tape().size()));
  }

  @Test
  void columnsSayTheSameAsTheTablesWithTheSameFaults() throws IOException {
    Session tables = readTables();
    List<Fault> faults = data.faults();
    assertThat(faults).hasSize(4);

    assertSame(tables, faults, read());
    assertThat(folder.resolve(".kelvo/columns/sessions/2031-03-12.columns")).isRegularFile();
    assertSame(tables, faults, read());
  }

  @Test
  void aReaderThatIsStoppedFindsNoFaultsAndKeepsNothing() throws IOException {
    Path packed = scratch.resolve("daily.csv.gz");
    try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(packed))) {
      Files.copy(folder.resolve("daily.csv"), out);
    }
    KeptColumns kept = new KeptColumns(new Columns(folder), new Faults(), false);
    DataFolder stopped = new DataFolder(folder, new ExchangeCalendar());
    try {
      Thread.currentThread().interrupt();
      assertThatThrownBy(() -> stopped.session(DATE, Progress.NONE))
          .isInstanceOf(CancellationException.class);
      assertThatThrownBy(
              () ->
                  kept.read(
                      "part",
                      new Sources().file(folder.resolve("daily.csv")),
                      columns -> "columns",
                      faults -> "half of a table",
                      made -> new NewColumns().with("rows", MemorySegment.ofArray(new long[1]))))
          .isInstanceOf(CancellationException.class)
          .hasMessage("reading part was stopped");
      assertThatThrownBy(
              () -> TableFile.of(packed, new Faults()).read(List.of(), header -> row -> {}))
          .isInstanceOf(CancellationException.class)
          .hasMessage("reading daily.csv.gz was stopped");
    } finally {
      assertThat(Thread.interrupted()).isTrue();
    }

    assertThat(stopped.faults())
        .as("but those of the daily bars, which another thread reads")
        .allMatch(fault -> fault.file().equals("daily.csv"));
    assertThat(folder.resolve(".kelvo/columns/part.columns")).doesNotExist();
    assertThat(read().securities()).hasSize(2);
    assertThat(data.faults()).hasSize(4);
  }

  @Test
  void whatHasBeenReadGivesWayToItsColumns() throws IOException {
    KeptColumns kept = new KeptColumns(new Columns(folder), new Faults(), false);
    Supplier<String> part =
        () ->
            kept.read(
                "part",
                new Sources().file(folder.resolve("daily.csv")),
                columns -> "columns",
                faults -> "tables",
                made -> new NewColumns().with("rows", MemorySegment.ofArray(new long[1])));

    assertThat(part.get()).isEqualTo("columns");
    Files.delete(folder.resolve(".kelvo/columns/part.columns"));
    Files.delete(folder.resolve(".kelvo/columns"));
    Files.writeString(folder.resolve(".kelvo/columns"), "");
    assertThat(part.get()).isEqualTo("tables");
  }

  @Test
  void itComesFromTheColumnsAndNotFromTheTables() throws IOException {
    Session first = read();
    Path trades = folder.resolve("sessions/2031-03-12/trades.csv");
    var time = Files.getLastModifiedTime(trades);
    Files.writeString(trades, Files.readString(trades).replace("9.1", "5.1"));
    Files.setLastModifiedTime(trades, time);

    assertThat(events(read())).isEqualTo(events(first));
  }

  @Test
  void aChangedTableIsReadAgain() throws IOException {
    read();
    Path trades = folder.resolve("sessions/2031-03-12/trades.csv");
    Files.writeString(trades, Files.readString(trades) + "09:40:00.000,TIDARC,9.4,5,@,7\n");

    assertThat(events(read())).anyMatch(event -> event.contains(" 94000 5 "));
  }

  @Test
  void anotherOrderOfTheSecuritiesIsNoticed() throws IOException {
    List<String> before = events(read());
    file(
        "securities.csv",
        "symbol,name,mic,cfi",
        "GLASBX,Glass Box,XNYS,ESVUFR",
        "TIDARC,Tidal Arc,XNAS,ESVUFR");

    assertThat(events(read())).isNotEqualTo(before).hasSameSizeAs(before);
  }

  @Test
  void tornColumnsAreMadeAgain() throws IOException {
    Session first = readTables();
    List<Fault> faults = data.faults();
    read();
    try (Stream<Path> files = Files.walk(folder.resolve(".kelvo/columns"))) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        byte[] bytes = Files.readAllBytes(file);
        Files.write(file, Arrays.copyOf(bytes, bytes.length * 2 / 3));
      }
    }

    assertSame(first, faults, read());
    assertSame(first, faults, read());
  }

  @Test
  void whoSearchesForWhatIsWrongReadsTheTables() {
    new DataFolder(folder, new ExchangeCalendar()).searching().session(DATE, Progress.NONE);

    assertThat(folder.resolve(".kelvo")).doesNotExist();
  }

  @Test
  void aTapeOutOfColumnsCanBeAppendedTo() {
    read();
    EventTape tape = read().tape();
    int before = tape.size();
    tape.trade(tape.time(before - 1) + 1, 0, 91_000, 10, 0);

    assertThat(tape.size()).isEqualTo(before + 1);
    assertThat(tape.earlierOfSymbol(before)).isNotEqualTo(EventTape.NONE);
    assertThat(tape.laterOfSymbol(tape.earlierOfSymbol(before))).isEqualTo(before);
  }
}
