package kelvo.sim;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;
import kelvo.refusal.RefusedException;

/** The certificate with which a feed's server shows who it is. */
public final class FeedCertificate {
  private FeedCertificate() {}

  /**
   * Reads a key and its certificate from a PKCS 12 file.
   *
   * @throws RefusedException when the file or the password is wrong
   */
  public static SSLContext read(Path file, String password) {
    try (InputStream in = Files.newInputStream(file)) {
      KeyStore keys = KeyStore.getInstance("PKCS12");
      keys.load(in, password.toCharArray());
      KeyManagerFactory managers =
          KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
      managers.init(keys, password.toCharArray());
      SSLContext context = SSLContext.getInstance("TLS");
      context.init(managers.getKeyManagers(), null, null);
      return context;
    } catch (IOException | GeneralSecurityException e) {
      throw new RefusedException(
          file + " cannot be read as a PKCS 12 file with this password: " + e.getMessage(), e);
    }
  }
}
