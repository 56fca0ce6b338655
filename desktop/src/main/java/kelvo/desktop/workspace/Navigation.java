package kelvo.desktop.workspace;

import java.util.function.Consumer;

/** The ways from an opened day to another one, and to files. Only for the window's thread. */
public final class Navigation {
  private Runnable onReadAgain = () -> {};
  private Runnable onOtherDay = () -> {};
  private Consumer<OtherDay> onOpen = other -> {};
  private FilePlaces files = new FileDialogs();

  /** Leads nowhere yet. */
  Navigation() {}

  /** Does something when the day has to be read again. */
  public void onReadAgain(Runnable then) {
    onReadAgain = then;
  }

  /** Saves the day and reads it again, for what has changed of what it is read with. */
  public void readAgain() {
    onReadAgain.run();
  }

  /** Does something when another day is wanted. */
  public void onOtherDay(Runnable then) {
    onOtherDay = then;
  }

  /** Saves the day and lets another one be chosen. */
  public void chooseOtherDay() {
    onOtherDay.run();
  }

  /** Does something when a date of the same folder is wanted. */
  public void onOpen(Consumer<OtherDay> then) {
    onOpen = then;
  }

  /** Saves the day and opens another date of the same folder in this window. */
  public void open(OtherDay other) {
    onOpen.accept(other);
  }

  /** Who asks for files and folders. */
  public FilePlaces files() {
    return files;
  }

  /** Lets files and folders be asked for otherwise than by dialogs. */
  public void files(FilePlaces other) {
    files = other;
  }
}
