package kelvo.data.setting;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SettingsFileTest {
  @TempDir Path folder;

  private final List<String> wrong = new ArrayList<>();
  private Path file;

  @BeforeEach
  void name() {
    file = folder.resolve("settings.json");
  }

  private Settings read() {
    return SettingsFile.read(folder, wrong::add);
  }

  @Test
  void whatIsWrittenIsRead() throws IOException {
    Settings settings =
        Settings.NONE
            .with(SettingCatalogue.THEME, "night")
            .with(SettingCatalogue.SOUNDS, "true")
            .with(SettingCatalogue.RISK, "0.5")
            .with(SettingCatalogue.MIDDAY, "12:00");
    SettingsFile.write(folder, settings);

    assertThat(read()).isEqualTo(settings);
    assertThat(wrong).isEmpty();
    assertThat(Files.readString(file))
        .contains("\"theme\" : \"night\"", "\"sounds\" : true", "\"risk %\" : 0.5");
  }

  @Test
  void aFolderWithoutOneHasWhatShips() {
    assertThat(read()).isEqualTo(Settings.NONE);
  }

  @Test
  void aWrongValueIsToldAndTheOthersCount() throws IOException {
    Files.writeString(file, "{\"theme\": \"night\", \"volume\": \"loud\", \"reef\": 3}");

    assertThat(read()).isEqualTo(Settings.NONE.with(SettingCatalogue.THEME, "night"));
    assertThat(wrong)
        .containsExactly(
            "settings.json, volume: expected a number from 5 to 100, found \"loud\"; 80 counts",
            "settings.json, reef: no setting of that name; it is kept and does nothing");
  }

  @Test
  void anUnknownKeyStaysWhenSomethingElseIsSet() throws IOException {
    Files.writeString(file, "{\"reef\": 3, \"theme\": \"night\"}");
    SettingsFile.write(folder, read().with(SettingCatalogue.THEME, "daybreak"));

    assertThat(Files.readString(file)).contains("\"reef\" : 3").doesNotContain("theme");
  }

  @Test
  void phasesOutOfOrderAreAsTheyShip() throws IOException {
    Files.writeString(file, "{\"midday from\": \"14:00\", \"theme\": \"night\"}");

    assertThat(read()).isEqualTo(Settings.NONE.with(SettingCatalogue.THEME, "night"));
    assertThat(wrong)
        .containsExactly(
            "settings.json: midday must begin before afternoon does at 13:00; all phases are as"
                + " they ship");
  }

  @Test
  void whatIsNestedTooDeeplyIsToldToo() throws IOException {
    Files.writeString(file, "[".repeat(100_000) + "]".repeat(100_000));

    assertThat(read()).isEqualTo(Settings.NONE);
    assertThat(wrong)
        .containsExactly(
            "settings.json: expected JSON; all settings are as they ship until it is mended");
  }

  @Test
  void whatIsNoJsonIsToldWithItsLineAndItsTextIsKept() throws IOException {
    Files.writeString(file, "{\n\"theme\": night }");

    assertThat(read()).isEqualTo(Settings.NONE);
    assertThat(wrong)
        .containsExactly(
            "settings.json, line 2: expected JSON; all settings are as they ship until it is"
                + " mended");
    SettingsFile.write(folder, Settings.NONE);
    assertThat(Files.readString(folder.resolve("settings.json.unreadable"))).contains("night }");
  }

  @Test
  void aListInPlaceOfAnObjectIsToldAndKeptAside() throws IOException {
    Files.writeString(file, "[\"night\"]");

    assertThat(read()).isEqualTo(Settings.NONE);
    SettingsFile.write(folder, Settings.NONE);

    assertThat(wrong)
        .containsExactly("settings.json: expected an object { .. }; all settings are as they ship");
    assertThat(folder.resolve("settings.json.unreadable")).hasContent("[\"night\"]");
  }
}
