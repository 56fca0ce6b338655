package kelvo.data.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import org.jdbi.v3.core.Handle;
import org.junit.jupiter.api.Test;
import org.sqlite.SQLiteErrorCode;

/** The ledger's thread on a disk that can be made full. */
class LedgerWritesTest {
  private final AtomicBoolean full = new AtomicBoolean();
  private final List<String> onDisk = new CopyOnWriteArrayList<>();
  private final CountDownLatch failed = new CountDownLatch(1);
  private final LedgerWrites writes = new LedgerWrites(this::transaction);
  private List<String> transaction = new ArrayList<>();

  /** All or nothing, as a database does it. */
  private void transaction(Consumer<Handle> work) {
    transaction = new ArrayList<>();
    if (full.get()) {
      failed.countDown();
      throw wrapped(SQLiteErrorCode.SQLITE_FULL, "database or disk is full");
    }
    work.accept(null);
    onDisk.addAll(transaction);
  }

  private static IllegalStateException wrapped(SQLiteErrorCode code, String message) {
    return new IllegalStateException(message, new SQLException(message, "", code.code));
  }

  private void add(String entry) {
    writes.add(handle -> transaction.add(entry));
  }

  @Test
  void oneBadWriteIsLeftOutAndToldAndDoesNotBlockTheRest() {
    add("first");
    writes.add(
        handle -> {
          throw wrapped(SQLiteErrorCode.SQLITE_CONSTRAINT, "a reason was missing");
        });
    writes.add(
        handle -> {
          throw new IllegalArgumentException("cannot be written down");
        });
    add("last");

    writes.awaitSaved();

    assertThat(onDisk).containsExactly("first", "last");
    assertThat(writes.saved()).isEqualTo(2);
    assertThat(writes.leftOut()).isEqualTo(2);
    assertThat(writes.failure()).startsWith("2 entries could not be kept");
    assertThat(writes.finish()).singleElement().asString().startsWith("2 entries");
  }

  @Test
  void whileTheDiskIsFullEverythingWaitsAndGoesOnByItself() throws InterruptedException {
    full.set(true);
    add("waits");
    assertThat(failed.await(60, TimeUnit.SECONDS)).isTrue();
    assertThat(writes.awaitSaved()).as("ends, though nothing is saved").isFalse();
    assertThat(writes.failure()).contains("disk is full").contains("1 entries wait");

    full.set(false);
    while (writes.saved() == 0) {
      Thread.onSpinWait();
    }

    assertThat(onDisk).containsExactly("waits");
    assertThat(writes.failure()).isEmpty();
    assertThat(writes.finish()).isEmpty();
  }

  @Test
  void closingWritesWhatWaits() {
    for (int i = 0; i < 500; i++) {
      add("entry " + i);
    }

    assertThat(writes.finish()).isEmpty();
    assertThat(onDisk).hasSize(500);
  }

  @Test
  void closingSaysWhatWasLostWhenItCannotBeWritten() {
    full.set(true);
    add("a decision");
    add("a note");

    assertThat(writes.finish())
        .singleElement()
        .asString()
        .startsWith("2 entries were not kept in the ledger")
        .contains("disk is full");
    assertThat(onDisk).isEmpty();
  }

  @Test
  void onceItsThreadHasDiedEverythingThatComesCountsAsLost() {
    add("on disk");
    assertThat(writes.awaitSaved()).isTrue();
    writes.add(
        handle -> {
          throw new StackOverflowError();
        });
    add("in the same transaction or after it");
    while (writes.failure().isEmpty()) {
      Thread.onSpinWait();
    }
    add("after the end");

    assertThat(writes.awaitSaved()).isFalse();
    assertThat(writes.failure())
        .startsWith("The ledger is written no more")
        .contains("3 entries are not kept");
    assertThat(writes.finish()).singleElement().asString().startsWith("3 entries were not kept");
  }
}
