/**
 * The commands. Each writes rows to standard output and messages to standard error; exit code 0
 * done, 1 bad data, 2 bad usage.
 */
package kelvo.cli;
