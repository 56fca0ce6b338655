package kelvo.data.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.util.concurrent.CompletionException;
import kelvo.refusal.RefusedException;
import org.junit.jupiter.api.Test;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

class PlainReasonTest {
  @Test
  void filesAndDatabasesAreSpokenOfInPlainWords() {
    assertThat(PlainReason.of(new UncheckedIOException(new NoSuchFileException("a.csv"))))
        .isEqualTo("there is no file a.csv");
    assertThat(
            PlainReason.of(
                new CompletionException(
                    new FileSystemException("a.csv", null, "No space left on device"))))
        .isEqualTo("a.csv: the disk is full");
    assertThat(
            PlainReason.of(
                new IllegalStateException(
                    "org.x: failed",
                    new SQLiteException("[SQLITE_FULL] ..", SQLiteErrorCode.SQLITE_FULL))))
        .isEqualTo("the disk is full");
  }

  @Test
  void wordsOfOurOwnCountMoreThanTheCause() {
    assertThat(PlainReason.of(new UncheckedIOException("name another", new IOException("x"))))
        .isEqualTo("name another");
    assertThat(PlainReason.of(new RefusedException("no such date", new IOException("x"))))
        .isEqualTo("no such date");
  }

  @Test
  void noClassNameIsShown() {
    assertThat(PlainReason.of(new NullPointerException())).doesNotContain("Exception");
    assertThat(PlainReason.of(new StackOverflowError())).doesNotContain("Error");
    assertThat(PlainReason.of(new IndexOutOfBoundsException("Index 5 out of bounds for length 3")))
        .isEqualTo("an error inside Kelvo, of which the log says more");
  }
}
