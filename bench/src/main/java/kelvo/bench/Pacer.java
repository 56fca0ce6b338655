package kelvo.bench;

import java.io.IOException;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.concurrent.locks.LockSupport;

/**
 * A process of its own that lets prints go when they are due: it writes the number of the newest
 * into a page of memory that the engine's process maps too. Both read the machine's one monotonic
 * clock.
 */
final class Pacer {
  static final int RELEASED = 0;
  static final int BEGAN = 8;
  static final int SIZE = 16;
  static final VarHandle CELL =
      MethodHandles.byteBufferViewVarHandle(long[].class, ByteOrder.nativeOrder());

  private static final long HEAD_START = 200_000_000L;
  private static final long PAUSE = 10_000;

  private Pacer() {}

  static ByteBuffer page(Path file) throws IOException {
    try (FileChannel channel =
        FileChannel.open(
            file, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
      return channel.map(FileChannel.MapMode.READ_WRITE, 0, SIZE);
    }
  }

  /** Arguments: the page's file, how many prints, how many a second. */
  public static void main(String[] args) throws IOException {
    TimerSlack.least();
    ByteBuffer page = page(Path.of(args[0]));
    long prints = Long.parseLong(args[1]);
    double apart = 1e9 / Long.parseLong(args[2]);
    long began = System.nanoTime() + HEAD_START;
    CELL.setRelease(page, BEGAN, began);
    long released = 0;
    while (released < prints) {
      long due = Math.min(prints, (long) ((System.nanoTime() - began) / apart));
      if (due > released) {
        released = due;
        CELL.setRelease(page, RELEASED, released);
      }
      LockSupport.parkNanos(PAUSE);
    }
  }
}
