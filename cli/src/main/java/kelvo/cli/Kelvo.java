package kelvo.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The command line's entry: {@code ./kelvo COMMAND}. */
@Command(
    name = "kelvo",
    mixinStandardHelpOptions = true,
    version = "Kelvo 0.1",
    description = "Scans the US stock market, alerts, and reviews hits against trades.",
    subcommands = {
      CheckCommand.class,
      MatchesCommand.class,
      HitsCommand.class,
      ReviewCommand.class,
      ConvertCommand.class,
      RecordCommand.class,
      SimCommand.class,
      OpenCommand.class,
      LiveCommand.class,
      DemoCommand.class
    })
public final class Kelvo implements Runnable {
  @Override
  public void run() {
    CommandLine.usage(this, System.out);
  }

  /** Runs a command; the process ends with 0 done, 1 the data is at fault, 2 the call is. */
  public static void main(String[] args) {
    int code = run(args);
    if (code != 0) {
      System.exit(code);
    }
  }

  /** Runs a command in this process and returns its exit code. */
  static int run(String... args) {
    return new CommandLine(new Kelvo())
        .setCaseInsensitiveEnumValuesAllowed(true)
        .setExecutionExceptionHandler(Kelvo::explain)
        .execute(args);
  }

  private static int explain(Exception error, CommandLine command, CommandLine.ParseResult result) {
    String message = error.getMessage() == null ? error.toString() : error.getMessage();
    command.getErr().println("kelvo: " + message);
    return error instanceof DataAtFault ? 1 : 2;
  }
}
