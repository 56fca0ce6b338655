package kelvo.data.folder;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.ToDoubleBiFunction;
import kelvo.data.columns.Sources;
import kelvo.history.DailyBarList;
import kelvo.history.UsualDay;
import kelvo.session.EarlierDays;
import kelvo.session.Security;
import kelvo.time.TradingCalendar;
import org.jspecify.annotations.Nullable;

/**
 * What the minute bars and mentions of earlier sessions tell before one, out of columns or added up
 * from theirs.
 *
 * @param numbers the number of each symbol of the securities file
 * @param bars the daily bars by symbol, of which the first is the security's first day
 * @param sharesSince by how many a share of a symbol at a date has become until the session
 * @param named the symbols that news of earlier days names, by the day
 */
record EarlierDaysFiles(
    Path root,
    LocalDate session,
    TradingCalendar calendar,
    Map<String, Integer> numbers,
    List<Security> securities,
    Map<String, DailyBarList> bars,
    ToDoubleBiFunction<String, LocalDate> sharesSince,
    Map<LocalDate, Set<String>> named) {

  EarlierDays read(KeptColumns kept) {
    return kept.read(
        "earlier/" + session,
        sources(kept),
        EarlierDaysColumns::from,
        faults -> addUp(kept.telling(faults)),
        EarlierDaysColumns::of);
  }

  private EarlierDays addUp(KeptColumns kept) {
    MinuteFiles minutes = new MinuteFiles(root, kept);
    UsualDays usual =
        new UsualDays(calendar, numbers, new UsualDays.Adjustment(firstDays(), sharesSince));
    UsualDays.Activity activity = usual.activityBefore(session, minutes);
    EarlierBars single = new EarlierBars(calendar, numbers, minutes, session, sharesSince);
    return new EarlierDays(
        activity.volume(),
        activity.trades(),
        usual.mentionsBefore(session, new MentionFiles(root, kept)),
        single.vwaps(),
        single.minutes(named));
  }

  /** By number, the day of a security's first daily bar; null for one without any. */
  private IntFunction<@Nullable LocalDate> firstDays() {
    @Nullable LocalDate[] first =
        securities.stream()
            .map(security -> bars.getOrDefault(security.symbol(), DailyBarList.NONE))
            .map(own -> own.isEmpty() ? null : own.getFirst().date())
            .toArray(LocalDate[]::new);
    return i -> first[i];
  }

  private Sources sources(KeptColumns kept) {
    MinuteFiles minutes = new MinuteFiles(root, kept);
    Sources sources = new Sources();
    for (String table : List.of("daily", "actions")) {
      Path stem = root.resolve(table);
      sources.file(EarlierFiles.standing(stem));
    }
    usual(sources, minutes::stem);
    usual(sources, new MentionFiles(root, kept)::stem);
    Set<LocalDate> single = new TreeSet<>(named.keySet());
    single.add(calendar.before(session));
    single.forEach(
        day -> sources.file(EarlierFiles.of(minutes.stem(day)).orElse(minutes.stem(day))));
    return sources
        .texts("securities", securities.stream().map(Security::symbol).toList())
        .texts(
            "named",
            named.entrySet().stream()
                .map(day -> day.getKey() + " " + new TreeSet<>(day.getValue()))
                .toList());
  }

  private void usual(Sources sources, Function<LocalDate, Path> stem) {
    EarlierFiles.before(session, calendar, stem, UsualDay.SESSIONS)
        .forEach((day, file) -> sources.texts("day", List.of(day.toString())).file(file));
  }
}
