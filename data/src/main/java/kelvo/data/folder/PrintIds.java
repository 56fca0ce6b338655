package kelvo.data.folder;

import java.nio.charset.StandardCharsets;
import kelvo.tape.EventTape;

/**
 * Numbers for the ids of prints. Ids that are whole numbers stand for themselves; any other text
 * gets its 64-bit FNV-1a hash (Fowler, Noll and Vo, 1991; constants from memory), so that two ids
 * of one security meet by chance once in 10^10 days.
 */
public final class PrintIds {
  private static final long OFFSET = 0xcbf29ce484222325L;
  private static final long PRIME = 0x100000001b3L;
  static final int MAX_DIGITS = 18;

  private PrintIds() {}

  /** The number of an id; {@link EventTape#NO_ID} for an empty one. */
  public static long of(String id) {
    if (id.isEmpty()) {
      return EventTape.NO_ID;
    }
    boolean number = id.length() <= MAX_DIGITS && id.chars().allMatch(c -> c >= '0' && c <= '9');
    return number ? Long.parseLong(id) : hash(id);
  }

  private static long hash(String id) {
    long hash = OFFSET;
    for (byte b : id.getBytes(StandardCharsets.UTF_8)) {
      hash = (hash ^ (b & 0xff)) * PRIME;
    }
    return hash | Long.MIN_VALUE;
  }
}
