package kelvo.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.lang.reflect.Constructor;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import kelvo.data.fault.PlainReason;
import kelvo.data.file.OwnerOnly;
import kelvo.refusal.RefusedException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** The command line's entry: {@code ./kelvo COMMAND}. */
@Command(
    name = "kelvo",
    mixinStandardHelpOptions = true,
    scope = CommandLine.ScopeType.INHERIT,
    versionProvider = Version.class,
    description = "Scans the US stock market, alerts, and reviews hits against trades.")
public final class Kelvo implements Runnable {
  /** All commands, in the order of the help. */
  private static final List<Class<?>> COMMANDS =
      List.of(
          CheckCommand.class,
          MatchesCommand.class,
          HitsCommand.class,
          ReviewCommand.class,
          TrackRecordCommand.class,
          ResearchCommand.class,
          WhatIfCommand.class,
          ReportCommand.class,
          LedgerCommand.class,
          ConvertCommand.class,
          RecordCommand.class,
          SimCommand.class,
          OpenCommand.class,
          LiveCommand.class,
          DemoCommand.class,
          TrainCommand.class);

  private static final Logger LOG = LoggerFactory.getLogger(Kelvo.class);
  private static final int DATA = 1;
  private static final int USAGE = 2;
  private static final int INTERNAL = 3;

  private final Terminal terminal;

  @Option(
      names = "--verbose",
      scope = CommandLine.ScopeType.INHERIT,
      description = "also print where in the program an error came from")
  boolean verbose;

  private Kelvo(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public void run() {
    CommandLine.usage(this, terminal.out());
  }

  /** Runs a command; the process ends with 0 done, 1 bad data, 2 bad usage, 3 an error of ours. */
  public static void main(String[] args) {
    if (List.of(args).contains("--verbose")) {
      // Read by logback.xml when the first line is logged.
      System.setProperty("kelvo.log.trace", "%ex");
    }
    // Its log names what the trader did. The folder, and the log, before any thread asks for them.
    OwnerOnly.folder(DemoData.home());
    int code = run(Terminal.ofProcess(), args);
    if (code != 0) {
      System.exit(code);
    }
  }

  /** Runs a command in this process and returns its exit code. */
  static int run(Terminal terminal, String... args) {
    Kelvo kelvo = new Kelvo(terminal);
    CommandLine line = new CommandLine(kelvo, new Commands(terminal));
    commands(args).forEach(line::addSubcommand);
    return line.setOut(new PrintWriter(terminal.out(), true, StandardCharsets.UTF_8))
        .setErr(new PrintWriter(terminal.err(), true, StandardCharsets.UTF_8))
        .setCaseInsensitiveEnumValuesAllowed(true)
        .registerConverter(LocalDate.class, Kelvo::date)
        .setExecutionExceptionHandler((error, command, result) -> kelvo.explain(error))
        .execute(args);
  }

  /**
   * The command that the first argument names, or all of them when it names none: to learn what a
   * command takes costs a start some time, and most starts are of one command.
   */
  private static List<Class<?>> commands(String... args) {
    List<Class<?>> named =
        COMMANDS.stream().filter(kind -> args.length > 0 && nameOf(kind).equals(args[0])).toList();
    return named.isEmpty() ? COMMANDS : named;
  }

  private static String nameOf(Class<?> command) {
    return command.getAnnotation(Command.class).name();
  }

  @SuppressWarnings("UnusedException") // It takes no cause, and the sentence says it all.
  private static LocalDate date(String text) {
    try {
      return LocalDate.parse(text);
    } catch (DateTimeParseException e) {
      throw new CommandLine.TypeConversionException(
          "expected a date such as 2031-03-12, found \"" + text + "\"");
    }
  }

  private int explain(Exception error) {
    boolean told = isTold(error);
    if (told) {
      terminal.err().println("kelvo: " + PlainReason.of(error));
    } else {
      LOG.error("An error inside Kelvo", error);
      terminal
          .err()
          .println(
              "kelvo: an error inside Kelvo ("
                  + error.getClass().getSimpleName()
                  + "); "
                  + DemoData.home().resolve("kelvo.log")
                  + " says where");
    }
    if (verbose) {
      error.printStackTrace(terminal.err());
    }
    return told ? error instanceof DataAtFault ? DATA : USAGE : INTERNAL;
  }

  /** Whether it tells the user what was refused, or what a file, line or disk did not do. */
  static boolean isTold(Exception error) {
    for (Throwable e = error; e != null; e = e.getCause()) {
      if (e instanceof RefusedException
          || e instanceof IOException
          || e instanceof SQLException
          || e instanceof InterruptedException
          || e instanceof CancellationException) {
        return true;
      }
    }
    return false;
  }

  /** Makes commands, those that write with the terminal that they write to. */
  private record Commands(Terminal terminal) implements CommandLine.IFactory {
    @Override
    public <K> K create(Class<K> kind) throws Exception {
      for (Constructor<?> constructor : kind.getDeclaredConstructors()) {
        if (Arrays.equals(constructor.getParameterTypes(), new Class<?>[] {Terminal.class})) {
          return kind.cast(constructor.newInstance(terminal));
        }
      }
      return CommandLine.defaultFactory().create(kind);
    }
  }
}
