package kelvo.data.fill;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kelvo.data.file.WholeFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What the columns of brokers' tables hold, kept by their header, so that it is said once. To lose
 * it costs some clicks, so a file that cannot be read is only logged.
 */
public final class FillMappings {
  private static final Logger LOG = LoggerFactory.getLogger(FillMappings.class);
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final String NAME = "fill-columns.json";
  private static final String BETWEEN = " | ";

  private final Path file;

  /** The mappings of a data folder. */
  public FillMappings(Path folder) {
    file = folder.resolve(NAME);
  }

  /** What was kept for a table's header; what its columns seem to hold when nothing was. */
  public FillMapping of(BrokerTable table) {
    List<FillPart> parts = new ArrayList<>();
    try {
      for (var part : read().path(key(table))) {
        parts.add(FillPart.valueOf(part.asText().toUpperCase(Locale.ROOT)));
      }
    } catch (IllegalArgumentException e) {
      LOG.warn("{} names what no column holds: {}", file, e.getMessage());
      parts.clear();
    }
    return parts.size() == table.header().size()
        ? new FillMapping(parts)
        : FillMapping.guess(table);
  }

  private ObjectNode read() {
    try {
      if (Files.isRegularFile(file)
          && JSON.readTree(Files.readString(file)) instanceof ObjectNode kept) {
        return kept;
      }
    } catch (IOException e) {
      LOG.warn("{} cannot be read: {}", file, e.getMessage());
    }
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
      WholeFile.replace(file, kept.toPrettyString() + "\n");
    } catch (IOException e) {
      throw new UncheckedIOException(file + " cannot be written", e);
    }
  }
}
