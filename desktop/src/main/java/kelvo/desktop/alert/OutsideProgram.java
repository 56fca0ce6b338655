package kelvo.desktop.alert;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/**
 * A program of the system that is told words, one call after the other; when it is slower than the
 * alerts come, the oldest that wait are left out. Calls may come from any thread.
 */
final class OutsideProgram implements AutoCloseable {
  private static final int MOST_WAITING = 3;
  private static final long LONGEST_SECONDS = 20;

  private final List<String> command;
  private final Consumer<String> told;
  private final ThreadPoolExecutor calls;

  private OutsideProgram(List<String> command, Consumer<String> told) {
    this.command = command;
    this.told = told;
    calls =
        new ThreadPoolExecutor(
            0,
            1,
            1,
            TimeUnit.SECONDS,
            new ArrayBlockingQueue<>(MOST_WAITING),
            Thread.ofVirtual().name("kelvo-" + command.getFirst()).factory(),
            new ThreadPoolExecutor.DiscardOldestPolicy());
  }

  /**
   * The first of some commands whose program is found on a search path; empty when none is.
   *
   * @param path folders, separated as the system does
   * @param told takes what went wrong, in words
   */
  static Optional<OutsideProgram> first(
      List<List<String>> commands, String path, Consumer<String> told) {
    for (List<String> command : commands) {
      for (String folder : path.split(File.pathSeparator)) {
        Path program = Path.of(folder, command.getFirst());
        if (!folder.isEmpty() && Files.isExecutable(program)) {
          List<String> whole = new ArrayList<>(command);
          whole.set(0, program.toString());
          return Optional.of(new OutsideProgram(List.copyOf(whole), told));
        }
      }
    }
    return Optional.empty();
  }

  /** Calls the program with more words behind its own; does not wait for it. */
  void call(String... words) {
    List<String> whole = new ArrayList<>(command);
    whole.addAll(List.of(words));
    calls.execute(() -> run(whole));
  }

  private void run(List<String> whole) {
    String name = Path.of(whole.getFirst()).getFileName().toString();
    try {
      Process process =
          new ProcessBuilder(whole)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      await(name, process);
    } catch (IOException e) {
      told.accept(name + " could not be started; alerts still pop up");
    }
  }

  private void await(String name, Process process) {
    try {
      if (!process.waitFor(LONGEST_SECONDS, TimeUnit.SECONDS)) {
        process.destroyForcibly();
        told.accept(name + " did not end within " + LONGEST_SECONDS + " seconds and was stopped");
      } else if (process.exitValue() != 0) {
        told.accept(name + " failed (" + process.exitValue() + "); alerts still pop up");
      }
    } catch (InterruptedException e) {
      // The window closes; nobody is to go on speaking.
      process.destroyForcibly();
      Thread.currentThread().interrupt();
    }
  }

  /** Also ends the program, if it is at work. */
  @Override
  public void close() {
    calls.shutdownNow();
  }
}
