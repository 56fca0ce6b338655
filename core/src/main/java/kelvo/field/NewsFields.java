package kelvo.field;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kelvo.news.Catalyst;
import kelvo.news.CatalystRule;
import kelvo.news.NewsCategory;
import kelvo.session.Security;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** News of a security. */
final class NewsFields {
  private static final String NO_ITEM = "no item names it";
  private static final Pattern WITHIN =
      Pattern.compile("news within (\\d+(?:\\.\\d+)?[mhd])(?: \\((.*)\\))?");
  private static final String CATEGORIES =
      Arrays.stream(NewsCategory.values())
          .map(NewsCategory::words)
          .collect(Collectors.joining(", "));

  private NewsFields() {}

  static List<Field> all() {
    return List.of(
        new Field.Number(
            "minutes since news",
            Unit.MINUTES,
            Field.Pace.MINUTES,
            "Minutes since the newest item that names it.",
            NO_ITEM,
            session ->
                (s, now) ->
                    s.news().items() == 0
                        ? Double.NaN
                        : Math.floorDiv(now - s.news().at(), DayTime.MINUTE)),
        new Field.Number(
            "items 24h",
            Unit.COUNT,
            Field.Pace.CLOCK,
            "News items of the last 24 hours that name it.",
            "never",
            session -> (s, now) -> s.news().items(DayTime.DAY, now)),
        new Field.Number(
            "change since news",
            Unit.PERCENT,
            Field.Pace.EVENTS,
            "Price less the price at the newest item, over it; of an item of an earlier day, the close of that day's minute bar before it, else the previous close for an item after that.",
            "no item names it, or it came before the previous close and there are no minute bars of its day",
            session -> NewsFields::changeSinceNews),
        new Field.Number(
            "is subject",
            Unit.FLAG,
            Field.Pace.EVENTS,
            "The newest item is about it: names it in the headline, or names no other.",
            NO_ITEM,
            session ->
                (s, now) -> {
                  Catalyst item = s.news().newest();
                  Security own = session.security(s.id()).security();
                  return item == null ? Double.NaN : item.isAbout(own.symbol(), own.name()) ? 1 : 0;
                }),
        new Field.Word(
            "news category",
            Field.Pace.EVENTS,
            "What the newest item is about: " + CATEGORIES + ".",
            NO_ITEM,
            (s, now) -> {
              Catalyst item = s.news().newest();
              return item == null ? "" : item.reading().category().words();
            }),
        new Field.Number(
            "news tone",
            Unit.NUMBER,
            Field.Pace.EVENTS,
            "Tone of the newest item by its words, from -1, bad for the price, to 1.",
            NO_ITEM,
            session ->
                (s, now) -> {
                  Catalyst item = s.news().newest();
                  return item == null ? Double.NaN : item.reading().tone();
                }),
        new Field.Word(
            "news weight",
            Field.Pace.EVENTS,
            "How much the newest item can move a price by its words: low, medium or high.",
            NO_ITEM,
            (s, now) -> {
              Catalyst item = s.news().newest();
              return item == null ? "" : item.reading().weight().words();
            }));
  }

  static List<FieldFamily> families() {
    return List.of(
        new FieldFamily(
            "news within 1d (tone above 0.3, weight high, subject)",
            within("1d", "tone above 0.3, weight high, subject"),
            Pattern.compile("(news within .+)"),
            NewsFields::within),
        new FieldFamily(
            "news since close (tone above 0.3, weight high, subject)",
            sinceClose("tone above 0.3, weight high, subject"),
            Pattern.compile("news since close(?: \\((.*)\\))?"),
            parts -> Optional.of(sinceClose(parts == null ? "" : parts))));
  }

  private static Field sinceClose(String parts) {
    CatalystRule rule = CatalystRule.parse(parts);
    return new Field.Number(
        "news since close" + (parts.isEmpty() ? "" : " (" + parts + ")"),
        Unit.FLAG,
        Field.Pace.EVENTS,
        "One item since the close of the session before, whatever days lie between, meets all the parts in brackets.",
        "never",
        session -> {
          long close = session.hours().previousClose();
          return (s, now) -> s.news().has(rule, now - close, now) ? 1 : 0;
        });
  }

  private static Optional<Field> within(String words) {
    Matcher matcher = WITHIN.matcher(words);
    return matcher.matches()
        ? Optional.of(within(matcher.group(1), matcher.group(2) == null ? "" : matcher.group(2)))
        : Optional.empty();
  }

  private static Field within(String span, String parts) {
    CatalystRule rule = CatalystRule.parse(parts);
    double count = Double.parseDouble(span.substring(0, span.length() - 1));
    long unit =
        switch (span.charAt(span.length() - 1)) {
          case 'm' -> DayTime.MINUTE;
          case 'h' -> DayTime.HOUR;
          default -> DayTime.DAY;
        };
    long nanos = Math.round(count * unit);
    return new Field.Number(
        "news within " + span + (parts.isEmpty() ? "" : " (" + parts + ")"),
        Unit.FLAG,
        Field.Pace.FALLING,
        "One item of that time meets all the parts in brackets: tone above or below, weight, category, source, subject.",
        "never",
        session -> (s, now) -> s.news().has(rule, nanos, now) ? 1 : 0);
  }

  private static double changeSinceNews(SymbolState state, long now) {
    return state.news().items() == 0 || state.news().price() == Price.NONE
        ? Double.NaN
        : Formulas.percentOf(state.price(), state.news().price());
  }
}
