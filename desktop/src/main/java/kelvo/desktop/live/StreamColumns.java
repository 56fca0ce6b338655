package kelvo.desktop.live;

import java.util.List;
import javafx.geometry.Rectangle2D;
import kelvo.alert.StairWarning;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.SparkLine;
import kelvo.desktop.theme.Tone;
import kelvo.field.Unit;
import kelvo.hit.Hit;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.view.StreamView.Streamed;

/** The columns of the stream: how long ago, who, what, how often, and how it stands now. */
final class StreamColumns {
  /** A run of a trigger that stands out. */
  private static final int MANY = 10;

  private static final GridColumn<Streamed> AGO =
      GridColumn.<Streamed>words(
              "ago", "How long ago the newest hit was.", 42, row -> ago(row.age()))
          .growing(0);

  private static final GridColumn<Streamed> PRICE =
      GridColumn.numbers("price $", "The price of now.", 54, row -> Price.text(row.now().price()));

  private static final GridColumn<Streamed> CHANGE =
      GridColumn.<Streamed>numbers(
              "change",
              "Of now, from the previous close.",
              64,
              row -> Numbers.percent(row.now().changePercent()))
          .toned(row -> Tone.ofChange(row.now().changePercent()));

  /** Where there is little room: how often stands with what, which comes last. */
  static final List<GridColumn<Streamed>> NARROW =
      List.of(
          AGO,
          GridColumn.symbols(row -> row.now().symbol()),
          CHANGE,
          PRICE,
          GridColumn.<Streamed>words(
                  "what",
                  "The trigger of the newest hit, and how often it has fired without a pause.",
                  84,
                  row ->
                      row.hits().newest().trigger().words().replaceFirst("^new ", "")
                          + (row.hits().repeats() > 1 ? " ×" + row.hits().repeats() : ""))
              .growing(2));

  static final List<GridColumn<Streamed>> ALL =
      List.of(
          AGO,
          GridColumn.symbols(row -> row.now().symbol()),
          GridColumn.<Streamed>words(
                  "what",
                  "The trigger of the newest hit.",
                  120,
                  row -> arrow(row.hits().newest()) + row.hits().newest().trigger().words())
              .growing(2),
          GridColumn.words("scan", "The scan that hit.", 90, row -> row.hits().newest().scan()),
          GridColumn.<Streamed>numbers(
                  "times",
                  "How often this trigger has fired without a pause of the scan's fold time.",
                  44,
                  row -> "×" + row.hits().repeats())
              .toned(row -> row.hits().repeats() >= MANY ? Tone.ACCENT : Tone.INK),
          GridColumn.numbers(
              "a minute",
              "Firings a minute in this run.",
              48,
              row ->
                  row.hits().ratePerMinute() == 0
                      ? ""
                      : Numbers.fixed(row.hits().ratePerMinute(), 1)),
          GridColumn.<Streamed>words("04:00 on", "The day so far.", 58, row -> "")
              .growing(0)
              .painted(
                  (g, theme, row, cell) ->
                      SparkLine.paint(
                          g,
                          theme,
                          row.now().spark(),
                          row.moment(),
                          Tone.ofChange(row.now().changePercent()),
                          new Rectangle2D(
                              cell.getMinX() + 4,
                              cell.getMinY() + 5,
                              cell.getWidth() - 8,
                              cell.getHeight() - 10))),
          PRICE,
          CHANGE);

  private static final double[] STRENGTHS = {1, 0.85, 0.7};
  private static final long[] AGES = {DayTime.MINUTE, 5 * DayTime.MINUTE, 15 * DayTime.MINUTE};
  private static final double OLD = 0.55;

  private StreamColumns() {}

  /** Hits fade with their age. */
  static double strength(Streamed row) {
    for (int i = 0; i < AGES.length; i++) {
      if (row.age() < AGES[i]) {
        return STRENGTHS[i];
      }
    }
    return OLD;
  }

  /** How it stood at the hit itself. */
  static String atTheHit(Streamed row) {
    Hit hit = row.hits().newest();
    return "At the hit, "
        + DayTime.seconds(hit.at())
        + ": "
        + Price.text(hit.price())
        + ", "
        + Numbers.percent(row.hits().changePercent())
        + ", "
        + Unit.SHARES.text(row.hits().volumeFiveMinutes())
        + " shares in the five minutes before"
        + (StairWarning.of(hit).isEmpty() ? "" : "\n" + StairWarning.of(hit));
  }

  private static String ago(long age) {
    long seconds = age / DayTime.SECOND;
    return seconds < 60
        ? seconds + " s"
        : seconds < 3_600 ? seconds / 60 + " m" : seconds / 3_600 + " h";
  }

  private static String arrow(Hit hit) {
    return hit.side().direction() > 0 ? "▲ " : hit.side().direction() < 0 ? "▼ " : "";
  }
}
