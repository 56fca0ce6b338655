package kelvo.desktop.workspace;

/**
 * A stage of the day: the word on its button and the number key that goes there.
 *
 * @param number its place in the whole day
 */
public record StageKind(String title, int number) {
  /** Before any stage is shown. */
  public static final StageKind NONE = new StageKind("", 0);
}
