package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.JsonNode;
import kelvo.data.scanfile.ScanFile.ScanFileException;
import kelvo.watchlist.TheTen;

/** Reads and writes how many symbols the Ten may hold, as docs/formats.md describes. */
final class TenFile {
  private TenFile() {}

  static int parse(String name, String json) {
    JsonNode most = JsonText.read(name, json).path("most");
    if (!most.isInt() || most.asInt() < TheTen.MIN_SIZE || most.asInt() > TheTen.MAX_SIZE) {
      throw new ScanFileException(
          name
              + ", most: expected a whole number from "
              + TheTen.MIN_SIZE
              + " to "
              + TheTen.MAX_SIZE
              + ", found "
              + most,
          null);
    }
    return most.asInt();
  }

  static String write(int most) {
    return JsonText.of(JsonText.begin().put("most", most));
  }
}
