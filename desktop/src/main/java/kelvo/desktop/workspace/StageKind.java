package kelvo.desktop.workspace;

/**
 * A stage of the day: the word on its button and the number key that goes there.
 *
 * @param number its place in the whole day
 * @param icon the sign above its word, by its name in the icon library
 */
public record StageKind(String title, int number, String icon) {
  /** Before any stage is shown. */
  public static final StageKind NONE = new StageKind("", 0, "");
}
