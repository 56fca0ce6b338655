package kelvo.setting;

/**
 * One thing that the trader may set.
 *
 * @param key its name in settings.json
 * @param group what it is about
 * @param sentence what it does, as it stands on the page
 * @param allowed what it may be
 * @param initial its value until it is set
 * @param readsTheDay whether the day has to be read again with it; else it counts as it is set
 */
public record Setting(
    String key,
    Group group,
    String sentence,
    Allowed allowed,
    String initial,
    boolean readsTheDay) {
  /** What a setting is about. */
  public enum Group {
    LOOK("Look"),
    ALERTS("Alerts"),
    LIMITS("Limits"),
    PHASES("Phases of the day"),
    ACCOUNT("Account and fees"),
    REVIEW("Verdicts of the review");

    private final String title;

    Group(String title) {
      this.title = title;
    }

    /** The heading on the page. */
    public String title() {
      return title;
    }
  }
}
