package kelvo.data.folder;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import kelvo.data.columns.NewColumns;
import kelvo.history.CorporateAction;
import kelvo.history.DailyBarList;
import kelvo.history.MinuteBar;
import kelvo.history.SessionMinutes;
import kelvo.research.LaterDays;
import kelvo.research.RecordSheet;
import kelvo.research.bars.BarSession;
import kelvo.research.bars.DayTotals;
import kelvo.session.Session;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;
import org.jspecify.annotations.Nullable;

/**
 * What research needs of a folder besides the recorded sessions: sessions of which there are minute
 * bars only, and how securities traded in the sessions after one. The daily bars are read once, so
 * that it is made anew for each question. Thread-safe.
 */
public final class ResearchData {
  private final DataFolder folder;
  private final TradingCalendar calendar;
  private final KeptColumns kept;
  private final MinuteFiles minutes;
  private final Map<String, DailyBarList> daily;
  private final LaterBars later;
  private final Function<String, List<CorporateAction>> splits;
  private final LocalDate before;

  ResearchData(
      DataFolder folder,
      TradingCalendar calendar,
      KeptColumns kept,
      MinuteFiles minutes,
      Map<String, DailyBarList> daily,
      Function<String, List<CorporateAction>> splits,
      LocalDate before) {
    this.folder = folder;
    this.calendar = calendar;
    this.kept = kept;
    this.minutes = minutes;
    this.daily = daily;
    this.splits = splits;
    this.before = before;
    later = new LaterBars(daily, splits, calendar, before);
  }

  /** How the securities traded in the sessions after a date. */
  public LaterDays after(LocalDate date) {
    return later.after(date);
  }

  /** How a security traded on a day and on those after it. */
  public RecordSheet sheet(String symbol, LocalDate date) {
    return RecordSheet.of(
        date, daily.getOrDefault(symbol, DailyBarList.NONE), splits.apply(symbol), before);
  }

  /** A session of minute bars; null when its file cannot be read at all. */
  public @Nullable BarSession barSession(LocalDate date) {
    Optional<SessionMinutes> bars = minutes.of(date);
    if (bars.isEmpty()) {
      return null;
    }
    SessionHours hours = calendar.hours(date);
    return new BarSession(
        hours,
        folder.settings().phases().in(hours),
        bars.get(),
        totals(hours, bars.get()),
        () -> beforehand(date));
  }

  /** The minutes of a security in a session of minute bars, oldest first; none when it has none. */
  public List<MinuteBar> minuteBars(LocalDate date, String symbol) {
    List<MinuteBar> bars = new ArrayList<>();
    SessionMinutes of = minutes.of(date).orElse(null);
    int place = of == null ? -1 : of.symbols().indexOf(symbol);
    if (of != null && place >= 0) {
      for (int row = of.volume().start(place); row < of.volume().end(place); row++) {
        bars.add(of.bar(row));
      }
    }
    return bars;
  }

  private Session beforehand(LocalDate date) {
    return folder.beforehand(date, daily);
  }

  private DayTotals totals(SessionHours hours, SessionMinutes bars) {
    return kept.read(
        "totals/" + hours.date(),
        minutes.sources(hours.date()),
        columns -> new DayTotals(columns.column("rows")),
        faults -> DayTotals.of(hours, bars),
        made -> new NewColumns().with("rows", made.rows()));
  }
}
