package kelvo.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import kelvo.data.scanfile.ScanFile;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;

/** The scans with which the engine is measured. */
public enum ScanSet {
  /** No scan: the market's state alone. */
  NONE("no scan") {
    @Override
    List<Scan> scans() {
      return List.of();
    }
  },
  /** The ten scans of 27 November 2026, as they were, so that measurements can be compared. */
  OLD_TEN("ten scans of old") {
    @Override
    List<Scan> scans() {
      return kept("ten-scans-of-old.jsonl");
    }
  },
  /** Whatever ships. */
  SHIPPED("the shipped scans") {
    @Override
    List<Scan> scans() {
      return ScanFile.shipped(Vocabulary.DEFAULT);
    }
  },
  /** Those that ship and fifteen others, so that most kinds of trigger are among them. */
  THIRTY("thirty scans") {
    @Override
    List<Scan> scans() {
      return Stream.concat(SHIPPED.scans().stream(), kept("fifteen-more-scans.jsonl").stream())
          .toList();
    }
  };

  private final String words;

  ScanSet(String words) {
    this.words = words;
  }

  /** What it is called in what is printed. */
  String words() {
    return words;
  }

  /** The scans, read anew. */
  abstract List<Scan> scans();

  /** The scans of a resource, one a line, each as a scan file has it. */
  private static List<Scan> kept(String resource) {
    try (InputStream in = ScanSet.class.getResourceAsStream(resource)) {
      if (in == null) {
        throw new IllegalStateException("the resource " + resource + " is missing");
      }
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .map(line -> ScanFile.parse(resource, line, Vocabulary.DEFAULT, List.of()))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException("the resource " + resource + " cannot be read", e);
    }
  }
}
