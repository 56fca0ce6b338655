package kelvo.desktop.trackrecord;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.trackrecord.CalendarDay;
import org.jspecify.annotations.Nullable;

/** Weeks as rows, the newest at the top: what each day brought, and which can be opened. */
public final class CalendarView extends Painted {
  private static final int WEEKDAYS = 5;
  private static final double MONTH = 34;
  private static final double HEAD = 34;
  private static final double ROW = 30;

  private final Map<LocalDate, CalendarDay> days = new TreeMap<>();
  private final LocalDate today;
  private LocalDate chosen;
  private LocalDate newest;
  private double largest;
  private double scroll;

  /**
   * No days yet.
   *
   * @param today the session that is open
   * @param onChoose takes a date that is clicked
   * @param onOpen takes a date that is clicked twice
   */
  public CalendarView(
      ObservableValue<Theme> theme,
      LocalDate today,
      Consumer<LocalDate> onChoose,
      Consumer<LocalDate> onOpen) {
    super(theme);
    this.today = today;
    chosen = today;
    newest = today;
    setId("calendar");
    setAccessibleText("Calendar: what each day brought");
    PointedWords.of(this, this::words);
    setOnScroll(
        e -> {
          scroll = Math.max(0, scroll - e.getDeltaY());
          repaint();
        });
    setOnMousePressed(
        e -> {
          LocalDate date = at(e.getX(), e.getY());
          if (date != null && days.containsKey(date)) {
            onChoose.accept(date);
            if (e.getClickCount() == 2) {
              onOpen.accept(date);
            }
          }
        });
  }

  /** Shows other days, in order of their dates. */
  public void show(List<CalendarDay> all) {
    days.clear();
    all.forEach(day -> days.put(day.date(), day));
    newest = all.isEmpty() ? today : all.getLast().date();
    largest = all.stream().mapToDouble(day -> Math.abs(day.net().doubleValue())).max().orElse(0);
    repaint();
  }

  /** Marks a date. */
  public void choose(LocalDate date) {
    chosen = date;
    repaint();
  }

  private double column() {
    return (getWidth() - MONTH - 8) / WEEKDAYS;
  }

  private LocalDate monday(int row) {
    return newest.with(DayOfWeek.MONDAY).minusWeeks(row);
  }

  private @Nullable LocalDate at(double x, double y) {
    int row = (int) Math.floor((y - HEAD + scroll) / ROW);
    int column = (int) Math.floor((x - MONTH) / column());
    return y < HEAD || row < 0 || column < 0 || column >= WEEKDAYS
        ? null
        : monday(row).plusDays(column);
  }

  private String words(MouseEvent event) {
    LocalDate date = at(event.getX(), event.getY());
    CalendarDay day = date == null ? null : days.get(date);
    return day == null
        ? ""
        : words(day.date())
            + (day.canOpen() && !day.date().equals(today) ? "\nA second click opens it." : "");
  }

  /** What is known of a date, in a sentence; empty when nothing is. */
  public String words(LocalDate date) {
    CalendarDay day = days.get(date);
    if (day == null) {
      return "";
    }
    return date
        + ": "
        + (day.trades() == 0
            ? "no closed trades"
            : day.trades() + " closed trades, " + Numbers.money(day.net().doubleValue()))
        + switch (day.known()) {
          case PRINTS -> ", every print recorded";
          case BARS -> ", minute bars only";
          case NOTHING -> ", not recorded, so it cannot be opened";
        }
        + (day.reviewed() ? ", reviewed." : ".");
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    g.setFill(look.colour(Tone.FADED));
    g.fillText("sessions, net of each", 8, 10);
    g.setTextAlign(TextAlignment.CENTER);
    for (int column = 0; column < WEEKDAYS; column++) {
      g.fillText(
          DayOfWeek.of(column + 1).getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
          MONTH + (column + 0.5) * column(),
          HEAD - 9);
    }
    for (int row = (int) (scroll / ROW); HEAD + row * ROW - scroll < getHeight(); row++) {
      double y = HEAD + row * ROW - scroll;
      if (y < HEAD - 1) {
        continue;
      }
      LocalDate monday = monday(row);
      if (row == 0 || monday.plusDays(4).getMonth() != monday(row - 1).plusDays(4).getMonth()) {
        g.setTextAlign(TextAlignment.LEFT);
        g.setFill(look.colour(Tone.FADED));
        g.fillText(
            monday.plusDays(4).getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
            8,
            y + ROW / 2);
      }
      for (int column = 0; column < WEEKDAYS; column++) {
        day(g, look, monday.plusDays(column), MONTH + column * column(), y);
      }
    }
  }

  private void day(GraphicsContext g, Theme look, LocalDate date, double x, double y) {
    CalendarDay day = days.get(date);
    double width = column() - 3;
    double height = ROW - 3;
    if (day != null && day.trades() > 0) {
      double net = day.net().doubleValue();
      double strength = 0.12 + 0.5 * Math.abs(net) / Math.max(1, largest);
      g.setFill(look.colour(Tone.ofMoney(net)).deriveColor(0, 1, 1, strength));
      g.fillRoundRect(x, y, width, height, 4, 4);
    }
    boolean open = date.equals(today);
    if (date.equals(chosen) || open) {
      g.setStroke(look.colour(date.equals(chosen) ? Tone.ACCENT : Tone.INK));
      g.setLineWidth(1.5);
      g.strokeRoundRect(x + 0.5, y + 0.5, width - 1, height - 1, 4, 4);
      g.setLineWidth(1);
    }
    g.setTextAlign(TextAlignment.LEFT);
    g.setFill(look.colour(day == null ? Tone.LINES : Tone.FADED));
    g.setFont(Theme.condensed(9));
    g.fillText(Integer.toString(date.getDayOfMonth()), x + 4, y + 8);
    g.setFont(Theme.condensed(11));
    if (day != null) {
      g.setFill(look.colour(Tone.INK));
      g.setTextAlign(TextAlignment.RIGHT);
      String net =
          day.trades() == 0
              ? day.known().words()
              : Numbers.whole(Math.round(day.net().doubleValue()));
      g.fillText(net, x + width - 4, y + height - 9, width - 8);
      if (day.reviewed()) {
        g.setFill(look.colour(Tone.ACCENT));
        g.fillOval(x + width - 8, y + 5, 4, 4);
      }
    }
  }
}
