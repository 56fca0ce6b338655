package kelvo.desktop.live;

import java.util.List;
import java.util.function.ToDoubleFunction;
import kelvo.alert.Ring;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.view.Aftermath;
import kelvo.view.RangLine;
import kelvo.view.RangView.Rung;
import org.jspecify.annotations.Nullable;

/** The columns of what rang: when, who, what, and what the price did then. */
final class RangColumns {
  static final List<GridColumn<RangLine>> ALL =
      List.of(
          GridColumn.<RangLine>words(
                  "time", "When it rang.", 70, line -> DayTime.seconds(line.at()))
              .growing(0),
          GridColumn.symbols(RangColumns::symbol),
          GridColumn.<RangLine>words(
                  "what",
                  "What happened, and whether it was the first of its kind on the symbol today.",
                  160,
                  RangColumns::what)
              .growing(3)
              .toned(RangColumns::tone),
          GridColumn.numbers("price $", "At that moment.", 56, RangColumns::price),
          after("+1 min", "Change of price a minute after it rang.", Aftermath::one),
          after("+5 min", "Change of price five minutes after it rang.", Aftermath::five),
          after("+15 min", "Change of price fifteen minutes after it rang.", Aftermath::fifteen),
          GridColumn.words(
              "why it rang", "Whom it concerns, and the scan or alert.", 110, RangColumns::why));

  private RangColumns() {}

  private static GridColumn<RangLine> after(
      String title, String help, ToDoubleFunction<Aftermath> part) {
    return GridColumn.<RangLine>numbers(
            title, help, 54, line -> Numbers.percent(part.applyAsDouble(afterOf(line))))
        .toned(line -> Tone.ofChange(part.applyAsDouble(afterOf(line))));
  }

  private static Aftermath afterOf(RangLine line) {
    Rung rung = rungOf(line);
    return rung == null ? Aftermath.UNKNOWN : rung.after();
  }

  private static @Nullable Rung rungOf(RangLine line) {
    return switch (line) {
      case RangLine.One one -> one.rung();
      case RangLine.Symbol symbol -> symbol.strongest();
      case RangLine.HeldBack held -> null;
      case RangLine.More more -> null;
    };
  }

  /** The ring that a line tells of; null for one that tells of several. */
  static @Nullable Ring ringOf(RangLine line) {
    Rung rung = rungOf(line);
    return line instanceof RangLine.HeldBack held ? held.ring() : rung == null ? null : rung.ring();
  }

  static String symbol(RangLine line) {
    Ring ring = ringOf(line);
    return ring == null ? "" : ring.event().symbol();
  }

  private static String what(RangLine line) {
    if (line instanceof RangLine.More more) {
      return "and " + more.count() + " more of " + more.scan();
    }
    Ring ring = ringOf(line);
    if (ring == null) {
      return "";
    }
    String words =
        ring.event().words()
            + (ring.isFirst() ? ", first today" : "")
            + (ring.event().warning().isEmpty() ? "" : "; " + ring.event().warning());
    return line instanceof RangLine.Symbol symbol && symbol.count() > 1
        ? words + ", " + symbol.count() + " in all"
        : words;
  }

  private static Tone tone(RangLine line) {
    Ring ring = ringOf(line);
    return line instanceof RangLine.More || line instanceof RangLine.HeldBack
        ? Tone.FADED
        : ring != null && ring.event().source().isEmpty() ? Tone.HALT : Tone.INK;
  }

  private static String price(RangLine line) {
    Ring ring = ringOf(line);
    return ring == null || ring.event().price() == Price.NONE
        ? ""
        : Price.text(ring.event().price());
  }

  private static String why(RangLine line) {
    Ring ring = ringOf(line);
    if (ring == null) {
      return "over its budget";
    }
    String who =
        switch (ring.rank()) {
          case HALT_OF_MINE, WATCHED -> "watched";
          case HELD -> "held";
          case HALT_ELSEWHERE -> "any halt";
          case ALERT -> "alert";
          case SCAN -> "any symbol";
        };
    return ring.event().source().isEmpty() ? who : who + ", " + ring.event().source();
  }
}
