package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Objects;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What hits, matches and review print is byte for byte what it was before replay and scanning came
 * apart, on the demo's stories and on three other markets. A change that is meant to change them
 * replaces outputs.sha256 and says why.
 */
class SameOutputsTest {
  private static final long[] SEEDS = {DemoFolder.SEED, 11, 12, 13};
  private static final DemoSize SIZE = new DemoSize(60, 30, 6_000, DemoSize.SESSION);

  @TempDir Path folder;

  private static byte[] printed(String... args) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PrintStream quiet = new PrintStream(new ByteArrayOutputStream(), true, StandardCharsets.UTF_8);
    Terminal terminal = new Terminal(new PrintStream(out, true, StandardCharsets.UTF_8), quiet);
    assertThat(Kelvo.run(terminal, args)).isZero();
    return out.toByteArray();
  }

  private static String hash(byte[] bytes) throws NoSuchAlgorithmException {
    return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
  }

  private static List<String> kept() throws IOException {
    try (InputStream in =
        Objects.requireNonNull(SameOutputsTest.class.getResourceAsStream("outputs.sha256"))) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
  }

  @Test
  void areTheSame() throws Exception {
    List<String> found = new ArrayList<>();
    for (long seed : SEEDS) {
      String market = folder.resolve("market-" + seed).toString();
      DemoFolder.write(Path.of(market), SIZE, seed, Progress.NONE);
      String scan = Path.of(market).resolve("scans/01-morning-gaps.json").toString();
      Path review = folder.resolve("review-" + seed);
      found.add(seed + " hits " + hash(printed("hits", market)));
      found.add(seed + " unfolded " + hash(printed("hits", market, "--unfolded")));
      found.add(
          seed + " matches " + hash(printed("matches", market, "--scan", scan, "--at", "09:10")));
      printed("review", market, "--out", review.toString());
      for (String table : List.of("trades", "moves", "scans")) {
        found.add(
            seed + " " + table + " " + hash(Files.readAllBytes(review.resolve(table + ".csv"))));
      }
    }

    assertThat(found).isEqualTo(kept());
  }
}
