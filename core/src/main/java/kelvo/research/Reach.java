package kelvo.research;

/** How far the price goes from the entry, for or against a case, until the time is taken. */
public enum Reach {
  TWO(2),
  FIVE(5),
  TEN(10),
  TWENTY(20);

  private final int percent;

  Reach(int percent) {
    this.percent = percent;
  }

  /** Per cent of the entry. */
  public int percent() {
    return percent;
  }

  /** The words on screen. */
  public String words() {
    return percent + "%";
  }

  /** The price so far from an entry, dollars. */
  double from(double entry, int way) {
    return entry * (1 + way * percent / 100.0);
  }
}
