package kelvo.data.folder;

import java.io.IOException;
import java.io.InputStream;
import java.io.InterruptedIOException;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import org.jspecify.annotations.Nullable;

/**
 * Reads a stream ahead on a thread of its own, so that decompressing it and parsing what it holds
 * go on side by side. A failure of the stream comes to the reader after all that was whole. Read by
 * one thread.
 */
final class ReadAhead extends InputStream {
  private static final int BLOCK = 1 << 18;
  private static final int BLOCKS = 4;

  private final InputStream from;
  private final BlockingQueue<Block> filled = new ArrayBlockingQueue<>(BLOCKS);
  private final BlockingQueue<byte[]> free = new ArrayBlockingQueue<>(BLOCKS);
  private final Thread reader = new Thread(this::fill, "read ahead");
  private Block current = new Block(new byte[BLOCK], BLOCK, null);
  private int place = BLOCK;

  /**
   * A piece of the stream.
   *
   * @param length how many bytes; fewer than there is room for in the last block
   * @param failure why it is the last one too early; null otherwise
   */
  private record Block(byte[] bytes, int length, @Nullable Throwable failure) {
    boolean isLast() {
      return length < bytes.length;
    }
  }

  ReadAhead(InputStream from) {
    this.from = from;
    for (int i = 1; i < BLOCKS; i++) {
      free.add(new byte[BLOCK]);
    }
    reader.setDaemon(true);
    reader.start();
  }

  private void fill() {
    try {
      Block block;
      do {
        block = block(free.take());
        filled.put(block);
      } while (!block.isLast());
    } catch (InterruptedException e) {
      // It was closed before its end: nobody waits for the rest.
      Thread.currentThread().interrupt();
    }
  }

  private Block block(byte[] into) {
    int length = 0;
    try {
      int count = 0;
      while (count >= 0 && length < into.length) {
        length += count;
        count = from.read(into, length, into.length - length);
      }
      return new Block(into, length, null);
    } catch (IOException | RuntimeException | Error e) {
      // Whoever reads waits for a block, and would wait for ever if the thread just ended.
      return new Block(into, length, e);
    }
  }

  @Override
  public int read() throws IOException {
    byte[] one = new byte[1];
    return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
  }

  @Override
  public int read(byte[] into, int offset, int most) throws IOException {
    if (place == current.length && !next()) {
      return -1;
    }
    int count = Math.min(most, current.length - place);
    System.arraycopy(current.bytes, place, into, offset, count);
    place += count;
    return count;
  }

  /** Goes to the next block; returns whether there is more. */
  private boolean next() throws IOException {
    if (current.isLast()) {
      switch (current.failure) {
        case null -> {
          return false;
        }
        case IOException e -> throw e;
        case RuntimeException e -> throw e;
        case Error e -> throw e;
        case Throwable e -> throw new IOException(e);
      }
    }
    try {
      free.put(current.bytes);
      current = filled.take();
      place = 0;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("reading was stopped");
    }
    return current.length > 0 || next();
  }

  @Override
  public void close() throws IOException {
    reader.interrupt();
    boolean interrupted = false;
    while (reader.isAlive()) {
      try {
        reader.join();
      } catch (InterruptedException e) {
        interrupted = true;
      }
    }
    if (interrupted) {
      Thread.currentThread().interrupt();
    }
    from.close();
  }
}
