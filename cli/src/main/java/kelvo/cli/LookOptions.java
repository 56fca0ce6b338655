package kelvo.cli;

import java.nio.file.Path;
import kelvo.desktop.shell.OpenRequest;
import kelvo.desktop.theme.Theme;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** How a window looks, and whether it is only to be pictured. */
class LookOptions {
  @Option(
      names = "--theme",
      paramLabel = "daybreak|night",
      description = "the look; that of the last time if not given, daybreak at first")
  @Nullable Theme theme;

  @Option(
      names = "--pictures",
      paramLabel = "DIR",
      description = "write a picture of each main view there, and exit")
  @Nullable Path pictures;

  @Option(names = "--smoke", description = "open a window, say what was drawn, and exit")
  boolean smoke;

  OpenRequest request(OpenRequest.@Nullable Load load, long otherwiseAt) {
    return new OpenRequest(load, new FoldersAndDemo(), -1, otherwiseAt, 0, theme, pictures, smoke);
  }
}
