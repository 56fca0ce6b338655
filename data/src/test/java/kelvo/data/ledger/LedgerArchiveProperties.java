package kelvo.data.ledger;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import kelvo.data.scanfile.ScanFile;
import kelvo.field.FieldCatalogue;
import kelvo.field.FieldValues;
import kelvo.hit.Hit;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.journal.HandMatch;
import kelvo.journal.Note;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.journal.Subject;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.practice.DrillCall;
import kelvo.practice.DrillScore;
import kelvo.practice.Instruction;
import kelvo.practice.KeptCall;
import kelvo.practice.PaperOrder;
import kelvo.practice.Terms;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import kelvo.trigger.Trigger;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.Tag;

/** Whatever a ledger holds, its archive holds, and gives it back. */
class LedgerArchiveProperties {
  private static final LocalDate DAY = LocalDate.of(2031, 3, 12);
  private static final Scan SCAN = ScanFile.shipped(Vocabulary.DEFAULT).getFirst();

  /** Texts that a careless CSV or JSON would lose. */
  @Provide
  Arbitrary<String> texts() {
    return Arbitraries.oneOf(
        Arbitraries.strings().withChars("ab,\"';\n\r\t=@+-ü€字 ").ofMaxLength(12),
        Arbitraries.of("", " ", "null", "=1+1", "\"\"", "1,000.50"));
  }

  @Provide
  Arbitrary<Numbers> numbers() {
    Arbitrary<Double> any =
        Arbitraries.oneOf(
            Arbitraries.doubles(), Arbitraries.of(Double.POSITIVE_INFINITY, 0.1, 1e-300));
    return Combinators.combine(
            any, any, Arbitraries.longs().between(0, DayTime.LAST), Arbitraries.integers())
        .as(Numbers::new);
  }

  record Numbers(double one, double other, long at, int seed) {}

  @Tag("proof")
  @Property(tries = 25)
  void whatIsWrittenIsReadBackAsItWasAtLength(
      @ForAll("texts") String text, @ForAll("texts") String tag, @ForAll("numbers") Numbers n)
      throws IOException {
    whatIsWrittenIsReadBackAsItWas(text, tag, n);
  }

  @Property(tries = 4)
  void whatIsWrittenIsReadBackAsItWas(
      @ForAll("texts") String text, @ForAll("texts") String tag, @ForAll("numbers") Numbers n)
      throws IOException {
    Path folder = Files.createTempDirectory("archive");
    try (Ledger from = Ledger.open(folder.resolve("from.sqlite"));
        Ledger into = Ledger.open(folder.resolve("into.sqlite"))) {
      fill(from, text, tag, n);
      assertThat(from.awaitSaved()).isTrue();

      LedgerArchive.read(new ByteArrayInputStream(archive(from)), into);

      DayBook was = from.day(DAY);
      assertThat(was.decisions()).isNotEmpty();
      assertThat(into.day(DAY)).isEqualTo(was);
      assertThat(into.hits(DAY)).isEqualTo(from.hits(DAY)).hasSize(2);
      assertThat(into.leftAt(DAY)).isEqualTo(from.leftAt(DAY));
      assertThat(into.scanOfVersion(SCAN.version())).isEqualTo(from.scanOfVersion(SCAN.version()));
      assertThat(into.scansUntil(DAY)).isEqualTo(from.scansUntil(DAY));
      assertThat(archive(into)).as("written again").isEqualTo(archive(from));
    } finally {
      delete(folder);
    }
  }

  private static byte[] archive(Ledger ledger) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    LedgerArchive.write(ledger, bytes);
    return withoutTimes(bytes.toByteArray());
  }

  /** The entries of a zip as they are, so that two made in different seconds are equal. */
  private static byte[] withoutTimes(byte[] zip) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (var in = new java.util.zip.ZipInputStream(new ByteArrayInputStream(zip));
        ZipOutputStream out = new ZipOutputStream(bytes)) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        ZipEntry same = new ZipEntry(entry.getName());
        same.setTime(0);
        out.putNextEntry(same);
        in.transferTo(out);
      }
    }
    return bytes.toByteArray();
  }

  private static void fill(Ledger ledger, String text, String tag, Numbers n) {
    ledger.add(
        DAY, new Decision("TIDARC", n.at(), Choice.KEEP, text, Side.DOWN, "at the open", text));
    ledger.add(DAY, Level.standing("TIDARC", 82_000, LevelKind.STOP, n.at()));
    ledger.add(
        DAY,
        Level.trendLine(
            "TIDARC", DayTime.of(9, 0), 81_000, DayTime.of(9, 7), 82_333, DayTime.of(9, 10)));
    ledger.add(DAY, new Note("TIDARC", n.at(), text));
    ledger.add(DAY, new FocusSpan("TIDARC", 1, n.at()));
    Subject trade = Subject.trade("main", "TIDARC", -n.at());
    ledger.add(DAY, new Remark(trade, text, List.of(tag.replace("\n", " ").replace("\r", " "))));
    ledger.add(DAY, new HandMatch(trade, HandMatch.Says.THIS_MOVE, n.at()));
    ledger.add(DAY, new RuleKept(text, RuleKept.Answer.BROKEN));
    ledger.addFills(
        DAY, List.of(bought(n.at(), text), bought(n.at(), text), bought(n.at() + 1, "")));
    ledger.addPractice(
        DAY,
        0,
        new Instruction.Place(
            n.at(), new PaperOrder(1, "TIDARC", -1, 100, new Terms.StopLimit(82_000, 81_900))));
    ledger.addPractice(DAY, 1, new Instruction.Cancel(n.at(), 1));
    ledger.setPracticeFills(DAY, List.of(bought(n.at(), "1")));
    ledger.addDrillCall(
        new KeptCall(
            DAY,
            "TIDARC",
            n.at(),
            n.at() + 1,
            8.2,
            0.02,
            new DrillScore(
                DrillCall.LONG, n.one(), n.other(), n.one() > 0, Double.NaN, n.at() + 2, 8.3)));
    ledger.add(DAY, SCAN);
    ledger.leaveAt(DAY, n.at());
    ledger.add(DAY, hit(n.at(), text, new double[] {n.one(), Double.NaN, n.other()}));
    ledger.add(DAY, hit(n.at() + 1, "", new double[] {n.other(), n.one(), 3}));
  }

  private static Fill bought(long at, String order) {
    return new Fill(
        at,
        "TIDARC",
        FillSide.BUY,
        new BigDecimal("0.123456"),
        new BigDecimal("8.200001"),
        new BigDecimal("-0.000002"),
        "main",
        order);
  }

  private static Hit hit(long at, String word, double[] values) {
    FieldValues fields =
        new FieldValues(
            List.of(
                FieldCatalogue.number("price"),
                FieldCatalogue.number("overhead %"),
                FieldCatalogue.number("float turnover")),
            new double[0],
            values,
            word.isEmpty() ? Map.of() : Map.of("news category", word),
            null);
    return new Hit(
        0, SCAN.name(), SCAN.version(), Side.UP, 0, "TIDARC", at, Trigger.ENTERS, 82_000, fields);
  }

  @Example
  void anArchiveIsOnlyReadIntoAnEmptyLedger() throws IOException {
    Path folder = Files.createTempDirectory("archive");
    try (Ledger ledger = Ledger.open(folder.resolve("ledger.sqlite"))) {
      ledger.leaveAt(DAY, DayTime.of(9, 0));
      assertThat(ledger.awaitSaved()).isTrue();
      byte[] archive = archive(ledger);

      assertThatThrownBy(() -> LedgerArchive.read(new ByteArrayInputStream(archive), ledger))
          .isInstanceOf(LedgerArchive.ArchiveException.class)
          .hasMessageContaining("has entries already");
    } finally {
      delete(folder);
    }
  }

  @Example
  void anyOtherZipIsRefusedWithAWord() throws IOException {
    Path folder = Files.createTempDirectory("archive");
    ByteArrayOutputStream other = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(other)) {
      zip.putNextEntry(new ZipEntry("pictures/one.png"));
    }
    try (Ledger ledger = Ledger.open(folder.resolve("ledger.sqlite"))) {
      assertThatThrownBy(
              () -> LedgerArchive.read(new ByteArrayInputStream(other.toByteArray()), ledger))
          .hasMessage("it is no archive of a ledger; expected a zip with ledger.json in it");
    } finally {
      delete(folder);
    }
  }

  /** An archive with one table in place of another, and the counts that it tells. */
  private static byte[] archiveWith(String file, String text, String counts) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("note.csv"));
      zip.write("day,at,symbol,text\n2031-03-12,5,TIDARC,good\n".getBytes(UTF_8));
      zip.putNextEntry(new ZipEntry(file));
      zip.write(text.getBytes(UTF_8));
      zip.putNextEntry(new ZipEntry("ledger.json"));
      zip.write(("{\"kelvo\":1,\"rows\":" + counts + "}").getBytes(UTF_8));
    }
    return bytes.toByteArray();
  }

  private static void assertRefused(byte[] archive, String sentence) throws IOException {
    Path folder = Files.createTempDirectory("archive");
    try (Ledger ledger = Ledger.open(folder.resolve("ledger.sqlite"))) {
      assertThatThrownBy(() -> LedgerArchive.read(new ByteArrayInputStream(archive), ledger))
          .isInstanceOf(LedgerArchive.ArchiveException.class)
          .hasMessage(sentence);
      assertThat(ledger.day(DAY)).as("nothing of it").isEqualTo(DayBook.EMPTY);
    } finally {
      delete(folder);
    }
  }

  @Example
  void whatIsWrongInItIsNamedAndNothingIsRead() throws IOException {
    String decision = "day,at,symbol,choice,reason,side,bucket,plan\n";
    assertRefused(
        archiveWith("decision.csv", decision + "2031-03-12,5,TIDARC,MAYBE,,UP,,\n", "{}"),
        "decision.csv, line 2, choice: expected one of KEEP, WATCH, DROP, UNDECIDED, found MAYBE");
    assertRefused(
        archiveWith("decision.csv", decision + "2031-02-30,5,TIDARC,KEEP,,UP,,\n", "{}"),
        "decision.csv, line 2, day: expected a date such as 2031-03-12, found 2031-02-30");
    assertRefused(
        archiveWith("decision.csv", decision + "2031-03-12,-5,TIDARC,KEEP,,UP,,\n", "{}"),
        "decision.csv, line 2, at: expected nanoseconds since midnight, 0 to 86400000000000,"
            + " found -5");
    assertRefused(
        archiveWith("place.csv", "day,moment\n2031-03-12,5\n2031-03-12,6\n", "{}"),
        "place.csv, line 3: the same entry is there twice");
    assertRefused(
        archiveWith("place.csv", "day,at\n2031-03-12,5\n", "{}"),
        "place.csv, line 1: expected the columns day,moment, found day,at");
    assertRefused(
        archiveWith("place.csv", "day,moment\n2031-03-12,5\n", "{\"note\":1,\"place\":2}"),
        "place.csv has 1 rows, and ledger.json says 2");
  }

  /** Some kilobytes that swell to more than the memory holds. */
  @Example
  void zerosWithoutEndEndInOneSentence() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("note.csv"));
      byte[] zeros = new byte[1_000_000];
      for (int i = 0; i < (Boolean.getBoolean("kelvo.proofs") ? 2_000 : 50); i++) {
        zip.write(zeros);
      }
    }

    assertRefused(
        bytes.toByteArray(),
        "note.csv, after row 0: expected CSV with at most 4000000 characters in a row");
  }

  /** Before the zip's own list of its entries, without which nothing is lost. */
  @Example
  void anArchiveThatIsCutOffIsNotReadInPart() throws IOException {
    byte[] whole =
        archiveWith("place.csv", "day,moment\n2031-03-12,5\n", "{\"note\":1,\"place\":1}");
    for (int length = 30; length < whole.length - 250; length += 30) {
      Path folder = Files.createTempDirectory("archive");
      try (Ledger ledger = Ledger.open(folder.resolve("ledger.sqlite"))) {
        byte[] cut = Arrays.copyOf(whole, length);
        assertThatThrownBy(() -> LedgerArchive.read(new ByteArrayInputStream(cut), ledger))
            .isInstanceOf(LedgerArchive.ArchiveException.class);
        assertThat(ledger.day(DAY)).isEqualTo(DayBook.EMPTY);
      } finally {
        delete(folder);
      }
    }
  }

  private static void delete(Path folder) throws IOException {
    try (var files = Files.list(folder)) {
      for (Path file : files.toList()) {
        Files.delete(file);
      }
    }
    Files.delete(folder);
  }
}
