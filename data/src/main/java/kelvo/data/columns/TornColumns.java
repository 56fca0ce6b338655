package kelvo.data.columns;

import java.nio.file.Path;

/** A file of columns that cannot be used; the tables are read instead, and it is made again. */
public final class TornColumns extends RuntimeException {
  private static final long serialVersionUID = 1;

  TornColumns(Path path, String why) {
    super(path.getFileName() + ": " + why);
  }
}
