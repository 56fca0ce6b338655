package kelvo.data.scanfile;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * Files that ship with Kelvo.
 *
 * @param kind "scans" or "lists"
 */
record ShippedFiles(String kind) {
  static final ShippedFiles SCANS = new ShippedFiles("scans");
  static final ShippedFiles LISTS = new ShippedFiles("lists");

  /** Their names. */
  List<String> names() {
    return text("index.txt").lines().filter(line -> !line.isBlank()).toList();
  }

  /** The text of one. */
  String text(String file) {
    String place = "/kelvo/data/" + kind + "/" + file;
    try (InputStream in = ShippedFiles.class.getResourceAsStream(place)) {
      if (in == null) {
        throw new IllegalStateException(file + " is missing from this build");
      }
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
