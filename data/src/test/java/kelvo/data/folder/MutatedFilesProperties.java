package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import kelvo.data.Mutations;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.EventKind;
import kelvo.time.DayTime;
import net.jqwik.api.EdgeCasesMode;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;

/**
 * A million lines, half of them with something wrong in them, seeded: nothing crashes or hangs,
 * every line is either an event or a fault, and every good line is kept.
 */
class MutatedFilesProperties {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final int FOLDERS = 10;
  private static final int LINES = 10_000;
  private static final int CORRECTIONS = 400;
  private static final int MAX = 3;
  private static final String[] SYMBOLS = {"TIDARC", "GLASBX", "KELPOR"};
  private static final String NOISE = "0123456789.,:-+eE $%ABxyz\t;'\u00e9\u4e2d\u0000";

  private Random random = new Random();
  private Path folder = Path.of("");

  private interface Line {
    String good(int i);
  }

  private String clock(int i) {
    return DayTime.millis(DayTime.FIRST + (DayTime.LAST - DayTime.FIRST) / LINES * i);
  }

  private String symbol() {
    return SYMBOLS[random.nextInt(SYMBOLS.length)];
  }

  /** Writes lines of which every other one is mutated, and returns how many are good. */
  private int write(String name, String header, Line line) throws IOException {
    return write(name, LINES, header, line);
  }

  private int write(String name, int count, String header, Line line) throws IOException {
    List<String> lines = new ArrayList<>(List.of(header));
    int good = 0;
    for (int i = 0; i < count; i++) {
      String text = line.good(i);
      if (i % 2 == 0) {
        good++;
        lines.add(text);
      } else {
        lines.add(Mutations.mutated(text, NOISE, MAX, random));
      }
    }
    Path file = folder.resolve(name);
    Files.createDirectories(file.getParent());
    Files.write(file, lines, StandardCharsets.UTF_8);
    return good;
  }

  private static long count(Session session, EventKind kind) {
    long count = 0;
    for (int i = 0; i < session.tape().size(); i++) {
      count += session.tape().kind(i) == kind ? 1 : 0;
    }
    return count;
  }

  @Tag("proof")
  @Property(tries = FOLDERS, seed = "20310312", edgeCases = EdgeCasesMode.NONE)
  void everyLineIsAnEventOrAFaultAtLength(@ForAll long seed) throws IOException {
    everyLineIsAnEventOrAFault(seed);
  }

  @Property(tries = 1, seed = "20310312", edgeCases = EdgeCasesMode.NONE)
  void everyLineIsAnEventOrAFault(@ForAll long seed) throws IOException {
    random = new Random(seed);
    folder = Files.createTempDirectory("kelvo-mutated");
    try {
      readsAll();
    } finally {
      remove();
    }
  }

  private void remove() throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(path);
      }
    }
  }

  private void readsAll() throws IOException {
    Files.writeString(
        folder.resolve("securities.csv"),
        "symbol,name,mic,cfi\nTIDARC,A,XNAS,ESVUFR\nGLASBX,B,XNAS,ESVUFR\nKELPOR,C,XNAS,ESVUFR\n");
    String day = "sessions/2031-03-12/";
    int trades =
        write(
            day + "trades.csv",
            "time,symbol,price,size,conditions,id",
            i -> clock(i) + "," + symbol() + ",8.2" + random.nextInt(99) + ",100,regular," + i);
    int quotes =
        write(
            day + "quotes.csv",
            "time,symbol,bid,bid_size,ask,ask_size",
            i -> clock(i) + "," + symbol() + ",8.19,3,8.21,4");
    int statuses =
        write(
            day + "status.csv",
            "time,symbol,state,reason",
            i -> clock(i) + "," + symbol() + ",halted,T1");
    int imbalances =
        write(
            day + "imbalance.csv",
            "time,symbol,side,paired,imbalance,reference",
            i -> clock(i) + "," + symbol() + ",buy,10,2000,8.2");
    int mentions =
        write(day + "mentions.csv", "time,symbol,count", i -> clock(i) + "," + symbol() + ",7");
    write(
        day + "corrections.csv",
        CORRECTIONS,
        "time,symbol,id,action,price,size",
        i -> clock(i) + "," + symbol() + "," + i + ",cancel,,");
    write(
        "daily.csv",
        "symbol,date,open,high,low,close,volume,trades",
        i -> symbol() + ",2031-03-11,8,9,7,8,1000,10");
    write("actions.csv", "symbol,date,kind,ratio", i -> symbol() + ",2030-03-11,split,2");
    write(
        "calendar.csv",
        "date,time,symbol,kind,title",
        i -> "2031-03-12,14:00:00,,rates,Rate decision");
    write(
        "fills.csv",
        "time,symbol,side,quantity,price,fee,account,order_id",
        i -> "2031-03-12T10:00:00-04:00," + symbol() + ",buy,100,8.2,0.5,A," + i);
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    Session session = data.session(DATE, Progress.NONE);

    assertThat(count(session, EventKind.TRADE)).isGreaterThanOrEqualTo(trades);
    assertThat(count(session, EventKind.TRADE) + data.linesLeftOut(day + "trades.csv"))
        .isEqualTo(LINES);
    assertThat(count(session, EventKind.QUOTE)).isGreaterThanOrEqualTo(quotes);
    assertThat(count(session, EventKind.QUOTE) + data.linesLeftOut(day + "quotes.csv"))
        .isEqualTo(LINES);
    assertThat(count(session, EventKind.STATUS)).isGreaterThanOrEqualTo(statuses);
    assertThat(count(session, EventKind.STATUS) + data.linesLeftOut(day + "status.csv"))
        .isEqualTo(LINES);
    assertThat(count(session, EventKind.IMBALANCE)).isGreaterThanOrEqualTo(imbalances);
    assertThat(count(session, EventKind.MENTION)).isGreaterThanOrEqualTo(mentions);
    assertThat(count(session, EventKind.CORRECTION) + data.linesLeftOut(day + "corrections.csv"))
        .isEqualTo(CORRECTIONS);
    assertThat(data.fills(DATE)).hasSizeGreaterThanOrEqualTo(LINES / 2);
    TapeReplay engine = new TapeReplay(session);
    engine.runTo(DayTime.of(4, 30));
    assertThat(engine.events()).isPositive();
  }
}
