package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kelvo.tape.EventTape;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** The merge of a session's files against a plain sort by the rule of order. */
class EventRowsProperties {
  private static final int MORE_THAN_A_BLOCK = 150_000;

  /** A row as it was added; its number stands on the tape and finds it again. */
  private record Row(int file, long seq, long at, int number) {}

  private static EventRows.Writer writer() {
    return (tape, rows, row) -> tape.mention(rows.time(row), rows.symbol(row), rows.first(row));
  }

  private static EventRows rows(List<Row> all, int file, boolean fromFile) {
    EventRows rows = fromFile ? EventRows.ofFile(writer()) : EventRows.withoutSeq(writer());
    all.stream()
        .filter(row -> row.file() == file)
        .forEach(row -> rows.add(row.seq(), row.at(), 0, row.number(), 0, 0, 0));
    return rows;
  }

  private static List<Integer> merged(List<EventRows> files) {
    EventTape tape = EventRows.merge(files, 1);
    return IntStream.range(0, tape.size()).mapToObj(i -> (int) tape.shares(i)).toList();
  }

  private static List<Integer> numbers(List<Row> rows) {
    return rows.stream().map(Row::number).toList();
  }

  /** Without seq: by time, then by the files' order, then by line. */
  @Property(tries = 300)
  void withoutSeqTheOrderIsTimeThenFileThenLine(
      @ForAll long seed, @ForAll @IntRange(max = 120) int count) {
    SplittableRandom random = new SplittableRandom(seed);
    boolean sorted = random.nextBoolean();
    List<Row> all = new ArrayList<>();
    long at = 0;
    for (int i = 0; i < count; i++) {
      at = sorted ? at + random.nextLong(3) : random.nextLong(60);
      all.add(new Row(random.nextInt(3), -1, at, i));
    }
    List<Row> plain =
        all.stream().sorted(Comparator.comparingLong(Row::at).thenComparingInt(Row::file)).toList();

    assertThat(merged(List.of(rows(all, 0, true), rows(all, 1, true), rows(all, 2, true))))
        .isEqualTo(numbers(plain));
  }

  /** With seq in every file that can have it, others come before the first that is later. */
  @Property(tries = 300)
  void withSeqTheOrderIsSeqAndOthersArePutInByTheirTime(
      @ForAll long seed, @ForAll @IntRange(min = 1, max = 120) int count) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Row> all = new ArrayList<>();
    List<Integer> seqs = new ArrayList<>(IntStream.range(0, count).boxed().toList());
    for (int i = 0; i < count; i++) {
      int seq = seqs.remove(random.nextInt(seqs.size()));
      all.add(new Row(random.nextInt(2), seq, 10L * seq + random.nextLong(25), i));
    }
    List<Row> news = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      news.add(new Row(2, -1, random.nextLong(10L * count), count + i));
    }
    all.addAll(news);
    List<Row> waiting =
        new ArrayList<>(news.stream().sorted(Comparator.comparingLong(Row::at)).toList());
    List<Row> plain = new ArrayList<>();
    for (Row row :
        all.stream()
            .filter(r -> r.seq() >= 0)
            .sorted(Comparator.comparingLong(Row::seq))
            .toList()) {
      while (!waiting.isEmpty() && waiting.getFirst().at() < row.at()) {
        plain.add(waiting.removeFirst());
      }
      plain.add(row);
    }
    plain.addAll(waiting);

    assertThat(merged(List.of(rows(all, 0, true), rows(all, 1, true), rows(all, 2, false))))
        .isEqualTo(numbers(plain));
  }

  @Example
  void rowsOfManyBlocksAreAllThereAndKeepTheirSeldomColumns() {
    List<Long> ids = new ArrayList<>();
    EventRows rows = EventRows.ofFile((tape, r, i) -> ids.add(r.id(i) + r.line(i)));
    for (int i = 0; i < MORE_THAN_A_BLOCK; i++) {
      rows.add(-1, i, 0, 1, 1, 0, 0);
      if (i % 7 == 0) {
        rows.nameNewest(i);
      }
      if (i % 11 == 0) {
        rows.placeNewest(1_000_000L);
      }
    }
    EventRows.merge(List.of(rows), 1);

    assertThat(ids).hasSize(MORE_THAN_A_BLOCK);
    for (int i = 0; i < ids.size(); i++) {
      assertThat(ids.get(i)).isEqualTo((i % 7 == 0 ? i : 0) + (i % 11 == 0 ? 1_000_000L : 0));
    }
  }
}
