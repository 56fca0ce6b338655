package kelvo.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/**
 * What a feed asks for. Other users of a machine can read arguments, so that it may come from a
 * file or the environment as well.
 */
final class Token {
  /** The variable of the environment that holds it. */
  static final String VARIABLE = "KELVO_TOKEN";

  @Option(
      names = "--token",
      paramLabel = "T",
      description = "what the feed asks for; the variable " + VARIABLE + " if not given")
  @Nullable String given;

  @Option(names = "--token-file", paramLabel = "FILE", description = "a file that holds the token")
  @Nullable Path file;

  /** The token; empty for none. */
  String text() {
    return text(System::getenv);
  }

  String text(UnaryOperator<@Nullable String> environment) {
    if (given != null) {
      return given;
    }
    if (file == null) {
      String known = environment.apply(VARIABLE);
      return known == null ? "" : known;
    }
    try {
      return Files.readString(file).strip();
    } catch (IOException e) {
      throw new UncheckedIOException(
          "the token's file " + file + " cannot be read; name another with --token-file", e);
    }
  }
}
