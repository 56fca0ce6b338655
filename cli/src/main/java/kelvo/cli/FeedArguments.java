package kelvo.cli;

import java.net.URI;
import java.nio.file.Path;
import kelvo.data.feed.FeedAddress;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The feed and the folder that the commands on a live session have in common. */
final class FeedArguments {
  @Parameters(
      index = "0",
      paramLabel = "ws://HOST:PORT",
      description = "the feed; wss:// when it is encrypted")
  URI uri = URI.create("ws://localhost:8731");

  @Option(
      names = "--data",
      paramLabel = "FOLDER",
      required = true,
      description = "has the securities and earlier days; the session is written there")
  Path folder = Path.of(".");

  @Mixin final Token token = new Token();

  @Option(
      names = "--trust",
      paramLabel = "FILE",
      description = "the certificate of an encrypted feed, when this machine does not know it")
  @Nullable Path trust;

  FeedAddress address() {
    return trust == null
        ? new FeedAddress(uri, token.text())
        : FeedAddress.trusting(uri, token.text(), trust);
  }
}
