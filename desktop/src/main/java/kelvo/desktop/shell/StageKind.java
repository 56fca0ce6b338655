package kelvo.desktop.shell;

/** The stages of the day that this version has, with the number keys that go there. */
public enum StageKind {
  UNIVERSE("Universe", 1),
  MORNING("Morning", 2),
  LIVE("Live", 3),
  CATALYSTS("Catalysts", 4),
  REVIEW("Review", 5);

  private final String title;
  private final int number;

  StageKind(String title, int number) {
    this.title = title;
    this.number = number;
  }

  /** The word on the stage's button. */
  public String title() {
    return title;
  }

  /** The key that goes there: its place in the whole day. */
  public int number() {
    return number;
  }
}
