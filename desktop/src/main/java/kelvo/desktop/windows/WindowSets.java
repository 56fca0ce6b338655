package kelvo.desktop.windows;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import kelvo.data.file.KeptAside;
import kelvo.data.file.WholeFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Which parts stand in windows of their own in which phase of the day; kept in the data folder.
 *
 * @param byPhase by the phase's name
 */
public record WindowSets(Map<String, List<PlacedPart>> byPhase) {
  /** Nothing has been popped out yet. */
  public static final WindowSets NONE = new WindowSets(Map.of());

  private static final Logger LOG = LoggerFactory.getLogger(WindowSets.class);
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final String FILE = "windows.json";

  public WindowSets {
    Map<String, List<PlacedPart>> copied = new TreeMap<>();
    byPhase.forEach((phase, set) -> copied.put(phase, List.copyOf(set)));
    byPhase = Collections.unmodifiableMap(copied);
  }

  /**
   * What a data folder keeps; {@link #NONE} when it keeps nothing that can be read.
   *
   * @param wrong takes a sentence about a file that cannot be read
   */
  public static WindowSets in(Path folder, Consumer<String> wrong) {
    Path file = folder.resolve(FILE);
    if (!Files.exists(file)) {
      return NONE;
    }
    return read(file)
        .orElseGet(
            () -> {
              wrong.accept(
                  FILE + ": expected the windows of each phase; no part opens in a window");
              return NONE;
            });
  }

  private static Optional<WindowSets> read(Path file) {
    try {
      return Optional.of(new WindowSets(JSON.readValue(file.toFile(), new TypeReference<>() {})));
    } catch (IOException | IllegalArgumentException | NullPointerException e) {
      return Optional.empty();
    }
  }

  /** Keeps this in a data folder. */
  public void keepIn(Path folder) {
    Path file = folder.resolve(FILE);
    try {
      if (Files.exists(file) && read(file).isEmpty()) {
        KeptAside.move(file);
      }
      WholeFile.replace(
          file, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(byPhase) + "\n");
    } catch (IOException e) {
      LOG.warn("{} cannot be written, so the windows are not kept: {}", file, e.getMessage());
    }
  }

  /** The set of a phase; empty when none was ever kept for it. */
  Optional<List<PlacedPart>> of(String phase) {
    return Optional.ofNullable(byPhase.get(phase));
  }

  /** With another set for a phase. */
  public WindowSets with(String phase, List<PlacedPart> set) {
    Map<String, List<PlacedPart>> changed = new TreeMap<>(byPhase);
    changed.put(phase, set);
    return new WindowSets(changed);
  }
}
