package kelvo.data.folder;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/**
 * Ends what a compressed file gives once it has grown beyond all tables: a few kilobytes can be
 * made to fill a machine.
 */
final class GrowthLimit extends FilterInputStream {
  /** How many times larger than the compressed file its text may be. */
  static final long TIMES = 500;

  /** Text up to this many bytes is always read. */
  static final long ALWAYS = 64L << 20;

  private final long most;
  private long given;

  /**
   * A limit.
   *
   * @param compressed how large the file is, bytes
   */
  GrowthLimit(InputStream text, long compressed) {
    super(text);
    most = Math.max(ALWAYS, compressed * TIMES);
  }

  @Override
  public int read() throws IOException {
    int one = super.read();
    count(one < 0 ? 0 : 1);
    return one;
  }

  @Override
  public int read(byte[] into, int offset, int length) throws IOException {
    int more = super.read(into, offset, length);
    count(Math.max(0, more));
    return more;
  }

  private void count(int more) throws IOException {
    given += more;
    if (given > most) {
      throw new IOException(
          "text that is more than " + TIMES + " times as large as its compressed file");
    }
  }
}
