package kelvo.desktop.workspace;

import java.io.File;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Asks for files and folders in the dialogs of the system. */
public final class FileDialogs implements FilePlaces {
  @Override
  public Optional<Path> open(Window over, String title) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(title);
    return Optional.ofNullable(chooser.showOpenDialog(over)).map(File::toPath);
  }

  @Override
  public Optional<Path> save(Window over, String name, String... endings) {
    FileChooser chooser = new FileChooser();
    chooser.setInitialFileName(name);
    for (String ending : endings) {
      chooser
          .getExtensionFilters()
          .add(new FileChooser.ExtensionFilter(ending.toUpperCase(Locale.ROOT), "*." + ending));
    }
    return Optional.ofNullable(chooser.showSaveDialog(over)).map(File::toPath);
  }

  @Override
  public Optional<Path> folder(Window over, String title) {
    DirectoryChooser chooser = new DirectoryChooser();
    chooser.setTitle(title);
    return Optional.ofNullable(chooser.showDialog(over)).map(File::toPath);
  }
}
