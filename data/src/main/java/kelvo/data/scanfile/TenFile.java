package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.JsonNode;
import kelvo.data.scanfile.ScanFile.ScanFileException;

/** Reads and writes how many symbols the Ten may hold, as docs/formats.md describes. */
final class TenFile {
  private TenFile() {}

  static int parse(String name, String json) {
    JsonNode most = JsonText.read(name, json).path("most");
    if (!most.isInt()
        || most.asInt() < ScanFolder.LEAST_KEPT
        || most.asInt() > ScanFolder.MOST_KEPT) {
      throw new ScanFileException(
          name
              + ", most: expected a whole number from "
              + ScanFolder.LEAST_KEPT
              + " to "
              + ScanFolder.MOST_KEPT
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
