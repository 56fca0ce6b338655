package kelvo.desktop.shell;

import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;
import java.util.function.Consumer;
import kelvo.data.file.KeptAside;
import kelvo.data.file.WholeFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The window's size, where its splitters were put and what it showed, kept in the data folder.
 *
 * @param width pixels
 * @param height pixels
 * @param listShare the list side's share of the width, 0 to 1
 * @param intradayShare how far down the focus side the intraday chart reaches, 0 to 1
 * @param dailyShare how far down the daily chart reaches, 0 to 1
 * @param look what it showed
 */
public record WindowLayout(
    double width,
    double height,
    double listShare,
    double intradayShare,
    double dailyShare,
    LastLook look) {
  /** As it is at first. */
  public static final WindowLayout DEFAULT = new WindowLayout(1280, 800, 0.56, 0.44, 0.64);

  /** A layout of a window of which it is not known what it showed. */
  public WindowLayout(
      double width, double height, double listShare, double intradayShare, double dailyShare) {
    this(width, height, listShare, intradayShare, dailyShare, LastLook.NONE);
  }

  private static final Logger LOG = LoggerFactory.getLogger(WindowLayout.class);
  private static final String FILE = "window.properties";
  private static final double MIN_SIZE = 400;
  private static final double MAX_SIZE = 20_000;

  /**
   * What a data folder keeps; {@link #DEFAULT} for whatever is missing or no sensible number.
   *
   * @param wrong takes a sentence about a file that cannot be read
   */
  public static WindowLayout in(Path folder, Consumer<String> wrong) {
    Path file = folder.resolve(FILE);
    Properties kept =
        Files.exists(file)
            ? read(file)
                .orElseGet(
                    () -> {
                      wrong.accept(
                          FILE + ": expected lines such as width=1280; the window opens as usual");
                      return new Properties();
                    })
            : new Properties();
    return new WindowLayout(
        number(kept, "width", DEFAULT.width, MIN_SIZE, MAX_SIZE),
        number(kept, "height", DEFAULT.height, MIN_SIZE, MAX_SIZE),
        number(kept, "listShare", DEFAULT.listShare, 0, 1),
        number(kept, "intradayShare", DEFAULT.intradayShare, 0, 1),
        number(kept, "dailyShare", DEFAULT.dailyShare, 0, 1),
        LastLook.from(kept));
  }

  private static Optional<Properties> read(Path file) {
    Properties kept = new Properties();
    try (Reader reader = Files.newBufferedReader(file)) {
      kept.load(reader);
      return Optional.of(kept);
    } catch (IOException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static double number(
      Properties kept, String name, double usual, double least, double most) {
    try {
      double value = Double.parseDouble(kept.getProperty(name, Double.toString(usual)));
      return value >= least && value <= most ? value : usual;
    } catch (NumberFormatException e) {
      return usual;
    }
  }

  /** Keeps this in a data folder. */
  public void keepIn(Path folder) {
    Properties kept = new Properties();
    kept.setProperty("width", Double.toString(width));
    kept.setProperty("height", Double.toString(height));
    kept.setProperty("listShare", Double.toString(listShare));
    kept.setProperty("intradayShare", Double.toString(intradayShare));
    kept.setProperty("dailyShare", Double.toString(dailyShare));
    look.into(kept);
    Path file = folder.resolve(FILE);
    try {
      if (Files.exists(file) && read(file).isEmpty()) {
        KeptAside.move(file);
      }
      StringWriter text = new StringWriter();
      kept.store(text, "Kelvo: the window's size and splitters");
      WholeFile.replace(file, text.toString());
    } catch (IOException e) {
      LOG.warn("{} cannot be written, so the window's size is not kept: {}", file, e.getMessage());
    }
  }
}
