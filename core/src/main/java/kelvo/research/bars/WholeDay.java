package kelvo.research.bars;

/** One security after another, with what its day came to. Owned by one thread. */
final class WholeDay {
  private final DayTotals totals;
  private int place;
  private long previousClose;
  private double floatShares;

  WholeDay(DayTotals totals) {
    this.totals = totals;
  }

  void moveTo(int security, long closeBefore, double shares) {
    place = security;
    previousClose = closeBefore;
    floatShares = shares;
  }

  long previousClose() {
    return previousClose;
  }

  double floatShares() {
    return floatShares;
  }

  long leastClose() {
    return totals.leastClose(place);
  }

  long mostClose() {
    return totals.mostClose(place);
  }

  long open() {
    return totals.open(place);
  }

  long volume() {
    return totals.volume(place);
  }

  long premarketVolume() {
    return totals.premarketVolume(place);
  }

  double trades() {
    return totals.trades(place);
  }

  double premarketTrades() {
    return totals.premarketTrades(place);
  }

  double money() {
    return BarState.dollars(totals.threefoldMoney(place));
  }
}
