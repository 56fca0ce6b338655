package kelvo.cli;

import java.io.PrintStream;

/**
 * Where a command writes: rows to {@code out}, messages to {@code err}. Every command is given one
 * when it is made, so that tests read what a command wrote without touching the process's own.
 */
record Terminal(PrintStream out, PrintStream err) {
  /** The process's own. */
  static Terminal ofProcess() {
    return new Terminal(System.out, System.err);
  }
}
