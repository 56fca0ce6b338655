package kelvo.data.feed;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * Where a feed is, and how it is reached.
 *
 * @param uri {@code ws://} or, encrypted, {@code wss://}
 * @param token what the server asks for; may be empty
 * @param trust whose certificates are believed; null for those that the machine believes
 */
public record FeedAddress(URI uri, String token, @Nullable SSLContext trust) {
  /** A feed whose certificate, if it has one, the machine believes. */
  public FeedAddress(URI uri, String token) {
    this(uri, token, null);
  }

  /**
   * A feed whose certificate is in a file.
   *
   * @param certificate a PEM or DER file with the server's certificate, or with the one that signed
   *     it
   * @throws RefusedException when the file holds none
   */
  public static FeedAddress trusting(URI uri, String token, Path certificate) {
    try (InputStream in = Files.newInputStream(certificate)) {
      KeyStore believed = KeyStore.getInstance(KeyStore.getDefaultType());
      believed.load(null, null);
      int number = 0;
      for (Certificate one : CertificateFactory.getInstance("X.509").generateCertificates(in)) {
        believed.setCertificateEntry("feed" + number++, one);
      }
      TrustManagerFactory managers =
          TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
      managers.init(believed);
      SSLContext context = SSLContext.getInstance("TLS");
      context.init(null, managers.getTrustManagers(), null);
      return new FeedAddress(uri, token, context);
    } catch (IOException | GeneralSecurityException e) {
      throw new RefusedException(
          certificate + " is no certificate that can be read; name a PEM file", e);
    }
  }

  HttpClient client() {
    HttpClient.Builder builder = HttpClient.newBuilder();
    if (trust != null) {
      builder.sslContext(trust);
    }
    return builder.build();
  }
}
