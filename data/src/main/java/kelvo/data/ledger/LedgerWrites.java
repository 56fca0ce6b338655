package kelvo.data.ledger;

import java.io.IOException;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import kelvo.data.fault.PlainReason;
import kelvo.job.DoublingWait;
import org.jdbi.v3.core.Handle;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteErrorCode;

/**
 * Writes to the ledger in the order in which they were asked for, many in a transaction, on a
 * thread of its own. One that can never be written is left out and told; while the file cannot be
 * written at all, everything waits and is tried again by itself, rarer and rarer.
 */
final class LedgerWrites {
  private static final Logger LOG = LoggerFactory.getLogger(LedgerWrites.class);
  private static final int MAX_IN_ONE_TRANSACTION = 20_000;
  private static final DoublingWait PAUSES =
      new DoublingWait(Duration.ofMillis(250), Duration.ofSeconds(30));
  private static final int LAST_TRIES = 4;
  private static final long LOOKS_EVERY_MS = 1_000;

  /** Does something to the ledger. */
  interface Write {
    void on(Handle handle);
  }

  /** The file that is written to. */
  interface Transactions {
    /** Runs some writes as one transaction; what it throws has written nothing. */
    void run(Consumer<Handle> writes);

    /**
     * Looks whether the file is where it was.
     *
     * @throws java.io.UncheckedIOException when it is not
     */
    default void requireThere() {}
  }

  /** A write, or somebody who waits until all writes before are over. */
  private record Entry(@Nullable Write write, @Nullable Waiting waiting) {
    /** Nothing to do any more. */
    boolean isStop() {
      return write == null && waiting == null;
    }
  }

  private static final class Waiting {
    final CountDownLatch over = new CountDownLatch(1);
    volatile boolean saved;
  }

  private static final Entry STOP = new Entry(null, null);

  private final Transactions transactions;
  private final BlockingQueue<Entry> queue = new LinkedBlockingQueue<>();
  private final List<Entry> open = new ArrayList<>();
  private final AtomicLong asked = new AtomicLong();
  private final AtomicLong saved = new AtomicLong();
  private final AtomicLong leftOut = new AtomicLong();
  private final Thread thread;
  private volatile String failure = "";
  private volatile String leftOutWhy = "";

  /** Why the thread has ended by itself; empty while it runs. */
  private volatile String endedWhy = "";

  LedgerWrites(Transactions transactions) {
    this.transactions = transactions;
    thread = new Thread(this::work, "ledger");
    thread.start();
  }

  void add(Write write) {
    asked.incrementAndGet();
    if (endedWhy.isEmpty()) {
      queue.add(new Entry(write, null));
    }
  }

  long asked() {
    return asked.get();
  }

  long saved() {
    return saved.get();
  }

  /** How many writes were left out for good. */
  long leftOut() {
    return leftOut.get();
  }

  /** What is wrong now, in a sentence; empty when nothing is. */
  String failure() {
    if (!endedWhy.isEmpty()) {
      return "The ledger is written no more ("
          + endedWhy
          + "), "
          + notKept()
          + " entries are not kept; close the window and open it again.";
    }
    if (!failure.isEmpty()) {
      return failure;
    }
    return leftOut.get() == 0
        ? ""
        : leftOut.get() + " entries could not be kept in the ledger: " + leftOutWhy;
  }

  /** How many writes are neither on disk nor known to be impossible. */
  private long notKept() {
    return asked.get() - saved.get() - leftOut.get();
  }

  /**
   * Waits until all that has been asked for so far is on disk, or a try to write it has failed.
   *
   * @return whether it is on disk
   */
  boolean awaitSaved() {
    Waiting me = new Waiting();
    queue.add(new Entry(null, me));
    try {
      while (!me.over.await(100, TimeUnit.MILLISECONDS)) {
        if (!thread.isAlive()) {
          return false;
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    return me.saved;
  }

  /** Writes what waits, tries a few times if need be, and stops; says what was lost. */
  List<String> finish() {
    queue.add(STOP);
    try {
      thread.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    List<String> lost = new ArrayList<>();
    if (notKept() > 0) {
      lost.add(
          notKept()
              + " entries were not kept in the ledger: "
              + failure()
              + " What was decided since the last \"saved\" must be entered again.");
    } else if (leftOut.get() > 0) {
      lost.add(failure());
    }
    return lost;
  }

  private void work() {
    boolean stopping = false;
    int failures = 0;
    int lastTries = 0;
    try {
      while (!stopping || (!open.isEmpty() && lastTries < LAST_TRIES)) {
        long pause = PAUSES.after(stopping ? 0 : failures).toMillis();
        stopping |= take(open.isEmpty() ? LOOKS_EVERY_MS : pause);
        lastTries += stopping ? 1 : 0;
        boolean written = open.isEmpty() ? isThere() : writeOpen();
        failures = written ? 0 : failures + 1;
      }
    } catch (InterruptedException e) {
      endedWhy = "its thread was interrupted";
      Thread.currentThread().interrupt();
    } catch (RuntimeException | Error e) {
      LOG.error("the ledger's thread ended", e);
      endedWhy = PlainReason.of(e);
    } finally {
      end(open, false);
      queue.forEach(entry -> end(List.of(entry), false));
    }
  }

  /** Takes what has been asked for, waiting so long for the first; says whether to stop. */
  private boolean take(long timeoutMs) throws InterruptedException {
    Entry first = queue.poll(timeoutMs, TimeUnit.MILLISECONDS);
    if (first != null) {
      open.add(first);
    }
    queue.drainTo(open, MAX_IN_ONE_TRANSACTION);
    return open.removeIf(Entry::isStop);
  }

  /** Looks for the file while there is nothing to write, so that its loss is told at once. */
  private boolean isThere() {
    try {
      transactions.requireThere();
      failure = "";
      return true;
    } catch (RuntimeException e) {
      if (failure.isEmpty()) {
        LOG.error("the ledger is gone", e);
      }
      failure =
          "The ledger cannot be written: "
              + PlainReason.of(e)
              + "; "
              + LedgerTrouble.of(e).orElse(LedgerTrouble.GONE).wayOut()
              + ".";
      return false;
    }
  }

  /** Writes all that is open; says whether nothing is left open. */
  private boolean writeOpen() {
    try {
      write(open);
      written(open);
    } catch (RuntimeException e) {
      if (isOfTheFile(e)) {
        cannotWrite(e);
      } else {
        oneByOne();
      }
    }
    return open.isEmpty();
  }

  private void write(List<Entry> entries) {
    transactions.run(
        handle -> {
          for (Entry entry : entries) {
            if (entry.write() != null) {
              entry.write().on(handle);
            }
          }
        });
  }

  private void written(List<Entry> entries) {
    saved.addAndGet(entries.stream().filter(entry -> entry.write() != null).count());
    failure = "";
    end(entries, true);
    entries.clear();
  }

  /** Finds the write that spoils the others: each in a transaction of its own. */
  private void oneByOne() {
    while (!open.isEmpty()) {
      List<Entry> first = new ArrayList<>(open.subList(0, 1));
      try {
        write(first);
        open.removeFirst();
        written(first);
      } catch (RuntimeException e) {
        if (isOfTheFile(e)) {
          cannotWrite(e);
          return;
        }
        open.removeFirst();
        leftOut.incrementAndGet();
        leftOutWhy = PlainReason.of(e);
        LOG.error("an entry of the ledger was left out", e);
        end(first, false);
      }
    }
  }

  private void cannotWrite(RuntimeException e) {
    LOG.error("the ledger cannot be written", e);
    failure =
        "The ledger could not be written: "
            + PlainReason.of(e)
            + ". "
            + open.stream().filter(entry -> entry.write() != null).count()
            + " entries wait and are tried again; "
            + LedgerTrouble.of(e).orElse(LedgerTrouble.DISK).wayOut()
            + ".";
    List<Entry> waiters = open.stream().filter(entry -> entry.waiting() != null).toList();
    end(waiters, false);
    open.removeAll(waiters);
  }

  private static void end(List<Entry> entries, boolean saved) {
    for (Entry entry : entries) {
      if (entry.waiting() != null) {
        entry.waiting().saved = saved;
        entry.waiting().over.countDown();
      }
    }
  }

  /** Whether the file itself cannot be written now, rather than what was to be written. */
  private static boolean isOfTheFile(Throwable thrown) {
    for (Throwable e = thrown; e != null; e = e.getCause()) {
      if (e instanceof IOException) {
        return true;
      }
      if (e instanceof SQLException sql) {
        SQLiteErrorCode code = SQLiteErrorCode.getErrorCode(sql.getErrorCode() & 0xFF);
        return switch (code) {
          case SQLITE_CONSTRAINT, SQLITE_MISMATCH, SQLITE_TOOBIG, SQLITE_RANGE -> false;
          default -> true;
        };
      }
    }
    return false;
  }
}
