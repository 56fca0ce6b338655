package kelvo.cli;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Properties;
import picocli.CommandLine;

/** The version of this build, which the build's own file names. */
final class Version implements CommandLine.IVersionProvider {
  @Override
  public String[] getVersion() {
    return new String[] {"Kelvo " + number()};
  }

  /** The number alone, such as 0.1.0. */
  static String number() {
    try (InputStream in = Version.class.getResourceAsStream("version.properties")) {
      Properties properties = new Properties();
      properties.load(in);
      return properties.getProperty("version");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
