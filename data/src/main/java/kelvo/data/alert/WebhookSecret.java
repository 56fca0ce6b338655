package kelvo.data.alert;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Optional;
import java.util.function.Consumer;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import kelvo.data.file.KeptAside;

/**
 * The secret with which messages to a webhook are signed; it stands in a file that only its owner
 * reads, and never in a message.
 */
public final class WebhookSecret {
  /** The file in a data folder. */
  public static final String FILE = "webhook.secret";

  private static final String ALGORITHM = "HmacSHA256";
  private static final int BYTES = 32;

  private final byte[] key;

  private WebhookSecret(byte[] key) {
    this.key = key;
  }

  /**
   * What is wrong with the file of a data folder, in a sentence; empty for nothing, and when there
   * is none.
   */
  public static Optional<String> problem(Path folder) {
    Path file = folder.resolve(FILE);
    return Files.exists(file) && !isReadable(file)
        ? Optional.of(FILE + ": expected a secret; a new one is made when something is to be sent")
        : Optional.empty();
  }

  private static boolean isReadable(Path file) {
    try {
      return !Files.readString(file).isBlank();
    } catch (IOException e) {
      return false;
    }
  }

  /**
   * The secret of a data folder; a new one is made when there is none. What cannot be read is kept
   * aside.
   *
   * @param wrong takes a sentence about a file that cannot be read
   * @throws UncheckedIOException when it can be neither read nor written
   */
  public static WebhookSecret in(Path folder, Consumer<String> wrong) {
    Path file = folder.resolve(FILE);
    try {
      if (Files.exists(file) && !isReadable(file)) {
        Path aside = KeptAside.move(file);
        wrong.accept(
            FILE
                + " could not be read and is kept as "
                + aside.getFileName()
                + "; give the new one in its place to whoever receives the messages");
      }
      if (!Files.exists(file)) {
        byte[] random = new byte[BYTES];
        new SecureRandom().nextBytes(random);
        Files.createFile(file, ownersOnly());
        Files.writeString(file, HexFormat.of().formatHex(random) + "\n");
      }
      return of(Files.readString(file).strip());
    } catch (IOException e) {
      throw new UncheckedIOException(
          FILE + " can be neither read nor written, so nothing is sent to the webhook", e);
    }
  }

  /** A secret of its text as it stands in the file. */
  static WebhookSecret of(String text) {
    return new WebhookSecret(text.getBytes(StandardCharsets.UTF_8));
  }

  private static FileAttribute<?>[] ownersOnly() {
    boolean isPosix = FileSystems.getDefault().supportedFileAttributeViews().contains("posix");
    return isPosix
        ? new FileAttribute<?>[] {
          PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------"))
        }
        : new FileAttribute<?>[0];
  }

  /** The HMAC-SHA256 (RFC 2104) of a message, as small hexadecimal letters. */
  String sign(byte[] message) {
    try {
      Mac mac = Mac.getInstance(ALGORITHM);
      mac.init(new SecretKeySpec(key, ALGORITHM));
      return HexFormat.of().formatHex(mac.doFinal(message));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every Java has " + ALGORITHM, e);
    }
  }

  @Override
  public String toString() {
    return "a secret";
  }
}
