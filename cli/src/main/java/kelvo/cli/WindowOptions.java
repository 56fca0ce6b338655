package kelvo.cli;

import java.nio.file.Path;
import kelvo.desktop.shell.OpenRequest;
import kelvo.desktop.theme.Theme;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** What the commands that open a window have in common. */
final class WindowOptions {
  @Option(
      names = "--at",
      paramLabel = "T",
      description = "the moment to show; where the day was left if not given")
  @Nullable String at;

  @Option(
      names = "--speed",
      paramLabel = "N",
      description = "play at so many times the speed of the day")
  double speed = 0;

  @Option(
      names = "--theme",
      paramLabel = "daybreak|night",
      description = "the look; daybreak if not given")
  Theme theme = Theme.DAYBREAK;

  @Option(
      names = "--pictures",
      paramLabel = "DIR",
      description = "write a picture of each main view there, and exit")
  @Nullable Path pictures;

  @Option(names = "--smoke", description = "open a window, say what was drawn, and exit")
  boolean smoke;

  OpenRequest request(OpenRequest.Load load, long otherwiseAt) {
    return new OpenRequest(
        load, at == null ? -1 : DayTime.parse(at), otherwiseAt, speed, theme, pictures, smoke);
  }
}
