package kelvo.data.fill;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import kelvo.data.fault.PlainReason;
import kelvo.data.file.KeptAside;
import kelvo.data.file.WholeFile;

/**
 * What the columns of brokers' tables hold, kept by their header, so that it is said once. A file
 * that cannot be read is told, and kept aside before another takes its place.
 */
public final class FillMappings {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final String NAME = "fill-columns.json";
  private static final String BETWEEN = " | ";

  private final Path file;
  private final Consumer<String> wrong;
  private boolean isUnreadable;

  /**
   * The mappings of a data folder.
   *
   * @param wrong takes a sentence about what cannot be read, on the thread that asks
   */
  public FillMappings(Path folder, Consumer<String> wrong) {
    file = folder.resolve(NAME);
    this.wrong = wrong;
  }

  /** Reads the file, so that what is wrong with it is told. */
  public void check() {
    read();
  }

  /** What was kept for a table's header; what its columns seem to hold when nothing was. */
  public FillMapping of(BrokerTable table) {
    List<FillPart> parts = new ArrayList<>();
    try {
      for (var part : read().path(key(table))) {
        parts.add(FillPart.valueOf(part.asText().toUpperCase(Locale.ROOT)));
      }
    } catch (IllegalArgumentException e) {
      wrong.accept(
          NAME
              + ", "
              + key(table)
              + ": expected what columns hold; it is guessed from their names");
      parts.clear();
    }
    return parts.size() == table.header().size()
        ? new FillMapping(parts)
        : FillMapping.guess(table);
  }

  private ObjectNode read() {
    if (!Files.exists(file)) {
      return JSON.createObjectNode();
    }
    try {
      if (JSON.readTree(Files.readString(file)) instanceof ObjectNode kept) {
        return kept;
      }
      wrong.accept(NAME + ": expected an object { .. }; columns are guessed from their names");
    } catch (JsonProcessingException e) {
      wrong.accept(NAME + ": expected JSON; columns are guessed from their names");
    } catch (IOException e) {
      wrong.accept(
          NAME
              + " cannot be read ("
              + PlainReason.of(e)
              + "); columns are guessed from their names");
    }
    isUnreadable = true;
    return JSON.createObjectNode();
  }

  private static String key(BrokerTable table) {
    return String.join(BETWEEN, table.header());
  }

  /**
   * Keeps a mapping for all tables of the same header.
   *
   * @throws UncheckedIOException when it cannot be written
   */
  public void keep(BrokerTable table, FillMapping mapping) {
    ObjectNode kept = read();
    var parts = kept.putArray(key(table));
    mapping.parts().forEach(part -> parts.add(part.name().toLowerCase(Locale.ROOT)));
    try {
      if (isUnreadable && Files.isRegularFile(file)) {
        KeptAside.move(file);
      }
      isUnreadable = false;
      WholeFile.replace(file, kept.toPrettyString() + "\n");
    } catch (IOException e) {
      throw new UncheckedIOException(file + " cannot be written", e);
    }
  }
}
