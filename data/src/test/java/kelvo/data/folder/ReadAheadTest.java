package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ReadAheadTest {
  private static byte[] bytes(int length) {
    byte[] bytes = new byte[length];
    new Random(length).nextBytes(bytes);
    return bytes;
  }

  /** A stream that breaks where another would end. */
  private static InputStream broken() {
    return new InputStream() {
      @Override
      public int read() throws IOException {
        throw new IOException("cut off");
      }
    };
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 1 << 18, (1 << 18) + 1, 3 << 18, 5_000_000})
  void whatIsReadAheadIsTheWholeStream(int length) throws IOException {
    try (ReadAhead ahead = new ReadAhead(new ByteArrayInputStream(bytes(length)))) {
      assertThat(ahead.readAllBytes()).isEqualTo(bytes(length));
      assertThat(ahead.read()).isEqualTo(-1);
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 100, 1 << 18, 700_000})
  void aFailureComesAfterAllThatWasWhole(int length) throws IOException {
    InputStream cut = new SequenceInputStream(new ByteArrayInputStream(bytes(length)), broken());
    ByteArrayOutputStream whole = new ByteArrayOutputStream();
    try (ReadAhead ahead = new ReadAhead(cut)) {
      assertThatThrownBy(() -> ahead.transferTo(whole)).hasMessage("cut off");
    }

    assertThat(whole.toByteArray()).isEqualTo(bytes(length));
  }

  /**
   * A decompressor throws what it likes, and nobody would wake whoever waits for the next block.
   */
  @Test
  void whateverTheStreamThrowsReachesTheReader() throws IOException {
    for (Throwable thrown :
        List.of(new IllegalStateException("bad"), new OutOfMemoryError("full"))) {
      InputStream failing =
          new InputStream() {
            @Override
            public int read() {
              if (thrown instanceof Error error) {
                throw error;
              }
              throw (RuntimeException) thrown;
            }
          };
      try (ReadAhead ahead = new ReadAhead(failing)) {
        assertThatThrownBy(ahead::read).isSameAs(thrown);
      }
    }
  }

  @Test
  void closingBeforeTheEndStopsTheReading() throws IOException {
    boolean[] closed = new boolean[1];
    InputStream endless =
        new InputStream() {
          @Override
          public int read() {
            return 7;
          }

          @Override
          public void close() {
            closed[0] = true;
          }
        };
    try (ReadAhead ahead = new ReadAhead(endless)) {
      assertThat(ahead.read()).isEqualTo(7);
    }

    assertThat(closed[0]).isTrue();
  }
}
