package kelvo.data.setting;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import kelvo.data.file.KeptAside;
import kelvo.data.file.WholeFile;
import kelvo.refusal.RefusedException;
import kelvo.setting.Allowed;
import kelvo.setting.Setting;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;

/**
 * The settings of a data folder: settings.json, an object with a value for each setting that is not
 * as it ships. Keys that Kelvo does not know stay as they are.
 */
public final class SettingsFile {
  private static final String NAME = "settings.json";
  private static final String VERSION = "kelvo";
  private static final ObjectMapper JSON = new ObjectMapper();

  private SettingsFile() {}

  /**
   * The settings of a folder.
   *
   * @param wrong takes a sentence about each value that cannot be used; the others are
   */
  public static Settings read(Path folder, Consumer<String> wrong) {
    Path file = folder.resolve(NAME);
    if (!Files.isRegularFile(file)) {
      return Settings.NONE;
    }
    try {
      return of(JSON.readTree(file.toFile()), wrong);
    } catch (JsonProcessingException e) {
      // What is nested too deeply has no place.
      JsonLocation at = e.getLocation();
      wrong.accept(
          NAME
              + (at == null ? "" : ", line " + at.getLineNr())
              + ": expected JSON; all settings are as they ship until it is mended");
    } catch (IOException e) {
      wrong.accept(NAME + " cannot be read; all settings are as they ship");
    }
    return Settings.NONE;
  }

  private static Settings of(JsonNode read, Consumer<String> wrong) {
    if (!read.isObject()) {
      wrong.accept(NAME + ": expected an object { .. }; all settings are as they ship");
      return Settings.NONE;
    }
    Map<String, String> set = new LinkedHashMap<>();
    read.properties()
        .forEach(
            entry -> {
              if (!entry.getKey().equals(VERSION)) {
                take(entry.getKey(), entry.getValue(), set, wrong);
              }
            });
    return inOrder(new Settings(set), wrong);
  }

  private static void take(
      String key, JsonNode value, Map<String, String> set, Consumer<String> wrong) {
    Setting setting = SettingCatalogue.of(key).orElse(null);
    if (setting == null) {
      wrong.accept(NAME + ", " + key + ": no setting of that name; it is kept and does nothing");
      return;
    }
    try {
      set.put(key, setting.allowed().checked(value.asText()));
    } catch (RefusedException e) {
      wrong.accept(NAME + ", " + key + ": " + e.getMessage() + "; " + initial(setting));
    }
  }

  private static String initial(Setting setting) {
    return setting.initial() + " counts";
  }

  /** Phases are in order, or as they ship. */
  private static Settings inOrder(Settings settings, Consumer<String> wrong) {
    try {
      settings.phases();
      return settings;
    } catch (RefusedException e) {
      wrong.accept(NAME + ": " + e.getMessage() + "; all phases are as they ship");
      Map<String, String> without = new LinkedHashMap<>(settings.set());
      SettingCatalogue.PHASES.forEach(phase -> without.remove(phase.key()));
      return new Settings(without);
    }
  }

  /** Writes the settings; not for the window's thread. */
  public static void write(Path folder, Settings settings) {
    Path file = folder.resolve(NAME);
    try {
      ObjectNode json = kept(file).put(VERSION, 1);
      for (Setting setting : SettingCatalogue.ALL) {
        json.remove(setting.key());
        if (settings.isSet(setting)) {
          put(json, setting, settings.text(setting));
        }
      }
      WholeFile.replace(file, json.toPrettyString() + "\n");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static ObjectNode kept(Path file) throws IOException {
    if (Files.isRegularFile(file)) {
      try {
        if (JSON.readTree(file.toFile()) instanceof ObjectNode object) {
          return object;
        }
      } catch (JsonProcessingException e) {
        // Whoever reads the folder has been told.
      }
      KeptAside.move(file);
    }
    return JSON.createObjectNode();
  }

  private static void put(ObjectNode json, Setting setting, String value) {
    switch (setting.allowed()) {
      case Allowed.OnOff onOff -> json.put(setting.key(), value.equals(Allowed.OnOff.ON));
      case Allowed.Amount amount -> json.put(setting.key(), new java.math.BigDecimal(value));
      default -> json.put(setting.key(), value);
    }
  }
}
