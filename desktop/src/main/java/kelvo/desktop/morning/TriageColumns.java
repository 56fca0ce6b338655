package kelvo.desktop.morning;

import java.util.ArrayList;
import java.util.List;
import java.util.function.LongSupplier;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.SparkLine;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.field.Field;
import kelvo.field.Unit;
import kelvo.scan.Matches;
import kelvo.scan.Scan;

/** The columns of the triage table: who, the day so far, what the scan shows, and why. */
final class TriageColumns {
  /** How many stand before those of the scan. */
  static final int FIRST = 3;

  private static final String USUAL = "relative volume";
  private static final double BAR = 28;
  private static final double MOST_USUAL = 10;
  private static final double WIDE_SPREAD = 1;

  private TriageColumns() {}

  /** The columns of a scan's list, whose sparks reach until now. */
  static List<GridColumn<TriageRow>> of(Scan scan, LongSupplier now) {
    List<GridColumn<TriageRow>> columns = new ArrayList<>();
    columns.add(
        GridColumn.<TriageRow>words(
                "",
                "What was decided: kept for the long side (▲) or the short side (▼), watched (○),"
                    + " dropped (×)",
                22,
                TriageRow::mark)
            .growing(0));
    columns.add(GridColumn.symbols(TriageRow::symbol));
    columns.add(
        GridColumn.<TriageRow>words("04:00 on", "The day so far.", 62, row -> "")
            .growing(0)
            .painted((g, theme, row, cell) -> spark(g, theme, row, cell, now.getAsLong())));
    for (int i = 0; i < scan.columns().size(); i++) {
      columns.add(column(scan.columns().get(i), i));
    }
    columns.add(
        GridColumn.<TriageRow>words(
                "why",
                "Why it moves: its news since the close before, the theme that it moves with, or"
                    + " what is wrong with the move.",
                120,
                TriageRow::why)
            .toned(TriageColumns::toneOfWhy));
    return columns;
  }

  private static GridColumn<TriageRow> column(Field field, int place) {
    GridColumn<TriageRow> column =
        new GridColumn<>(
            title(field),
            field.meaning() + " Unknown when " + field.unknownWhen() + ".",
            field instanceof Field.Word ? 90 : width(field.unit()),
            0,
            !(field instanceof Field.Word),
            row -> row.listed().match().text(place),
            row -> tone(field, row.listed().match(), place),
            false,
            null);
    return field.words().equals(USUAL)
        ? column.painted((g, theme, row, cell) -> usual(g, theme, row, place, cell))
        : column;
  }

  /** Short where the trade has a short word, else the field's, with its unit. */
  private static String title(Field field) {
    String words =
        switch (field.words()) {
          case "premarket volume" -> "pm volume";
          case "premarket trades" -> "pm prints";
          case USUAL -> "× usual";
          case "minutes since news" -> "news ago";
          default -> field.words();
        };
    String header = field.unit().header();
    return header.isEmpty() || words.endsWith("%") || words.startsWith("×")
        ? words
        : words + " " + header;
  }

  private static double width(Unit unit) {
    return switch (unit) {
      case PERCENT -> 50;
      case TIMES -> 76;
      default -> 60;
    };
  }

  private static Tone tone(Field field, Matches.Row match, int place) {
    double value = match.values()[place];
    return switch (field.words()) {
      case "gap", "change %", "change" -> Tone.ofChange(value);
      case "split flag", "halted" -> value == 1 ? Tone.INK : Tone.FADED;
      case "spread %" -> value > WIDE_SPREAD ? Tone.BAD : Tone.INK;
      case "minutes since news" -> Tone.CATALYST;
      default -> Tone.INK;
    };
  }

  private static Tone toneOfWhy(TriageRow row) {
    return switch (row.kind()) {
      case NEWS -> Tone.CATALYST;
      case THEME -> Tone.ACCENT;
      case DOUBT -> Tone.BAD;
      case NOTHING -> Tone.FADED;
    };
  }

  private static void spark(
      GraphicsContext g, Theme theme, TriageRow row, Rectangle2D cell, long now) {
    double[] closes = row.listed().spark().closes();
    Tone tone =
        closes.length == 0 ? Tone.INK : Tone.ofChange(closes[closes.length - 1] - closes[0]);
    Rectangle2D box =
        new Rectangle2D(
            cell.getMinX() + 4, cell.getMinY() + 5, cell.getWidth() - 8, cell.getHeight() - 10);
    SparkLine.paint(g, theme, row.listed().spark(), now, tone, box);
  }

  /** A bar for how many times what is usual has traded, and the number. */
  private static void usual(
      GraphicsContext g, Theme theme, TriageRow row, int place, Rectangle2D cell) {
    double times = row.listed().match().values()[place];
    double left = cell.getMinX() + 6;
    g.setFill(theme.colour(Tone.HAIR));
    g.fillRect(left, middle(cell) - 2.5, BAR, 5);
    g.setTextAlign(TextAlignment.RIGHT);
    g.setFont(Theme.font(13));
    if (Double.isNaN(times)) {
      g.setFill(theme.colour(Tone.FADED));
      g.fillText("–", cell.getMaxX() - 6, middle(cell));
      return;
    }
    g.setFill(theme.colour(Tone.ACCENT));
    g.fillRect(left, middle(cell) - 2.5, BAR * Math.min(1, times / MOST_USUAL), 5);
    g.setFill(theme.colour(Tone.INK));
    g.fillText(Unit.PERCENT.text(times), cell.getMaxX() - 6, middle(cell));
  }

  private static double middle(Rectangle2D cell) {
    return cell.getMinY() + cell.getHeight() / 2 + 0.5;
  }
}
