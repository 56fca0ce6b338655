package kelvo.data.columns;

import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32C;

/**
 * A file of named columns, mapped into memory. Its layout is told in docs/formats.md. Stays mapped
 * for as long as anything uses one of its columns. Thread-safe.
 */
public final class ColumnFile {
  /** The first eight bytes; the last two are the version of the layout and of what is in it. */
  static final byte[] MAGIC = "KelvCo03".getBytes(StandardCharsets.US_ASCII);

  /** Where the header begins: after the magic bytes, its length and its checksum. */
  static final int HEADER = MAGIC.length + 2 * Integer.BYTES;

  /** Columns begin at multiples of this. */
  static final int ALIGNED = Long.BYTES;

  private static final int CHECKED_AT_ONCE = 1 << 30;

  /**
   * Where a column lies.
   *
   * @param checksum CRC-32C of its bytes
   */
  record Place(long offset, long length, int checksum) {}

  private final Path path;
  private final String sources;
  private final Map<String, Place> places;
  private final MemorySegment bytes;

  private ColumnFile(Path path, String sources, Map<String, Place> places, MemorySegment bytes) {
    this.path = path;
    this.sources = sources;
    this.places = places;
    this.bytes = bytes;
  }

  /**
   * Maps a file.
   *
   * @throws TornColumns when it is no whole file of this layout, or of a machine with another byte
   *     order
   */
  static ColumnFile open(Path path) throws IOException {
    try (FileChannel channel = FileChannel.open(path, StandardOpenOption.READ)) {
      MemorySegment bytes =
          channel.map(FileChannel.MapMode.READ_ONLY, 0, channel.size(), Arena.ofAuto());
      if (bytes.byteSize() < HEADER
          || bytes.asSlice(0, MAGIC.length).mismatch(MemorySegment.ofArray(MAGIC)) >= 0) {
        throw new TornColumns(path, "it is of another kind or version");
      }
      int length = bytes.get(ValueLayout.JAVA_INT, MAGIC.length);
      int checksum = bytes.get(ValueLayout.JAVA_INT, MAGIC.length + Integer.BYTES);
      if (length < 0 || HEADER + (long) length > bytes.byteSize()) {
        throw new TornColumns(path, "its header is cut off");
      }
      MemorySegment header = bytes.asSlice(HEADER, length);
      if (checksum(header) != checksum) {
        throw new TornColumns(path, "its header does not add up");
      }
      return of(path, header.toArray(ValueLayout.JAVA_BYTE), bytes);
    }
  }

  private static ColumnFile of(Path path, byte[] header, MemorySegment bytes) throws IOException {
    DataInputStream told = new DataInputStream(new ByteArrayInputStream(header));
    if (!told.readUTF().equals(ByteOrder.nativeOrder().toString())) {
      throw new TornColumns(path, "it is of a machine with another byte order");
    }
    String sources = new String(told.readNBytes(told.readInt()), StandardCharsets.UTF_8);
    Map<String, Place> places = new HashMap<>();
    for (int columns = told.readInt(); columns > 0; columns--) {
      String name = told.readUTF();
      Place place = new Place(told.readLong(), told.readLong(), told.readInt());
      if (place.offset + place.length > bytes.byteSize()) {
        throw new TornColumns(path, "it is cut off");
      }
      places.put(name, place);
    }
    return new ColumnFile(path, sources, places, bytes);
  }

  static int checksum(MemorySegment bytes) {
    CRC32C sum = new CRC32C();
    for (long from = 0; from < bytes.byteSize(); from += CHECKED_AT_ONCE) {
      long length = Math.min(CHECKED_AT_ONCE, bytes.byteSize() - from);
      sum.update(bytes.asSlice(from, length).asByteBuffer());
    }
    return (int) sum.getValue();
  }

  /** What it was made from, as {@link Sources} words it. */
  String sources() {
    return sources;
  }

  /** Whether it has a column. */
  public boolean has(String name) {
    return places.containsKey(name);
  }

  /**
   * A column, checked.
   *
   * @throws TornColumns when there is none of that name or it is not as it was written
   */
  public MemorySegment column(String name) {
    Place place = places.get(name);
    if (place == null) {
      throw new TornColumns(path, "it has no column " + name);
    }
    MemorySegment column = bytes.asSlice(place.offset, place.length);
    if (checksum(column) != place.checksum) {
      throw new TornColumns(path, "its column " + name + " does not add up");
    }
    return column;
  }

  /** A column of texts. */
  public List<String> texts(String name) {
    MemorySegment column = column(name);
    List<String> texts = new ArrayList<>();
    for (long at = 0; at < column.byteSize(); ) {
      int length = column.get(ValueLayout.JAVA_INT_UNALIGNED, at);
      byte[] text = column.asSlice(at + Integer.BYTES, length).toArray(ValueLayout.JAVA_BYTE);
      texts.add(new String(text, StandardCharsets.UTF_8));
      at += Integer.BYTES + length;
    }
    return texts;
  }
}
