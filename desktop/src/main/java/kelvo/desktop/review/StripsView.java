package kelvo.desktop.review;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.review.WhyNotFound.Answer;
import kelvo.review.WhyNotFound.Strip;
import kelvo.time.DayTime;

/** A strip of the day for each rule: full where it passes, empty where it fails. */
final class StripsView extends Painted {
  private static final double ROW = 22;
  private static final double NAME = 190;
  private static final double HEAD = 16;
  private static final double MARGIN = 12;
  private static final int HOURS_APART = 4;

  private List<Strip> strips = List.of();

  StripsView(Workspace workspace) {
    super(workspace.window().theme());
    PointedWords.of(this, this::describe);
  }

  void show(List<Strip> others) {
    strips = others;
    setMinHeight(HEAD + ROW * strips.size());
    setPrefHeight(HEAD + ROW * strips.size());
    repaint();
  }

  private double x(long moment) {
    double part = (moment - DayTime.FIRST) / (double) (DayTime.LAST - DayTime.FIRST);
    return NAME + Math.max(0, getWidth() - NAME - MARGIN) * part;
  }

  @Override
  protected void paint(GraphicsContext g, Theme theme) {
    if (strips.isEmpty()) {
      return;
    }
    g.setTextAlign(TextAlignment.CENTER);
    g.setFill(theme.colour(Tone.FADED));
    for (int hour = HOURS_APART; hour < 20; hour += HOURS_APART) {
      g.fillText(DayTime.minutes(DayTime.of(hour, 0)), x(DayTime.of(hour, 0)) + 14, HEAD / 2);
    }
    g.setTextAlign(TextAlignment.LEFT);
    for (int i = 0; i < strips.size(); i++) {
      strip(g, theme, strips.get(i), HEAD + i * ROW);
    }
  }

  private void strip(GraphicsContext g, Theme theme, Strip strip, double y) {
    g.setFill(theme.colour(strip.passing() == 0 ? Tone.BAD : Tone.INK));
    g.fillText(strip.rule(), MARGIN, y + ROW / 2, NAME - MARGIN - 6);
    List<Answer> minutes = strip.minutes();
    int from = 0;
    for (int i = 1; i <= minutes.size(); i++) {
      if (i == minutes.size() || minutes.get(i) != minutes.get(from)) {
        stretch(g, theme, minutes.get(from), minute(from), minute(i), y);
        from = i;
      }
    }
  }

  private void stretch(
      GraphicsContext g, Theme theme, Answer answer, long from, long to, double y) {
    double width = Math.max(1, x(to) - x(from));
    switch (answer) {
      case PASSES -> {
        g.setFill(theme.colour(Tone.GOOD));
        g.fillRect(x(from), y + 4, width, ROW - 8);
      }
      case FAILS -> {
        g.setFill(theme.colour(Tone.LINES));
        g.fillRect(x(from), y + 9, width, 4);
      }
      case NOT_ASKED -> {}
    }
  }

  private static long minute(int place) {
    return DayTime.FIRST + place * DayTime.MINUTE;
  }

  private String describe(MouseEvent event) {
    int row = (int) Math.floor((event.getY() - HEAD) / ROW);
    if (row < 0 || row >= strips.size()) {
      return "";
    }
    Strip strip = strips.get(row);
    double part = (event.getX() - NAME) / Math.max(1, getWidth() - NAME - MARGIN);
    int minute = (int) (part * (DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);
    if (part < 0 || minute >= strip.minutes().size()) {
      return strip.rule() + ": passes in " + strip.passing() + " minutes";
    }
    return strip.rule()
        + ": "
        + switch (strip.minutes().get(minute)) {
          case PASSES -> "passes at ";
          case FAILS -> "fails at ";
          case NOT_ASKED -> "not asked at ";
        }
        + DayTime.minutes(minute(minute));
  }
}
