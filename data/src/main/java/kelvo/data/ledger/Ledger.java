package kelvo.data.ledger;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import kelvo.data.fault.PlainReason;
import kelvo.data.file.OwnerOnly;
import kelvo.data.scanfile.ScanFile;
import kelvo.hit.Hit;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.journal.HandMatch;
import kelvo.journal.Note;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.level.Level;
import kelvo.practice.Instruction;
import kelvo.practice.KeptCall;
import kelvo.practice.PracticeDay;
import kelvo.refusal.RefusedException;
import kelvo.scan.Scan;
import kelvo.trade.Fill;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationInfoService;
import org.flywaydb.core.api.MigrationState;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.HandleCallback;
import org.jdbi.v3.core.HandleConsumer;
import org.jdbi.v3.core.Jdbi;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/**
 * The trader's days in one SQLite file: hits with the versions of their scans, decisions, levels,
 * notes, what was looked at, fills.
 *
 * <p>Writes are queued and done by one thread of the ledger's own, many in a transaction. {@link
 * #saved} counts the writes that are safe on disk: a kill at any moment loses none of those. A
 * ledger opened only to be read takes no writes. All methods may be called from any thread.
 */
public final class Ledger implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(Ledger.class);
  private static final int BUSY_MS = 5_000;

  /** Null when there is no file. */
  private final @Nullable Jdbi jdbi;

  /** Null when it was opened only to be read. */
  private final @Nullable LedgerWrites writes;

  /** What is read in place of a ledger of an older Kelvo's; null for none. */
  private final @Nullable Path copy;

  private final HitRows hitRows = new HitRows();
  private final UnknownEntries unknown = new UnknownEntries();

  /** A ledger that is written to. */
  private Ledger(Jdbi jdbi, LedgerPlace place) {
    this.jdbi = jdbi;
    copy = null;
    writes =
        new LedgerWrites(
            new LedgerWrites.Transactions() {
              @Override
              public void run(Consumer<Handle> run) {
                place.requireThere();
                inTransaction(jdbi, run);
              }

              @Override
              public void requireThere() {
                place.requireThere();
              }
            });
  }

  /** A ledger that is only read, or none. */
  private Ledger(@Nullable Jdbi jdbi, @Nullable Path copy) {
    this.jdbi = jdbi;
    this.copy = copy;
    writes = null;
  }

  /** What throws has written nothing, so that nothing may be taken for written. */
  private void inTransaction(Jdbi to, Consumer<Handle> run) {
    try {
      to.useTransaction(run::accept);
    } catch (RuntimeException e) {
      hitRows.forget();
      throw e;
    }
  }

  /**
   * Runs something in one transaction on the caller's thread, in which all of it is written or
   * nothing.
   *
   * @throws IllegalStateException when the ledger is only read
   */
  <X extends Exception> void once(HandleConsumer<X> run) throws X {
    if (jdbi == null || writes == null) {
      throw new IllegalStateException("a ledger that is only read takes no writes");
    }
    hitRows.forget();
    jdbi.useTransaction(run);
  }

  /** A ledger that cannot be opened or read; the message names the file and the way out. */
  public static final class LedgerException extends RefusedException {
    private static final long serialVersionUID = 1L;

    LedgerException(String message, @Nullable Throwable cause) {
      super(message, cause);
    }
  }

  /**
   * Opens a ledger, making the file when there is none.
   *
   * @throws LedgerException when the file cannot be opened or is no ledger
   */
  public static Ledger open(Path file) {
    SQLiteConfig config = new SQLiteConfig();
    config.setJournalMode(SQLiteConfig.JournalMode.WAL);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    config.setBusyTimeout(BUSY_MS);
    Jdbi jdbi = migrated(file, config);
    return new Ledger(jdbi, LedgerPlace.of(file));
  }

  /**
   * Opens a ledger only to read it, while another window may write to it; the file stays as it is.
   * Of one that an older Kelvo wrote a copy is read. Without a file it is empty.
   *
   * @throws LedgerException when the file is no ledger
   */
  public static Ledger readOnly(Path file) {
    if (!Files.exists(file)) {
      return new Ledger(null, (Path) null);
    }
    SQLiteDataSource source = source(file, reading());
    try {
      MigrationInfoService tables = tables(source).info();
      refuseNewer(file, tables);
      if (tables.current() == null) {
        throw new LedgerException(noLedger(file), null);
      }
      return tables.pending().length == 0
          ? new Ledger(Jdbi.create(source), (Path) null)
          : readingCopy(source);
    } catch (LedgerException e) {
      throw e;
    } catch (RuntimeException | IOException e) {
      throw new LedgerException(whyNotOpened(file, e), e);
    }
  }

  private static Ledger readingCopy(SQLiteDataSource source) throws IOException {
    Path copy = Files.createTempFile("kelvo-ledger", ".sqlite");
    Files.delete(copy);
    Jdbi.create(source)
        .useHandle(handle -> handle.execute("vacuum into ?", copy.toAbsolutePath().toString()));
    OwnerOnly.file(copy);
    SQLiteDataSource copied = source(copy, new SQLiteConfig());
    tables(copied).migrate();
    return new Ledger(Jdbi.create(copied), copy);
  }

  private static SQLiteConfig reading() {
    SQLiteConfig config = new SQLiteConfig();
    config.setReadOnly(true);
    config.setBusyTimeout(BUSY_MS);
    return config;
  }

  private static SQLiteDataSource source(Path file, SQLiteConfig config) {
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
    return source;
  }

  private static Flyway tables(SQLiteDataSource source) {
    return Flyway.configure()
        .dataSource(source)
        .locations("classpath:kelvo/data/ledger/tables")
        .javaMigrations(new PackedHits())
        .load();
  }

  private static Jdbi migrated(Path file, SQLiteConfig config) {
    SQLiteDataSource source = source(file, config);
    try {
      Flyway tables = tables(source);
      refuseNewer(file, tables.info());
      keepOlder(file, source, tables.info());
      tables.migrate();
      OwnerOnly.file(file);
    } catch (LedgerException e) {
      throw e;
    } catch (RuntimeException e) {
      throw new LedgerException(whyNotOpened(file, e), e);
    }
    return Jdbi.create(source);
  }

  /** A good ledger on a bad disk must not be moved away. */
  private static String whyNotOpened(Path file, Throwable thrown) {
    return LedgerTrouble.of(thrown)
        .map(
            trouble ->
                file + " cannot be opened: " + PlainReason.of(thrown) + "; " + trouble.wayOut())
        .orElseGet(() -> noLedger(file));
  }

  private static String noLedger(Path file) {
    return file + ": expected a ledger; move the file away or choose another folder";
  }

  /** What a newer Kelvo keeps would be lost when this one wrote to it. */
  private static void refuseNewer(Path file, MigrationInfoService tables) {
    boolean newer =
        Arrays.stream(tables.all())
            .map(MigrationInfo::getState)
            .anyMatch(
                state ->
                    state == MigrationState.FUTURE_SUCCESS
                        || state == MigrationState.FUTURE_FAILED);
    if (newer) {
      throw new LedgerException(
          file + " was written by a newer Kelvo; open it with that one, or choose another folder",
          null);
    }
  }

  /** A copy of what an older Kelvo wrote stays beside the file, whole even if it was killed. */
  private static void keepOlder(Path file, SQLiteDataSource source, MigrationInfoService tables) {
    MigrationInfo current = tables.current();
    MigrationInfo[] missing = tables.pending();
    if (current == null || missing.length == 0) {
      return;
    }
    Path copy =
        file.resolveSibling(
            file.getFileName() + ".before-" + missing[missing.length - 1].getVersion());
    if (!Files.exists(copy)) {
      Jdbi.create(source)
          .useHandle(handle -> handle.execute("vacuum into ?", copy.toAbsolutePath().toString()));
      OwnerOnly.file(copy);
    }
  }

  /** How many writes are safe on disk since this ledger was opened. */
  public long saved() {
    return writes == null ? 0 : writes.saved();
  }

  /** How many writes have been asked for since this ledger was opened. */
  public long asked() {
    return writes == null ? 0 : writes.asked();
  }

  /** How many writes still wait. */
  public long waiting() {
    return writes == null ? 0 : writes.asked() - writes.saved() - writes.leftOut();
  }

  /** What is wrong with it now, in a sentence; empty when nothing is. */
  public String failure() {
    return writes == null ? "" : writes.failure();
  }

  /** Entries that were left out of what has been read so far, a sentence for each kind. */
  public List<String> unknownEntries() {
    return unknown.sentences();
  }

  /** Queues any write. */
  void add(LedgerWrites.Write write) {
    if (writes != null) {
      writes.add(write);
    }
  }

  <T> T read(T none, HandleCallback<T, RuntimeException> reader) {
    return jdbi == null ? none : jdbi.withHandle(reader);
  }

  /** Keeps a decision. */
  public void add(LocalDate day, Decision d) {
    add(
        handle ->
            handle.execute(
                "insert into decision(day, at, symbol, choice, reason, side, bucket, plan) values (?, ?, ?, ?, ?, ?, ?, ?)",
                day.toString(),
                d.at(),
                d.symbol(),
                d.choice().name(),
                d.reason(),
                d.side().name(),
                d.bucket(),
                d.plan()));
  }

  /** Keeps a level. */
  public void add(LocalDate day, Level l) {
    add(
        handle ->
            handle.execute(
                "insert into level(day, symbol, price, kind, set_at, removed_at, rise) values (?, ?, ?, ?, ?, ?, ?)",
                day.toString(),
                l.symbol(),
                l.price(),
                l.kind().name(),
                l.setAt(),
                l.removedAt(),
                l.rise()));
  }

  /** Ends a level at a moment. */
  public void remove(LocalDate day, Level l, long moment) {
    add(
        handle ->
            handle.execute(
                "update level set removed_at = ? where day = ? and symbol = ? and price = ? and kind = ? and set_at = ? and rise = ?",
                moment,
                day.toString(),
                l.symbol(),
                l.price(),
                l.kind().name(),
                l.setAt(),
                l.rise()));
  }

  /** Keeps a note. */
  public void add(LocalDate day, Note n) {
    add(
        handle ->
            handle.execute(
                "insert into note(day, at, symbol, text) values (?, ?, ?, ?)",
                day.toString(),
                n.at(),
                n.symbol(),
                n.text()));
  }

  /** Keeps a span of focus. */
  public void add(LocalDate day, FocusSpan f) {
    add(
        handle ->
            handle.execute(
                "insert into focus(day, symbol, from_at, to_at) values (?, ?, ?, ?)",
                day.toString(),
                f.symbol(),
                f.from(),
                f.to()));
  }

  /** Keeps a remark in place of the one on the same subject. */
  public void add(LocalDate day, Remark remark) {
    add(handle -> JournalRows.write(handle, day.toString(), remark));
  }

  /** Keeps the trader's word on a trade in place of what was said of it before. */
  public void add(LocalDate day, HandMatch match) {
    add(handle -> JournalRows.write(handle, day.toString(), match));
  }

  /** Keeps whether a rule was kept, in place of what was said before. */
  public void add(LocalDate day, RuleKept kept) {
    add(handle -> JournalRows.write(handle, day.toString(), kept));
  }

  /** Keeps a hit with its fields; one that is already there stays as it is. */
  public void add(LocalDate day, Hit h) {
    add(handle -> hitRows.add(handle, day, h));
  }

  /** Keeps a scan as it is on a day, under its version; one that is there stays as it was first. */
  public void add(LocalDate day, Scan scan) {
    add(
        handle ->
            handle.execute(
                "insert or ignore into scan_version(version, scan, json, first_day) values (?, ?, ?, ?)",
                scan.version(),
                scan.name(),
                ScanFile.write(scan),
                day.toString()));
  }

  /** The hits that are kept of a day, in order of time. */
  public List<KeptHit> hits(LocalDate day) {
    return read(List.of(), handle -> KeptHits.of(handle, day, unknown));
  }

  /**
   * The versions of scans that were first used on a day or before, as scan files, the newest of
   * each name last.
   */
  public List<String> scansUntil(LocalDate day) {
    return read(
        List.of(),
        handle ->
            handle
                .select(
                    "select json from scan_version where first_day <= ? order by first_day, rowid",
                    day.toString())
                .mapTo(String.class)
                .list());
  }

  /** The scan file of a version; empty when it is not kept. */
  public Optional<String> scanOfVersion(String version) {
    return read(
        Optional.empty(),
        handle ->
            handle
                .select("select json from scan_version where version = ?", version)
                .mapTo(String.class)
                .findOne());
  }

  /**
   * Keeps fills; those that are already there stay as they are, so the same file twice adds
   * nothing.
   */
  public void addFills(LocalDate day, List<Fill> fills) {
    for (int i = 0; i < fills.size(); i++) {
      Fill f = fills.get(i);
      long same = fills.subList(0, i).stream().filter(f::equals).count();
      add(
          handle ->
              handle.execute(
                  "insert or ignore into fill(day, at, symbol, side, quantity, price, fee, account, order_id, same) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                  day.toString(),
                  f.at(),
                  f.symbol(),
                  f.side().name(),
                  f.quantity().toPlainString(),
                  f.price().toPlainString(),
                  f.fee().toPlainString(),
                  f.account(),
                  f.orderId(),
                  same));
    }
  }

  /**
   * Keeps what the paper broker was told in a session.
   *
   * @param place among the instructions of that session; those there from it on are forgotten
   */
  public void addPractice(LocalDate day, int place, Instruction instruction) {
    add(handle -> PracticeRows.write(handle, day.toString(), place, instruction));
  }

  /** Keeps the fills on paper of a session in place of those before, apart from the real ones. */
  public void setPracticeFills(LocalDate day, List<Fill> fills) {
    add(handle -> PracticeRows.write(handle, day.toString(), fills));
  }

  /** Keeps a call of a drill. */
  public void addDrillCall(KeptCall call) {
    add(handle -> DrillRows.write(handle, call));
  }

  /** What was done on paper in a session, as saved. */
  public PracticeDay practice(LocalDate day) {
    return read(PracticeDay.EMPTY, handle -> PracticeRows.day(handle, day.toString(), unknown));
  }

  /** The fills of the days before one, by day. */
  public SortedMap<LocalDate, List<Fill>> fillsBefore(LocalDate day) {
    return read(new TreeMap<>(), handle -> LedgerRows.fillsBefore(handle, day.toString(), unknown));
  }

  /** Keeps the moment at which a day was left. */
  public void leaveAt(LocalDate day, long moment) {
    add(
        handle ->
            handle.execute(
                "insert into place(day, moment) values (?, ?) on conflict(day) do update set moment = excluded.moment",
                day.toString(),
                moment));
  }

  /** All fills, by day. */
  public SortedMap<LocalDate, List<Fill>> allFills() {
    return fillsBefore(LocalDate.of(9999, 12, 31));
  }

  /** The moment at which a day was left last. */
  public OptionalLong leftAt(LocalDate day) {
    return read(
            Optional.<Long>empty(),
            handle ->
                handle
                    .select("select moment from place where day = ?", day.toString())
                    .mapTo(Long.class)
                    .findOne())
        .map(OptionalLong::of)
        .orElse(OptionalLong.empty());
  }

  /** What was done on a day, as saved. */
  public DayBook day(LocalDate day) {
    return read(DayBook.EMPTY, handle -> LedgerRows.day(handle, day.toString(), unknown));
  }

  /** How many hits are kept for a day. */
  public long hitCount(LocalDate day) {
    return read(
        0L,
        handle ->
            handle
                .select("select count(*) from hit where day = ?", day.toEpochDay())
                .mapTo(Long.class)
                .one());
  }

  /**
   * Waits until all that has been asked for so far is on disk, or a try to write it has failed.
   *
   * @return whether it is on disk
   */
  public boolean awaitSaved() {
    return writes == null || writes.awaitSaved();
  }

  /** Writes what waits and stops; returns what was lost, a sentence each. */
  public List<String> finish() {
    return writes == null ? List.of() : writes.finish();
  }

  @Override
  public void close() {
    finish().forEach(LOG::error);
    if (copy != null) {
      try {
        Files.deleteIfExists(copy);
      } catch (IOException e) {
        LOG.warn("{} stays", copy, e);
      }
    }
  }
}
