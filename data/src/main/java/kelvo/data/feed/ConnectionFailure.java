package kelvo.data.feed;

import java.net.ConnectException;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpConnectTimeoutException;
import java.net.http.HttpResponse;
import java.net.http.WebSocketHandshakeException;
import java.nio.channels.UnresolvedAddressException;
import java.security.cert.CertPathValidatorException;
import java.security.cert.CertificateException;
import java.util.Locale;
import java.util.Optional;
import javax.net.ssl.SSLException;

/**
 * Why no connection to a feed came about.
 *
 * @param sentence with the way out, without a full stop
 * @param isFinal whether waiting cannot mend it
 */
record ConnectionFailure(String sentence, boolean isFinal) {
  private static final String SECURE = "wss";
  private static final int UNAUTHORIZED = 401;
  private static final int FORBIDDEN = 403;
  private static final int FIRST_REDIRECT = 300;
  private static final int FIRST_ERROR = 400;

  /** The failure behind what connecting threw. */
  static ConnectionFailure of(URI uri, Throwable thrown) {
    if (find(thrown, WebSocketHandshakeException.class).isPresent()) {
      return ofStatus(uri, find(thrown, WebSocketHandshakeException.class).get().getResponse());
    }
    if (find(thrown, CertPathValidatorException.class).isPresent()
        || String.valueOf(find(thrown, SSLException.class).map(Throwable::getMessage))
            .contains("PKIX")) {
      return waitingIsVain(
          "the certificate of "
              + uri
              + " is not known to this machine; name its file with --trust, if it is the right one");
    }
    if (find(thrown, CertificateException.class).isPresent()) {
      return waitingIsVain(
          "the certificate of "
              + uri
              + " is for another name, or out of date; use the name that it is for");
    }
    if (find(thrown, SSLException.class).isPresent()) {
      return mayPass(
          "what answers at " + uri + " is not encrypted; if it is the feed, use ws:// for it");
    }
    if (find(thrown, UnresolvedAddressException.class).isPresent()
        || find(thrown, UnknownHostException.class).isPresent()) {
      return mayPass("the name " + uri.getHost() + " is not known; check the address");
    }
    if (find(thrown, HttpConnectTimeoutException.class).isPresent()) {
      return mayPass("no answer from " + uri + "; check host and port");
    }
    if (find(thrown, ConnectException.class).isPresent()) {
      return mayPass("no feed at " + uri + "; start it, or check host and port");
    }
    return mayPass(
        "what answers at "
            + uri
            + " is no feed"
            + (isSecure(uri) ? "" : "; if it is encrypted, use wss:// for it"));
  }

  private static ConnectionFailure ofStatus(URI uri, HttpResponse<?> response) {
    int status = response.statusCode();
    String told = uri + " answers with the HTTP status " + status;
    if (status == UNAUTHORIZED || status == FORBIDDEN) {
      return waitingIsVain(told + "; check the token");
    }
    if (status >= FIRST_REDIRECT && status < FIRST_ERROR) {
      return waitingIsVain(
          told
              + ", which leads elsewhere; name the feed's own address"
              + response
                  .headers()
                  .firstValue("location")
                  .filter(place -> place.length() <= FeedClient.LONGEST_TEXT_TOLD)
                  .map(place -> " (it names " + place + ")")
                  .orElse(""));
    }
    return mayPass(told + " and is no feed, or not yet; check host, port and path");
  }

  private static boolean isSecure(URI uri) {
    return SECURE.equals(String.valueOf(uri.getScheme()).toLowerCase(Locale.ROOT));
  }

  private static ConnectionFailure mayPass(String sentence) {
    return new ConnectionFailure(sentence, false);
  }

  private static ConnectionFailure waitingIsVain(String sentence) {
    return new ConnectionFailure(sentence, true);
  }

  private static <E extends Throwable> Optional<E> find(Throwable thrown, Class<E> kind) {
    for (Throwable e = thrown; e != null; e = e.getCause()) {
      if (kind.isInstance(e)) {
        return Optional.of(kind.cast(e));
      }
    }
    return Optional.empty();
  }
}
