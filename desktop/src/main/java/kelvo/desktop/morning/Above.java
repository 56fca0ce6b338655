package kelvo.desktop.morning;

/** What may stand above the morning's list. */
enum Above {
  FIELD("field", "All gaps as dots, those of a theme joined"),
  WALL("wall", "Small charts of the movers (V)"),
  SECOND_LOOK("second look", "What changed since the open (L)"),
  SCAN("edit scan", "The rules of the scan (E)"),
  CHECKS("checks", "What the checks ask (C)");

  private final String words;
  private final String help;

  Above(String words, String help) {
    this.words = words;
    this.help = help;
  }

  /** The words on its button. */
  String words() {
    return words;
  }

  /** What it is, with its key. */
  String help() {
    return help;
  }
}
