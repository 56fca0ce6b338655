package kelvo.data.columns;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32C;

/** Columns that are to be written to a file. Owned by one thread. */
public final class NewColumns {
  private static final int CHUNK = 1 << 20;

  private final Map<String, List<MemorySegment>> columns = new LinkedHashMap<>();

  /** A column of one piece. */
  public NewColumns with(String name, MemorySegment column) {
    return with(name, List.of(column));
  }

  /** A column whose pieces follow each other. */
  public NewColumns with(String name, List<MemorySegment> pieces) {
    columns.put(name, pieces);
    return this;
  }

  /** A column of texts. */
  public NewColumns withTexts(String name, List<String> texts) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    for (String text : texts) {
      byte[] utf8 = text.getBytes(StandardCharsets.UTF_8);
      byte[] length =
          ByteBuffer.allocate(Integer.BYTES)
              .order(ByteOrder.nativeOrder())
              .putInt(utf8.length)
              .array();
      bytes.writeBytes(length);
      bytes.writeBytes(utf8);
    }
    return with(name, MemorySegment.ofArray(bytes.toByteArray()));
  }

  /** Writes the whole file, its header last. */
  void write(FileChannel to, String sources) throws IOException {
    Map<String, ColumnFile.Place> places = new HashMap<>();
    long at = aligned(ColumnFile.HEADER + header(sources, places).length);
    try (Arena arena = Arena.ofConfined()) {
      MemorySegment chunk = arena.allocate(CHUNK);
      for (Map.Entry<String, List<MemorySegment>> column : columns.entrySet()) {
        CRC32C sum = new CRC32C();
        long end = at;
        for (MemorySegment piece : column.getValue()) {
          end = write(to, piece, end, chunk, sum);
        }
        places.put(column.getKey(), new ColumnFile.Place(at, end - at, (int) sum.getValue()));
        at = aligned(end);
        write(to, ByteBuffer.allocate((int) (at - end)), end);
      }
    }
    if (to.size() < at) {
      // Empty columns alone would lie beyond the end of the file.
      write(to, ByteBuffer.allocate(1), at - 1);
    }
    byte[] header = header(sources, places);
    ByteBuffer start =
        ByteBuffer.allocate(ColumnFile.HEADER + header.length)
            .order(ByteOrder.nativeOrder())
            .put(ColumnFile.MAGIC)
            .putInt(header.length)
            .putInt(ColumnFile.checksum(MemorySegment.ofArray(header)))
            .put(header)
            .flip();
    write(to, start, 0);
  }

  /** Writes a piece, which may be an array of any numbers, chunk by chunk; returns its end. */
  private static long write(
      FileChannel to, MemorySegment piece, long at, MemorySegment chunk, CRC32C sum)
      throws IOException {
    for (long done = 0; done < piece.byteSize(); done += CHUNK) {
      MemorySegment part = chunk.asSlice(0, Math.min(CHUNK, piece.byteSize() - done));
      part.copyFrom(piece.asSlice(done, part.byteSize()));
      sum.update(part.asByteBuffer());
      write(to, part.asByteBuffer(), at + done);
    }
    return at + piece.byteSize();
  }

  private static void write(FileChannel to, ByteBuffer bytes, long at) throws IOException {
    long place = at;
    while (bytes.hasRemaining()) {
      place += to.write(bytes, place);
    }
  }

  private static long aligned(long at) {
    return (at + ColumnFile.ALIGNED - 1) / ColumnFile.ALIGNED * ColumnFile.ALIGNED;
  }

  /** The header; it is as long with places as without. */
  private byte[] header(String sources, Map<String, ColumnFile.Place> places) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream told = new DataOutputStream(bytes);
    told.writeUTF(ByteOrder.nativeOrder().toString());
    byte[] utf8 = sources.getBytes(StandardCharsets.UTF_8);
    told.writeInt(utf8.length);
    told.write(utf8);
    told.writeInt(columns.size());
    for (String name : columns.keySet()) {
      ColumnFile.Place place = places.getOrDefault(name, new ColumnFile.Place(0, 0, 0));
      told.writeUTF(name);
      told.writeLong(place.offset());
      told.writeLong(place.length());
      told.writeInt(place.checksum());
    }
    return bytes.toByteArray();
  }
}
