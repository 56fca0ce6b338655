package kelvo.scan;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.TreeSet;
import kelvo.field.FieldCatalogue;
import kelvo.rule.Rule;

/** Names what a scan asks for by a digest of its sentences, with the formulas they use. */
final class ScanVersion {
  private static final int BYTES = 6;

  private ScanVersion() {}

  static String of(Scan scan) {
    List<String> sentences = new ArrayList<>();
    sentences.add(scan.from() + " to " + scan.to() + ", fold " + scan.fold());
    sentences.add(scan.side().word());
    rules(sentences, "universe", scan.universe().rules());
    sentences.add("added " + new TreeSet<>(scan.universe().added()));
    sentences.add("excluded " + new TreeSet<>(scan.universe().excluded()));
    rules(sentences, "all of", scan.rules());
    scan.anyOf().forEach(group -> rules(sentences, "any of", group));
    scan.triggers().forEach(trigger -> sentences.add("trigger " + trigger.words()));
    return digest(String.join("\n", sentences));
  }

  private static void rules(List<String> sentences, String heading, List<Rule> rules) {
    sentences.add(heading);
    for (Rule rule : rules) {
      sentences.add(rule.sentence());
      rule.fields().stream()
          .filter(field -> FieldCatalogue.find(field.words()).isEmpty())
          .forEach(field -> sentences.add(field.meaning()));
    }
  }

  private static String digest(String text) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest, 0, BYTES);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
