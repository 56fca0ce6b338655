package kelvo.cli;

import kelvo.desktop.shell.OpenRequest;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** What the commands that open a window on a recorded session have in common. */
final class WindowOptions extends LookOptions {
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

  @Override
  OpenRequest request(OpenRequest.@Nullable Load load, long otherwiseAt) {
    return new OpenRequest(
        load,
        new FoldersAndDemo(),
        at == null ? -1 : DayTime.parse(at),
        otherwiseAt,
        speed,
        theme,
        pictures,
        smoke);
  }
}
