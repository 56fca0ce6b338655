package kelvo.data;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.stream.Stream;

/**
 * Processes of one main class, each of which is killed at a random moment and followed by the next.
 * They say in lines of their output what they have saved. Hundreds of them start quickly, since the
 * first one leaves a cache of its classes.
 */
public final class KillableProcesses {
  private final Path scratch;
  private final Class<?> main;
  private final List<String> command;

  /**
   * Lets a first process run to its end.
   *
   * @param learning the arguments of that process
   */
  public KillableProcesses(Path scratch, Class<?> main, String... learning)
      throws IOException, InterruptedException {
    this.scratch = scratch;
    this.main = main;
    String classes = inJars(System.getProperty("java.class.path"));
    String cache = scratch.resolve("classes.aot").toString();
    command =
        List.of(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-XX:+UseSerialGC",
            "--enable-native-access=ALL-UNNAMED",
            "-Dorg.sqlite.tmpdir=" + scratch,
            "-cp",
            classes);
    Process first = start(List.of("-XX:AOTCacheOutput=" + cache), learning);
    first.getInputStream().transferTo(OutputStream.nullOutputStream());
    assertThat(first.waitFor()).as(() -> "the process that nobody kills: " + errors()).isZero();
  }

  private Process start(List<String> more, String... arguments) throws IOException {
    List<String> line = new ArrayList<>(command);
    line.addAll(more);
    line.add(main.getName());
    line.addAll(Arrays.asList(arguments));
    return new ProcessBuilder(line).redirectError(scratch.resolve("errors.txt").toFile()).start();
  }

  private String errors() {
    try {
      return Files.readString(scratch.resolve("errors.txt"));
    } catch (IOException e) {
      return e.toString();
    }
  }

  /**
   * Kills so many processes, each after a random number of lines below a bound, then lets one run
   * to its end. A process says first how much is there, and with each line more how much is saved:
   * what one has called saved must be there for the next.
   */
  public void kill(int kills, int fewerLines, String... arguments)
      throws IOException, InterruptedException {
    SplittableRandom random = new SplittableRandom(20_310_312);
    long saved = 0;
    for (int i = 0; i <= kills; i++) {
      int lines = i < kills ? random.nextInt(fewerLines) : Integer.MAX_VALUE;
      Process process = start(List.of("-XX:AOTCache=" + scratch.resolve("classes.aot")), arguments);
      try (BufferedReader told =
          new BufferedReader(
              new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
        String line = told.readLine();
        assertThat(line).as(() -> "what a process finds: " + errors()).isNotNull();
        assertThat(Long.parseLong(line)).as("what it finds").isGreaterThanOrEqualTo(saved);
        while (line != null && lines-- >= 0) {
          saved = Long.parseLong(line);
          line = told.readLine();
        }
        assertThat(line == null).as("it has come to its end").isEqualTo(i == kills);
      } finally {
        process.destroyForcibly().waitFor();
      }
    }
  }

  /** The class path with its folders made into archives, since the cache takes no folders. */
  private String inJars(String classPath) throws IOException {
    List<String> parts = new ArrayList<>();
    for (String part : classPath.split(File.pathSeparator)) {
      Path path = Path.of(part);
      parts.add(Files.isDirectory(path) ? jar(path, parts.size()).toString() : part);
    }
    return String.join(File.pathSeparator, parts);
  }

  private Path jar(Path folder, int number) throws IOException {
    Path file = scratch.resolve("classes" + number + ".jar");
    try (JarOutputStream jar = new JarOutputStream(Files.newOutputStream(file));
        Stream<Path> all = Files.walk(folder)) {
      all.filter(one -> !one.equals(folder)).forEach(one -> add(jar, folder, one));
    }
    return file;
  }

  private static void add(JarOutputStream jar, Path folder, Path file) {
    try {
      String name = folder.relativize(file).toString().replace(File.separatorChar, '/');
      jar.putNextEntry(new JarEntry(Files.isDirectory(file) ? name + "/" : name));
      if (Files.isRegularFile(file)) {
        Files.copy(file, jar);
      }
      jar.closeEntry();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
