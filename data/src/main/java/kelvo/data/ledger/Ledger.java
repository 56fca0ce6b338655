package kelvo.data.ledger;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import kelvo.hit.Hit;
import kelvo.trade.Fill;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.level.Level;
import kelvo.journal.Note;
import org.flywaydb.core.Flyway;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/**
 * The trader's days in one SQLite file: hits, decisions, levels, notes, what was looked at, fills.
 *
 * <p>Writes are queued and done by one thread of the ledger's own, many in a transaction. {@link
 * #saved} counts the writes that are safe on disk: a kill at any moment loses none of those. All
 * methods may be called from any thread.
 */
public final class Ledger implements AutoCloseable {
  private static final int MOST_IN_ONE_TRANSACTION = 20_000;

  private interface Write {
    void on(Handle handle);

    /** Called when its batch is over. */
    default void afterCommit() {}
  }

  private static final Write STOP = handle -> {};

  private final Jdbi jdbi;
  private final BlockingQueue<Write> queue = new LinkedBlockingQueue<>();
  private final AtomicLong asked = new AtomicLong();
  private final AtomicLong saved = new AtomicLong();
  private final AtomicReference<@Nullable String> failure = new AtomicReference<>();
  private final Thread writer;

  private Ledger(Jdbi jdbi) {
    this.jdbi = jdbi;
    writer = new Thread(this::write, "ledger");
    writer.start();
  }

  /** A ledger that cannot be opened or read; the message names the file and the way out. */
  public static final class LedgerException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    LedgerException(String message, Throwable cause) {
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
    config.setBusyTimeout(5_000);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
    try {
      Flyway.configure()
          .dataSource(source)
          .locations("classpath:kelvo/data/ledger")
          .load()
          .migrate();
    } catch (RuntimeException e) {
      throw new LedgerException(
          file
              + ": expected a ledger that can be written; move the file away or choose another folder",
          e);
    }
    return new Ledger(Jdbi.create(source));
  }

  /** Writes that fail stay first in line and are tried again with the next ones. */
  private void write() {
    List<Write> open = new ArrayList<>();
    boolean stopping = false;
    while (!stopping) {
      try {
        open.add(queue.take());
        queue.drainTo(open, MOST_IN_ONE_TRANSACTION);
      } catch (InterruptedException e) {
        return;
      }
      stopping = open.remove(STOP);
      if (commit(open)) {
        open.forEach(Write::afterCommit);
        open.clear();
      }
    }
  }

  private boolean commit(List<Write> batch) {
    try {
      jdbi.useTransaction(handle -> batch.forEach(write -> write.on(handle)));
      saved.addAndGet(batch.size());
      failure.set(null);
      return true;
    } catch (RuntimeException e) {
      failure.set(
          "The ledger could not be written: "
              + e.getMessage()
              + ". "
              + batch.size()
              + " entries wait; free some disk space and they are tried again with the next one.");
      return false;
    }
  }

  /** How many writes are safe on disk since this ledger was opened. */
  public long saved() {
    return saved.get();
  }

  /** How many writes have been asked for since this ledger was opened. */
  public long asked() {
    return asked.get();
  }

  /** What went wrong with the last write that failed, in a sentence; null when none has. */
  public @Nullable String failure() {
    return failure.get();
  }

  private void add(Write write) {
    asked.incrementAndGet();
    queue.add(write);
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

  /** Keeps a hit with its fields; one that is already there stays as it is. */
  public void add(LocalDate day, Hit h) {
    add(
        handle ->
            handle.execute(
                "insert or ignore into hit(day, at, scan, side, symbol, trigger_words, price, field_values) values (?, ?, ?, ?, ?, ?, ?, ?)",
                day.toString(),
                h.at(),
                h.scan(),
                h.side().name(),
                h.symbol(),
                h.trigger().words(),
                h.price(),
                FieldValuesJson.write(h.fields())));
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
                  f.quantity(),
                  f.price(),
                  f.fee(),
                  f.account(),
                  f.orderId(),
                  same));
    }
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

  /** The moment at which a day was left last. */
  public OptionalLong leftAt(LocalDate day) {
    return jdbi.withHandle(
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
    return jdbi.withHandle(handle -> LedgerRows.day(handle, day.toString()));
  }

  /** How many hits are kept for a day. */
  public long hitCount(LocalDate day) {
    return jdbi.withHandle(
        handle ->
            handle
                .select("select count(*) from hit where day = ?", day.toString())
                .mapTo(Long.class)
                .one());
  }

  /** Waits until all that has been asked for so far is on disk. */
  public void awaitSaved() {
    CountDownLatch done = new CountDownLatch(1);
    add(
        new Write() {
          @Override
          public void on(Handle handle) {}

          @Override
          public void afterCommit() {
            done.countDown();
          }
        });
    try {
      done.await();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Waits until all that has been asked for is on disk, then stops the writer. */
  @Override
  public void close() {
    queue.add(STOP);
    try {
      writer.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Hands each hit to the ledger. */
  public Consumer<Hit> hitsOf(LocalDate day) {
    return hit -> add(day, hit);
  }
}
